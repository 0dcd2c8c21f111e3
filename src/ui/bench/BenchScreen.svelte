<script lang="ts">
	import { benchScreenText as say } from '$words/screens/bench/place';
	import { commonText as common } from '$words/screens/common';
	import type { ChartPaper } from '$core/bench/chart';
	import { EXERCISES, type ExerciseName } from '$core/format/exerciseLog';
	import type { ScreenProps } from '../keeping/screenProps';
	import { useKit } from '../kit/kit.svelte';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import ApertureResult from './ApertureResult.svelte';
	import { BENCH_FRAMES, type BenchName } from './parts/bench.svelte';
	import ChartOnPaper from './ChartOnPaper.svelte';
	import ChooseLens from './choose/ChooseLens.svelte';
	import ExerciseBench from './exercises/ExerciseBench.svelte';
	import { EXERCISE_TEXTS } from './exercises/texts';
	import FocusResult from './FocusResult.svelte';
	import FramesIn from './parts/FramesIn.svelte';
	import HandsResult from './HandsResult.svelte';
	import HowTo from './parts/HowTo.svelte';
	import SetUp from './SetUp.svelte';
	import { apertureSitting, focusSitting, handsSitting } from '../../practice/sittings';

	/** One’s own gear and hands, measured at a table. */
	let { session }: ScreenProps = $props();
	const kit = useKit();

	const BENCHES: Readonly<
		Record<
			BenchName,
			{
				readonly title: string;
				readonly what: string;
				readonly steps: readonly string[];
				readonly mistakes: string;
				readonly sitting: typeof apertureSitting;
			}
		>
	> = {
		aperture: {
			title: say.bestAperture,
			what: say.atWhichFNumberYourLens,
			steps: [
				say.printTheChartAndHangIt,
				say.aperturePriorityLowestIso,
				say.twoFramesOrMoreAtEvery,
				say.chooseAllOfThemHere
			],
			mistakes: say.refocusingBetweenFramesShutters,
			sitting: apertureSitting
		},
		focus: {
			title: say.frontOrBack,
			what: say.whetherYourLensFocusesInFront,
			steps: [
				say.printTheScaleTurnItBy,
				say.widestApertureSingleFocusingOne,
				say.sixFramesOrMoreTurnThe,
				say.chooseAllOfThemHere
			],
			mistakes: say.focusingOnTheBarsInsteadOf,
			sitting: focusSitting
		},
		hands: {
			title: say.myHands,
			what: say.howSlowAShutterYouCan,
			steps: [
				say.theSharpnessChartAgainStraightOn,
				say.shutterPriorityAutomaticIsoSix,
				say.sixFramesEachAtOneOver,
				say.chooseAllOfThemHere
			],
			mistakes: say.leaningOnSomethingForSomeOf,
			sitting: handsSitting
		}
	};
	const NAMES = Object.keys(BENCHES) as BenchName[];

	let name = $state<BenchName>('aperture');
	/** What is open instead of one of them: lenses to choose from, or an exercise. */
	let instead = $state<ExerciseName | 'choose' | null>(null);
	let paper = $state<ChartPaper>('a4');
	let chosenLens = $state('');
	let chosenBody = $state('');
	let seed = 1;

	const bench = $derived(BENCHES[name]);
	const frames = $derived(BENCH_FRAMES[name]);
	const gear = $derived(session.shot ?? settings.gear);
	const { bodies } = $derived(kit.contents);
	/** Those that one has. */
	const lenses = $derived(kit.contents.lenses.filter(({ isWanted }) => !isWanted));
	const facts = $derived(frames.frames[0]?.facts);
	/** Chosen here, or named by the files, or of the open shot. */
	const entry = $derived(
		lenses.find(({ id }) => id === chosenLens) ??
			lenses.find(({ lens }) => lens.name === facts?.lensName) ??
			lenses.find(({ lens }) => lens.name === gear?.lens.name) ??
			lenses[0]
	);
	const bodyEntry = $derived(
		bodies.find(({ id }) => id === chosenBody) ??
			bodies.find(({ body }) => body.name === facts?.bodyName) ??
			bodies.find(({ body }) => body.name === gear?.body.name) ??
			bodies[0]
	);
	const known = $derived(entry?.sharpness);

	function sitting() {
		if (!entry || !bodyEntry) return [];
		const { spreads } = kit.contents;
		return bench.sitting({ body: bodyEntry.body, lens: entry.lens, paper, spreads, seed: seed++ });
	}
</script>

<main class="bench">
	<aside aria-label={say.benches}>
		<h1>{common.bench}</h1>
		<p class="note">
			{say.everythingTheOddsAssumeCanBe}
		</p>
		<ul>
			{#each NAMES as one (one)}
				<li>
					<button
						type="button"
						aria-current={!instead && one === name ? 'true' : undefined}
						onclick={() => {
							name = one;
							instead = null;
						}}>{BENCHES[one].title}</button
					>
				</li>
			{/each}
			<li>
				<button
					type="button"
					aria-current={instead === 'choose' ? 'true' : undefined}
					onclick={() => (instead = 'choose')}>{common.chooseALens}</button
				>
			</li>
		</ul>
		<h2 class="small">{say.exercises}</h2>
		<ul>
			{#each EXERCISES as one (one)}
				<li>
					<button
						type="button"
						aria-current={one === instead ? 'true' : undefined}
						onclick={() => (instead = one)}>{EXERCISE_TEXTS[one].title}</button
					>
				</li>
			{/each}
		</ul>
		{#if entry && bodyEntry}
			<div class="gear">
				{#if instead !== 'choose'}<Pick
						label={say.lens}
						options={lenses.map(({ id, lens }) => ({ value: id, text: lens.name }))}
						value={entry.id}
						onchoose={(id) => (chosenLens = id)}
					/>{/if}
				<Pick
					label={say.body}
					options={bodies.map(({ id, body }) => ({ value: id, text: body.name }))}
					value={bodyEntry.id}
					onchoose={(id) => (chosenBody = id)}
				/>
			</div>
			{#if known && !known.isTyped && instead !== 'choose'}
				<p class="note">
					<bdi>{entry.lens.name}</bdi>{say.sharpnessMeasuredOnFramesOn(known.date, known.frames)}
					<bdi>{known.bodyName}</bdi>.
				</p>
			{/if}
		{/if}
	</aside>
	{#if bodyEntry && instead === 'choose'}
		<ChooseLens body={bodyEntry} {session} />
	{:else if entry && bodyEntry && instead && instead !== 'choose'}
		{#key instead}
			<ExerciseBench exercise={instead} body={bodyEntry} lens={entry} {session} />
		{/key}
	{:else if entry && bodyEntry}
		<section aria-label={bench.title}>
			<HowTo title={bench.title} what={bench.what} steps={bench.steps} mistakes={bench.mistakes}>
				<SetUp isAslant={frames.kind === 'scale'} isByHand={name === 'hands'} />
			</HowTo>
			<ChartOnPaper kind={frames.kind} bind:paper />
			<FramesIn
				of={common.theChart}
				practice={say.shootItWithThePracticeCamera}
				measured={frames.frames.length}
				isBusy={frames.work.isBusy}
				share={frames.work.share ?? 0}
				problem={frames.work.problem}
				passedOver={frames.passedOver}
				onfiles={(files) => void frames.open(files, paper)}
				onshoot={() => void frames.shoot(sitting(), paper)}
				onclear={() => frames.clear()}
				onstop={() => frames.work.stop()}
			/>
			{#if frames.frames.length > 0}
				<div class="result">
					{#if name === 'aperture'}
						<ApertureResult frames={frames.frames} {entry} {session} />
					{:else if name === 'focus'}
						<FocusResult frames={frames.frames} {entry} body={bodyEntry.body} {session} />
					{:else}
						<HandsResult frames={frames.frames} body={bodyEntry.body} lens={entry.lens} {session} />
					{/if}
				</div>
			{/if}
		</section>
	{:else}
		<p>{say.thereIsNoLensOrNo}</p>
	{/if}
</main>

<style>
	.bench {
		display: grid;
		grid-template-columns: 15rem minmax(0, 1fr);
		gap: 1.2rem;
		padding: 0.8rem;
		min-height: 0;
		overflow: auto;
		align-items: start;
	}
	aside,
	section,
	.gear,
	.result {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
	}
	section {
		max-width: 60rem;
	}
	h1 {
		font-size: 1.25rem;
	}
	.small {
		font-size: 1rem;
	}
	aside li button {
		width: 100%;
		text-align: left;
		padding: 0.4rem 0.5rem;
		border-left: 3px solid transparent;
	}
	aside li button:hover {
		background: var(--paper);
	}
	aside li button[aria-current] {
		border-left-color: var(--focus);
		font-weight: 600;
	}
	.note {
		color: var(--ink-2);
	}
	.result {
		border-top: 1px solid var(--rule);
		padding-top: 0.8rem;
	}
	@media (pointer: coarse) {
		aside li button {
			min-height: 2.75rem;
		}
	}
	@media (max-width: 48rem) {
		.bench {
			grid-template-columns: minmax(0, 1fr);
		}
		aside ul {
			display: grid;
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
