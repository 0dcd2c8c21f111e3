<script lang="ts">
	import { commonText as common } from '$words/screens/common';
	import type { Shot } from '$core/format/shot';
	import { chanceOf } from '$core/odds/chanceOf';
	import { solve } from '$core/study/plan';
	import { unsureSentence } from '$words/photograph';
	import { verdictOf } from '$words/verdict';
	import { advicePort } from '../../workers/ports';
	import { useKit } from '../kit/kit.svelte';
	import { Asking } from '../working/asking.svelte';
	import Named from '../shared/Named.svelte';
	import { settings } from '../shared/settings.svelte';

	/** What would be focused on in the shot that a photograph became, and what it costs that distances are not sure. */
	let { shot }: { shot: Shot } = $props();

	const kit = useKit();
	const solution = $derived(solve(shot, chanceOf(kit.contents.spreads)));
	const verdict = $derived(verdictOf(solution, settings.units));
	const question = $derived({ shot, spreads: kit.contents.spreads });
	const measured = new Asking(advicePort, 'measured', () => question);
	const unsure = $derived.by(() => {
		const { fNumber } = solution.plan;
		const sure = measured.answer?.fNumber ?? null;
		const sigmaM = Math.max(...shot.people.map(({ depthSigmaM }) => depthSigmaM));
		// of one person alone the focus goes with them
		if (fNumber === null || sure === null || sigmaM === 0) return '';
		return unsureSentence(sigmaM, fNumber, sure, settings.units);
	});
</script>

<p class="verdict">
	{#if verdict.focusOn}
		{common.focusOn} <strong><Named text={verdict.focusOn} {shot} /></strong>{verdict.where &&
			`, ${verdict.where}`}. <strong>{verdict.fNumber}</strong>{verdict.exposure &&
			`, ${verdict.exposure}`}.
		<span class="rest"><Named text={verdict.sentences.join(' ')} {shot} /></span>
	{:else}
		<Named text={verdict.sentences[0] ?? ''} {shot} />
	{/if}
</p>
{#if unsure}<p>{unsure}</p>{/if}

<style>
	p {
		color: var(--ink-2);
	}
	.verdict {
		color: var(--ink);
	}
	.rest {
		color: var(--ink-2);
	}
</style>
