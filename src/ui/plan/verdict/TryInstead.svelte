<script lang="ts">
	import { tryInsteadText as say } from '$words/screens/plan/verdict';
	import type { Advice } from '$core/advice/advice';
	import { adviceWords } from '$words/advice';
	import NoAnswer from '../../working/NoAnswer.svelte';
	import Named from '../../shared/Named.svelte';
	import { settings } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** The best pieces of advice, each with its gain; one click applies, undo takes back. */
	let { plan, most }: { plan: PlanView; most: number } = $props();

	const shot = $derived(plan.shot);
	const advice = $derived(
		(plan.advice.answer ?? [])
			.slice(0, most)
			.map((one) => ({ one, words: adviceWords(one.data, shot, settings.units) }))
	);

	const take = (one: Advice) => plan.change(one.shot);
</script>

<!-- the row is there before the advice is, so that nothing jumps while it is worked out -->
<div class="try" role="group" aria-label={say.tryInstead}>
	{#if advice.length > 0}
		<span class="label">{say.try}</span>
		{#each advice as { one, words }, i (i)}
			<button class="knob" type="button" title={words.text} onclick={() => take(one)}>
				<span class="words"><Named text={words.move} {shot} /></span>
				<strong class="gain">{words.gain}</strong>
			</button>
		{/each}
	{/if}
	<NoAnswer asked={plan.advice} what={say.advice} />
</div>

<style>
	.try {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.25rem 0.4rem;
	}
	.label {
		color: var(--ink-2);
	}
	.knob {
		text-align: left;
		justify-content: flex-start;
		gap: 0.5em;
	}
	.gain {
		flex: none;
		white-space: nowrap;
	}
	/* one line where the verdict must not push the stage away */
	@media (min-width: 45rem) {
		.try {
			min-height: 1.75rem;
			flex-wrap: nowrap;
		}
		.knob {
			flex: 0 1 auto;
			min-width: 6rem;
		}
		.words {
			min-width: 0;
			overflow: hidden;
			text-overflow: ellipsis;
			white-space: nowrap;
		}
	}
</style>
