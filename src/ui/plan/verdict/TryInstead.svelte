<script lang="ts">
	import type { Advice } from '$core/solve/advice';
	import { setupService } from '../../../workers/setup';
	import { Answer } from '../../shared/answer.svelte';
	import Named from '../../shared/Named.svelte';
	import type { PlanView } from '../plan.svelte';

	/** The best pieces of advice, each with its gain; one click applies, undo takes back. */
	let { plan, most }: { plan: PlanView; most: number } = $props();

	const shot = $derived(plan.shot);
	const question = $derived({ shot, lenses: plan.lenses, spreads: plan.spreads });
	const answer = new Answer(({ shot, lenses, spreads }: typeof question) =>
		setupService().advice(shot, lenses, spreads)
	);
	const isAsked = $derived(shot.people.length + shot.things.length > 0);
	/** Asked when the shot has come to rest for as long. */
	const REST_MS = 60;
	$effect(() => {
		if (!isAsked) return;
		const asked = question;
		const timer = setTimeout(() => answer.ask(asked), REST_MS);
		return () => clearTimeout(timer);
	});
	const advice = $derived(isAsked ? (answer.to(question) ?? []) : []);

	const take = (one: Advice) => plan.change(one.shot);
</script>

<!-- the row is there before the advice is, so that nothing jumps while it is worked out -->
<div class="try" role="group" aria-label="Try instead">
	{#if advice.length > 0}
		<span class="label">try</span>
		{#each advice.slice(0, most) as one (one.text)}
			<button class="knob" type="button" title={one.text} onclick={() => take(one)}>
				<span class="words"><Named text={one.text.replace(/\.$/, '')} {shot} /></span>
			</button>
		{/each}
	{/if}
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
