<script lang="ts">
	import type { Advice } from '$core/advice/advice';
	import { adviceText } from '$words/advice';
	import { advicePort } from '../../../workers/ports';
	import { Asking } from '../../shared/asking.svelte';
	import AskedInVain from '../../shared/AskedInVain.svelte';
	import Named from '../../shared/Named.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { ADVICE_REST_MS, type PlanView } from '../plan.svelte';

	/** The best pieces of advice, each with its gain; one click applies, undo takes back. */
	let { plan, most }: { plan: PlanView; most: number } = $props();

	const shot = $derived(plan.shot);
	const question = $derived(
		shot.people.length + shot.things.length > 0
			? { shot, lenses: plan.lenses, spreads: plan.spreads }
			: null
	);
	const asked = new Asking(advicePort, 'advice', () => question, ADVICE_REST_MS);
	const advice = $derived(
		(asked.answer ?? [])
			.slice(0, most)
			.map((one) => ({ one, text: adviceText(one.data, shot, settings.units) }))
	);

	const take = (one: Advice) => plan.change(one.shot);
</script>

<!-- the row is there before the advice is, so that nothing jumps while it is worked out -->
<div class="try" role="group" aria-label="Try instead">
	{#if advice.length > 0}
		<span class="label">try</span>
		{#each advice as { one, text } (text)}
			<button class="knob" type="button" title={text} onclick={() => take(one)}>
				<span class="words"><Named text={text.replace(/\.$/, '')} {shot} /></span>
			</button>
		{/each}
	{/if}
	<AskedInVain {asked} what="advice" />
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
