<script lang="ts">
	import type { Flat } from '$core/anatomy/outline';

	/** What is said beside the object that is held, wherever there is room for it. */
	let { words, at, widthPx }: { words: readonly string[]; at: Flat; widthPx: number } = $props();

	/** In a pane narrower than this the words go to its middle, a line each, px. */
	const NARROW_PX = 560;
	const ASIDE_PX = 16;
	const ABOVE_PX = 18;
	const LINE_PX = 18;
	/** Nearer to the upper edge the tools are over it, px. */
	const HIGHEST_PX = 44;
	const isNarrow = $derived(widthPx < NARROW_PX);
	const lines = $derived(isNarrow ? words : [words.join(' · ')]);
	const firstY = $derived(Math.max(at.y - ABOVE_PX - LINE_PX * (lines.length - 1), HIGHEST_PX));
	const place = $derived.by(() => {
		if (isNarrow) return { x: widthPx / 2, anchor: 'middle' } as const;
		return at.x > widthPx / 2
			? ({ x: at.x - ASIDE_PX, anchor: 'end' } as const)
			: ({ x: at.x + ASIDE_PX, anchor: 'start' } as const);
	});
</script>

<text class="readout" text-anchor={place.anchor}>
	{#each lines as line, i (i)}<tspan x={place.x} y={firstY + LINE_PX * i}>{line}</tspan>{/each}
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
