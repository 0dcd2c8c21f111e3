<script lang="ts">
	import type { Vec3 } from '$core/geometry/vector';
	import { settings } from '../../shared/settings.svelte';
	import type { StageView } from '../../drawing/stageView';
	import { paintZone, type Zone } from '../../drawing/zone';

	/** The sharp zone under the stage's drawing, fading out as the real ratio does. */
	interface Props {
		view: StageView;
		zone: Zone | null;
		through: Vec3;
	}

	let { view, zone, through }: Props = $props();

	let canvas = $state<HTMLCanvasElement>();
	/** Asked for once a look, since asking makes the browser work out every style. */
	const rgb = $derived.by(() => {
		void settings.look;
		return canvas ? getComputedStyle(canvas).getPropertyValue('--zone').trim() : '';
	});

	$effect(() => {
		if (canvas) paintZone(canvas, view, zone, through, rgb);
	});
</script>

<canvas bind:this={canvas} aria-hidden="true"></canvas>

<style>
	canvas {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
</style>
