<script lang="ts">
	import { planAndOutcomeText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
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

	/** How many good frames were expected and how many came, what spoiled the others, and what was learned. */
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
	const USED = say.whatWasLearnedIsUsed;
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
	{#if causesWords(view.set)}<p>{say.whatSpoiledTheOthers(causesWords(view.set))}</p>{/if}
{/if}
<h3>{say.whatAllFramesSayAboutYour}</h3>
{#if view.home.files.some(({ measured }) => measured?.facts.isPractice)}
	<p class="note">
		{say.framesOfThePracticeCameraAre}
	</p>
{/if}
{#if learned.length === 0}
	<p>{say.nothingYetItTakesEightFrames}</p>
{:else}
	<ul>
		{#each learned as one, i (i)}
			<li>{learnedWords(one, usedNow(one), settings.units)}</li>
		{/each}
	</ul>
	<p class="note">
		{say.eachFigureBlendsTheAssumption}
	</p>
	<div class="row">
		<Button size="xs" disabled={isUsed} onclick={use}
			>{isUsed ? common.theOddsUseIt : common.useItForTheOdds}</Button
		>
		{#if isUsed && session.review.undoWords === USED}
			<Button size="xs" color="light" onclick={back}>{say.backToWhatItWas}</Button>
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
