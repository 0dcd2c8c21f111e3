<script lang="ts">
	import type { CameraPose } from '$core/geometry/camera';
	import { degrees } from '$core/geometry/angle';
	import { drawnM, toPx, type StageView } from '../../drawing/stageView';

	/** The camera on the stage, turned as it looks. */
	interface Props {
		view: StageView;
		pose: CameraPose;
		isActive: boolean;
	}

	let { view, pose, isActive }: Props = $props();

	const at = $derived(toPx(view, pose.position));
	const axis = $derived(drawnM(view, pose.axis));
	const turnDeg = $derived(degrees(Math.atan2(axis.y, axis.x)));
</script>

<path
	class="camera"
	class:active={isActive}
	transform="translate({at.x} {at.y}) rotate({turnDeg})"
	d="M-17 -11 h12 v22 h-12 z M-5 -6 L6 -10 V10 L-5 6 z"
/>

<style>
	path {
		fill: var(--ink);
	}
	.active {
		stroke: var(--focus);
		stroke-width: 4;
	}
</style>
