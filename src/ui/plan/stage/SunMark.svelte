<script lang="ts">
	import { sunMarkText as say } from '$words/screens/plan/stage';
	import { radians } from '$core/geometry/angle';
	import { drawnM, type StageView } from '../../drawing/stageView';

	/** From where the sun comes: a mark at the edge of the stage, its rays towards the middle. */
	interface Props {
		view: StageView;
		sun: { readonly aroundDeg: number; readonly altitudeDeg: number };
	}

	let { view, sun }: Props = $props();

	/** Kept clear of the edge, px. */
	const EDGE_PX = 26;
	const RAY_PX = 46;
	const way = $derived.by(() => {
		const around = radians(sun.aroundDeg);
		return drawnM(view, { x: Math.sin(around), y: 0, z: Math.cos(around) });
	});
	const at = $derived.by(() => {
		const [halfX, halfY] = [view.widthPx / 2 - EDGE_PX, view.heightPx / 2 - EDGE_PX];
		const reach = Math.min(
			halfX / Math.max(Math.abs(way.x), 1e-6),
			halfY / Math.max(Math.abs(way.y), 1e-6)
		);
		return { x: view.widthPx / 2 + way.x * reach, y: view.heightPx / 2 + way.y * reach };
	});
	const isRight = $derived(at.x > view.widthPx / 2);
	const words = $derived(say.sunHigh(Math.round(sun.altitudeDeg)));
</script>

<g class="sun" role="img" aria-label={words}>
	{#each [-9, 0, 9] as aside (aside)}
		<line
			x1={at.x - way.y * aside - way.x * 14}
			y1={at.y + way.x * aside - way.y * 14}
			x2={at.x - way.y * aside - way.x * RAY_PX}
			y2={at.y + way.x * aside - way.y * RAY_PX}
		/>
	{/each}
	<circle cx={at.x} cy={at.y} r="8" />
	<text x={at.x + (isRight ? -16 : 16)} y={at.y + 4} text-anchor={isRight ? 'end' : 'start'}
		>{words}</text
	>
</g>

<style>
	circle {
		fill: var(--marginal);
	}
	line {
		stroke: var(--marginal);
		stroke-width: 1.5;
	}
	text {
		fill: var(--ink-2);
		font-size: 0.75rem;
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 3px;
	}
</style>
