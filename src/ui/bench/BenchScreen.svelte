<script lang="ts">
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
			title: 'Best aperture',
			what: 'At which f-number your lens is sharpest, and from which on its corners are.',
			steps: [
				'Print the chart and hang it flat, in even light. Camera on a tripod, straight on, so near that the sheet fills the frame.',
				'Aperture priority, lowest ISO, stabiliser off, self-timer. Focus once on the middle, then leave the focus alone.',
				'Two frames or more at every f-number, from the widest to 11.',
				'Choose all of them here.'
			],
			mistakes:
				'Focusing anew between frames; shutters slow enough to shake; paper so bright that it is pure white.',
			sitting: apertureSitting
		},
		focus: {
			title: 'Front or back',
			what: 'Whether your lens focuses in front of what it is told to, or behind, and by how much.',
			steps: [
				'Print the scale. Turn it by 45 degrees, its right side away; camera on a tripod, level with it, about 25 to 30 focal lengths away.',
				'Widest aperture, single focusing, one point on the upright line.',
				'Six frames or more: turn the focus far off before each, and let the camera focus anew.',
				'Choose all of them here.'
			],
			mistakes:
				'Focusing on the bars instead of the line; turning the camera instead of the chart.',
			sitting: focusSitting
		},
		hands: {
			title: 'My hands',
			what: 'How slow a shutter you hold, and how far you sway.',
			steps: [
				'The sharpness chart again, straight on, in good light. Stand as you would at work, camera in the hand.',
				'Shutter priority, ISO automatic. Six frames at a shutter at which nothing shakes: one over sixteen times the focal length.',
				'Six frames each at one over the focal length, at twice and at four times that; focus anew for each frame.',
				'Choose all of them here.'
			],
			mistakes: 'Leaning on something for some of them; a new place to stand between frames.',
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
	<aside aria-label="Benches">
		<h1>Bench</h1>
		<p class="note">
			Everything the odds assume can be measured at a table in a quarter of an hour.
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
					onclick={() => (instead = 'choose')}>Choose a lens</button
				>
			</li>
		</ul>
		<h2 class="small">Exercises</h2>
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
						label="Lens"
						options={lenses.map(({ id, lens }) => ({ value: id, text: lens.name }))}
						value={entry.id}
						onchoose={(id) => (chosenLens = id)}
					/>{/if}
				<Pick
					label="Body"
					options={bodies.map(({ id, body }) => ({ value: id, text: body.name }))}
					value={bodyEntry.id}
					onchoose={(id) => (chosenBody = id)}
				/>
			</div>
			{#if known && !known.isTyped && instead !== 'choose'}
				<p class="note">
					<bdi>{entry.lens.name}</bdi>: sharpness measured on {known.date}, {known.frames} frames, on
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
				of="the chart"
				practice="Shoot it with the practice camera"
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
		<p>There is no lens or no body in the kit: add one under “kit” on Plan.</p>
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
