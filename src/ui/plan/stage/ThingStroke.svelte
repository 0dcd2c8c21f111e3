<script lang="ts">
	import type { Thing } from '$core/format/shot';
	import type { CameraPose } from '$core/geometry/camera';
	import { thingStroke } from '../../drawing/stageScene';
	import type { StageView } from '../../drawing/stageView';

	/** A thing on the stage: a stroke as wide as it is, its label, and whether it becomes what it should. */
	interface Props {
		view: StageView;
		pose: CameraPose;
		thing: Thing;
		met: boolean | null;
		isSelected: boolean;
		isActive: boolean;
	}

	let { view, pose, thing, met, isSelected, isActive }: Props = $props();

	const ends = $derived(thingStroke(view, pose, thing));
	/** Room for a label, px: nearer to the edge it is written above the stroke and to the left. */
	const LABEL_PX = 110;
	const farthestPx = $derived(Math.max(ends[0].x, ends[1].x));
	const isAtEdge = $derived(farthestPx > view.widthPx - LABEL_PX);
	const place = $derived({ x1: ends[0].x, y1: ends[0].y, x2: ends[1].x, y2: ends[1].y });
</script>

<g>
	<line class="halo" class:on={isSelected || isActive} {...place} />
	<line {...place} />
	{#if farthestPx < view.widthPx}
		<text
			x={(place.x1 + place.x2) / 2 + (isAtEdge ? 4 : 6)}
			y={isAtEdge ? Math.min(place.y1, place.y2) - 6 : Math.max(place.y1, place.y2) + 13}
			text-anchor={isAtEdge ? 'end' : 'start'}
		>
			{met === false ? '△' : '▲'}
			{thing.label}
		</text>
	{/if}
</g>

<style>
	line {
		stroke: var(--ink-2);
		stroke-width: 4;
	}
	.halo {
		stroke: transparent;
		stroke-width: 10;
	}
	.halo.on {
		stroke: var(--focus);
	}
	text {
		fill: var(--ink-2);
		font-size: 0.75rem;
	}
</style>
