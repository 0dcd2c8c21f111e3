<script lang="ts">
	import { ratioChartText as say } from '$words/screens/plan/verdict';
	import { commonText as common } from '$words/screens/common';
	import { faceRatios } from '$core/study/take';
	import { personName } from '$words/names';
	import type { Solution } from '$core/study/plan';
	import FNumberChart from '../../drawing/FNumberChart.svelte';

	/** Ratio against f-number, one line per face, with the focus as it is. */
	let { solution }: { solution: Solution } = $props();

	/** A logarithm has no zero. */
	const LEAST_RATIO = 0.005;
	const fNumbers = $derived(solution.plan.ladder.map(({ fNumberExact }) => fNumberExact));
	const lines = $derived.by(() => {
		const { study, take } = solution;
		if (!take) return [];
		const atF1 = faceRatios({ ...take, fNumber: 1 });
		return [...atF1].map(([id, ratio]) => ({
			name: personName(study.shot, id),
			y: fNumbers.map((fNumber) => Math.max(ratio / fNumber, LEAST_RATIO))
		}));
	});
</script>

<FNumberChart
	elsewhere={common.theLadderBelowTheStage}
	{lines}
	{fNumbers}
	shownFNumber={solution.plan.fNumberExact}
	yaxis={{ dtick: 1, type: 'log', title: { text: say.blurAsAShareOfWhat } }}
	level={1}
	format=".2f"
	label={say.blurOfEachFaceAsA}
/>
