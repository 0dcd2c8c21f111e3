<script lang="ts">
	import { fNumbersText as say } from '$words/screens/day';
	import { untrack } from 'svelte';
	import { spreadOf } from '$core/day/fNumbers';
	import { capital, count, fStop } from '$words/numbers';
	import { useKit } from '../kit/kit.svelte';
	import type { DayView } from './day.svelte';
	import { askSolution } from '../keeping/solutions';

	/** At which f-numbers the day is taken; too many alike are pointed out once. */
	let { day }: { day: DayView } = $props();

	const kit = useKit();
	/** At most this many shots are listed. */
	const MOST_SHOTS_SHOWN = 100;
	const shots = $derived(
		day.shots.slice(0, MOST_SHOTS_SHOWN).map(({ id, shot }) => ({ id, shot }))
	);
	let found = $state.raw<Readonly<Record<string, number>>>({});
	$effect(() => {
		const stops = shots.map(({ id, shot }) =>
			askSolution(shot, kit.contents.spreads, (solution) => {
				const fNumber = solution?.plan.fNumber;
				if (fNumber != null) untrack(() => (found = { ...found, [id]: fNumber }));
			})
		);
		return () => stops.forEach((stop) => stop());
	});
	const spread = $derived(spreadOf(shots.flatMap(({ id }) => found[id] ?? [])));
	const alike = $derived.by(() => {
		if (!spread.alike) return '';
		const { from, to, shots: many } = spread.alike;
		const range = from === to ? fStop(from) : say.to(fStop(from), fStop(to));
		return say.ofAreAtSoTheyWill(capital(count(many)), count(shots.length), range);
	});
</script>

{#if spread.counts.length > 0}
	<p class="spread">
		{say.fNumbers}
		{#each spread.counts as { fNumber, shots: many } (fNumber)}
			<span><strong>{fNumber}</strong>{many > 1 ? ` × ${many}` : ''}</span>
		{/each}
		{#if alike}<em>{alike}</em>{/if}
	</p>
{/if}

<style>
	.spread {
		display: flex;
		flex-wrap: wrap;
		gap: 0.1rem 0.7rem;
		padding: 0.5rem 0;
		color: var(--ink-2);
	}
	em {
		color: var(--marginal);
		font-style: normal;
	}
</style>
