<script lang="ts">
	import { cameraPose, worldPoint } from '$core/geometry/camera';
	import type { Shot } from '$core/format/shot';
	import { fit, toPx } from './stageView';
	import { fittedPoints, thingStroke } from './stageScene';

	/** The stage from above, only to be looked at: small enough for a list, or larger. */
	interface Props {
		shot: Shot;
		/** In the pixels of a list: what is drawn grows with the place it is given. */
		widthPx?: number;
		heightPx?: number;
	}

	let { shot, widthPx = 104, heightPx = 60 }: Props = $props();

	/** The view keeps room for rulers that are not drawn here, px. */
	const RULER_ROOM_PX = 40;
	const view = $derived.by(() => {
		const pane = { side: 'above', isTall: false } as const;
		const large = { widthPx: widthPx + 2 * RULER_ROOM_PX, heightPx: heightPx + 2 * RULER_ROOM_PX };
		const fitted = fit({ ...pane, ...large }, fittedPoints(shot));
		return { ...fitted, widthPx, heightPx };
	});
	const pose = $derived(cameraPose(shot.camera, shot.body.sensor));
	const camera = $derived(toPx(view, shot.camera.position));
	const wedge = $derived.by(() => {
		const reachM = (2 * widthPx) / view.pxPerM;
		const half = (reachM * pose.widthMm) / (2 * pose.focalMm);
		const ends = [-half, half].map((aside) => toPx(view, worldPoint(pose, reachM, aside, 0)));
		return [camera, ...ends].map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
	});
	const strokes = $derived(shot.things.map((thing) => thingStroke(view, pose, thing)));
	const heads = $derived(
		shot.people.map((one) => ({
			...toPx(view, one.eyeMidpoint),
			isKey: one.need === 'key',
			isFree: one.need === 'free'
		}))
	);
</script>

<svg viewBox="0 0 {widthPx} {heightPx}" aria-hidden="true">
	<polygon class="wedge" points={wedge} />
	{#each strokes as [a, b], i (i)}<line x1={a.x} y1={a.y} x2={b.x} y2={b.y} />{/each}
	{#each heads as head, i (i)}
		<circle cx={head.x} cy={head.y} r="2.6" class:key={head.isKey} class:free={head.isFree} />
	{/each}
	<rect class="camera" x={camera.x - 4} y={camera.y - 3.5} width="7" height="7" />
</svg>

<style>
	svg {
		width: 100%;
		display: block;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	.wedge {
		fill: rgb(var(--zone) / 0.12);
	}
	line {
		stroke: var(--ink-2);
		stroke-width: 1.5;
	}
	circle {
		fill: var(--ink-2);
	}
	circle.key {
		fill: var(--focus);
	}
	circle.free {
		fill: none;
		stroke: var(--ink-2);
	}
	.camera {
		fill: var(--ink);
	}
</style>
