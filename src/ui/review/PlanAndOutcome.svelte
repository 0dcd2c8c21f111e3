<script lang="ts">
	import Button from 'flowbite-svelte/Button.svelte';
	import { expectedShare } from '$core/review/expected';
	import { learn, type Learned } from '$core/review/learn';
	import type { SetOfShot } from '$core/review/setOfShot';
	import { handlingOf } from '$core/study/technique';
	import { biasMmOf } from '$core/tables/spreads';
	import { causesWords, learnedWords, outcomeWords } from '$words/review';
	import type { Solution } from '$core/study/plan';
	import { oddsPort } from '../../workers/ports';
	import { askSolution } from '../keeping/solutions';
	import { useKit } from '../kit/kit.svelte';
	import { letOddsUse } from '../kit/letOddsUse';
	import type { Session } from '../keeping/session.svelte';
	import { Asking } from '../working/asking.svelte';
	import { settings } from '../shared/settings.svelte';
	import type { ReviewView } from './view/review.svelte';

	/** So many good frames were expected, so many came; what it was when not; and what was learned. */
	let { view, session }: { view: ReviewView; session: Session } = $props();
	const kit = useKit();

	/** What each shot asks for, as far as it is worked out. */
	let solutions = $state.raw<Readonly<Record<string, Solution>>>({});
	$effect(() => {
		const stops = view.groups.flatMap(({ id, shot }) =>
			shot
				? [
						askSolution(shot, kit.contents.spreads, (solution) => {
							if (solution) solutions = { ...solutions, [id]: solution };
						})
					]
				: []
		);
		return () => stops.forEach((stop) => stop());
	});

	const shot = $derived(view.group?.shot ?? null);
	const question = $derived(shot && { shot, spreads: kit.contents.spreads });
	const odds = new Asking(oddsPort, 'table', () => question, 150);
	const expected = $derived(
		view.set && odds.answer ? expectedShare(odds.answer.rungs, view.set) : null
	);

	const learned = $derived(
		learn(
			view.groups.flatMap(({ id, shot }): SetOfShot[] => {
				const [set, solution] = [view.sets.get(id), solutions[id]];
				if (!shot || !set || !solution?.take) return [];
				const { take } = solution;
				return [{ shot, set, take, handling: handlingOf(take) }];
			})
		)
	);
	const USED = 'what was learned is used';
	const own = $derived(kit.contents);
	const usedNow = ({ key, lens }: Learned) =>
		lens === null ? own.spreads[key] : biasMmOf(own.spreads, lens);
	const isUsed = $derived(
		learned.length > 0 && learned.every((one) => Math.abs(usedNow(one) - one.value) < 1e-9)
	);

	function use() {
		const ofLenses = learned.flatMap(({ lens, value, frames }) =>
			lens === null ? [] : [[lens, { biasMm: value, frames }] as const]
		);
		const others = learned.filter(({ lens }) => lens === null);
		letOddsUse(kit, session.review, USED, {
			spreads: Object.fromEntries(others.map(({ key, value, frames }) => [key, { value, frames }])),
			lensBias: Object.fromEntries(ofLenses)
		});
	}
	const back = () => session.review.undo();
</script>

{#if view.set}
	<p><strong>{outcomeWords(shot ? expected : null, view.set)}</strong></p>
	{#if causesWords(view.set)}<p>What it was in the others: {causesWords(view.set)}.</p>{/if}
{/if}
<h3>What all frames say of your hands and focusing</h3>
{#if view.home.files.some(({ measured }) => measured?.facts.isPractice)}
	<p class="note">
		Frames of the practice camera are left out: it shakes and focuses as it was told to, not as you
		do.
	</p>
{/if}
{#if learned.length === 0}
	<p>Nothing yet: it takes eight frames or more of planned shots.</p>
{:else}
	<ul>
		{#each learned as one, i (i)}
			<li>{learnedWords(one, usedNow(one), settings.units)}</li>
		{/each}
	</ul>
	<p class="note">
		Each is the assumption with the weight of 20 frames, and what was measured with the weight of
		its own. How far you sway is told from focusing only by frames from far off and from close by.
	</p>
	<div class="row">
		<Button size="xs" disabled={isUsed} onclick={use}
			>{isUsed ? 'The odds use it' : 'Use it for the odds'}</Button
		>
		{#if isUsed && session.review.undoWords === USED}
			<Button size="xs" color="light" onclick={back}>Back to what it was</Button>
		{/if}
	</div>
{/if}

<style>
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
	.note {
		color: var(--ink-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
	}
</style>
