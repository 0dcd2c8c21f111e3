<script lang="ts">
	import { stepperText as say } from '$words/screens/plan/ladder';
	import { commonText as common } from '$words/screens/common';
	import { fStop } from '$words/numbers';
	import type { PlanView } from '../view/plan.svelte';

	/** One rung large, with minus and plus: the ladder under a thumb. */
	let { plan }: { plan: PlanView } = $props();

	const ladder = $derived(plan.solution?.plan.ladder ?? []);
	const shown = $derived(plan.shown?.plan ?? null);
	const index = $derived(
		ladder.findIndex(({ fNumberExact }) => fNumberExact === shown?.fNumberExact)
	);
	const rung = $derived(ladder[index]);
	const fixedExact = $derived(plan.isFixed ? plan.solution?.plan.fNumberExact : null);
	const isFixedHere = $derived(fixedExact === shown?.fNumberExact);

	function step(by: number) {
		const next = ladder[index + by];
		if (next) plan.peek(next.fNumberExact);
	}
</script>

{#if shown?.fNumber != null && rung}
	<div class="stepper" role="group" aria-label={common.fNumber}>
		<button
			class="knob"
			type="button"
			aria-label={say.wider}
			disabled={index <= 0}
			onclick={() => step(-1)}>−</button
		>
		<span class="now" aria-live="polite">
			<strong>{fStop(shown.fNumber)}</strong>
			<span>{say.sharp(rung.sharpPeople, rung.people)}</span>
		</span>
		<button
			class="knob"
			type="button"
			aria-label={say.narrower}
			disabled={index >= ladder.length - 1}
			onclick={() => step(1)}>+</button
		>
		<button
			class="knob"
			type="button"
			aria-pressed={isFixedHere}
			onclick={() => plan.fix(isFixedHere ? null : rung.fNumberExact)}
		>
			{isFixedHere ? 'unlock' : 'lock'}
		</button>
		{#if plan.isPeeking}
			<button class="knob" type="button" onclick={() => plan.peek(null)}
				>{say.backTo(plan.isFixed ? 'locked' : 'pick')}</button
			>
		{/if}
	</div>
{/if}

<style>
	.stepper {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		justify-content: center;
	}
	.stepper .knob {
		min-width: 3rem;
		font-size: 1rem;
	}
	.now {
		display: flex;
		flex-direction: column;
		align-items: center;
		min-width: 5.2rem;
		font-size: 0.8125rem;
		color: var(--ink-2);
	}
	strong {
		font-family: var(--font-serif);
		font-size: 1.5rem;
		line-height: 1.1;
		color: var(--focus);
	}
</style>
