<script lang="ts">
	import type { Flat } from '$core/anatomy/outline';

	/** What is said beside the object that is held, wherever there is room for it. */
	let { text, at, widthPx }: { text: string; at: Flat; widthPx: number } = $props();

	/** In a pane narrower than this the words go to its middle, px. */
	const NARROW_PX = 560;
	const ASIDE_PX = 16;
	const place = $derived.by(() => {
		if (widthPx < NARROW_PX) return { x: widthPx / 2, anchor: 'middle' } as const;
		return at.x > widthPx / 2
			? ({ x: at.x - ASIDE_PX, anchor: 'end' } as const)
			: ({ x: at.x + ASIDE_PX, anchor: 'start' } as const);
	});
</script>

<text class="readout" x={place.x} y={Math.max(at.y - 18, 44)} text-anchor={place.anchor}>
	{text}
</text>

<style>
	text {
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
		font-weight: 600;
		font-size: 0.875rem;
	}
</style>
