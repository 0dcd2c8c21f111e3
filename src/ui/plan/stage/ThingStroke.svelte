<script lang="ts">
	import type { Thing } from '$core/format/shot';
	import type { CameraPose } from '$core/scene/camera';
	import { thingStroke } from './stageScene';
	import type { StageView } from './stageView';

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
	const place = $derived({ x1: ends[0].x, y1: ends[0].y, x2: ends[1].x, y2: ends[1].y });
</script>

<g>
	<line class="halo" class:on={isSelected || isActive} {...place} />
	<line {...place} />
	<text x={(place.x1 + place.x2) / 2 + 6} y={Math.max(place.y1, place.y2) + 13}>
		{met === false ? '△' : '▲'}
		{thing.label}
	</text>
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
