<script lang="ts">
	import type { Vec3 } from '$core/geometry/vector';
	import { fromUnits, rounded, type Units } from '$words/numbers';
	import { rulerStep, toPx, type StageView } from '../../drawing/stageView';

	/** Distance from the camera, along the pane's edge. */
	let { view, camera, units }: { view: StageView; camera: Vec3; units: Units } = $props();

	const runsUp = $derived(view.isTall);
	const step = $derived(rulerStep(view.pxPerM * fromUnits(1, units)));
	const marks = $derived(
		Array.from({ length: 60 }, (_, i) => {
			const value = i * step;
			const at = toPx(view, { ...camera, z: camera.z + fromUnits(value, units) });
			return { value, px: runsUp ? at.y : at.x };
		}).filter(({ px }) => px > 8 && px < (runsUp ? view.heightPx : view.widthPx) - 8)
	);
	const label = (value: number) => `${rounded(value, 1)} ${units}`;
</script>

<g class="ruler" aria-hidden="true">
	{#each marks as { value, px } (value)}
		{#if runsUp}
			<line x1="0" x2="8" y1={px} y2={px} />
			<text x="11" y={px + 4}>{label(value)}</text>
		{:else}
			<line y1={view.heightPx} y2={view.heightPx - 8} x1={px} x2={px} />
			<text x={px} y={view.heightPx - 11} text-anchor="middle">{label(value)}</text>
		{/if}
	{/each}
</g>

<style>
	line {
		stroke: var(--ink-2);
	}
	text {
		fill: var(--ink-2);
		font-size: 0.75rem;
	}
</style>
