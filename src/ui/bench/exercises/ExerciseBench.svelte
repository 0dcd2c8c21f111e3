<script lang="ts">
	import { exerciseBenchText as say } from '$words/screens/bench/exercises';
	import { untrack } from 'svelte';
	import type { ExerciseName } from '$core/format/exerciseLog';
	import { readExercise } from '$core/exercises/reading';
	import type { KitBody, KitLens } from '$data/store/database';
	import { exerciseCaption, exerciseWords } from '$words/exercises';
	import { settingsWords } from '$words/review';
	import { useKit } from '../../kit/kit.svelte';
	import type { Session } from '../../keeping/session.svelte';
	import SmallPicture from '../../frames/SmallPicture.svelte';
	import { settings } from '../../shared/settings.svelte';
	import FramesIn from '../parts/FramesIn.svelte';
	import HowTo from '../parts/HowTo.svelte';
	import ExerciseLog from './ExerciseLog.svelte';
	import ExerciseSetUp from './ExerciseSetUp.svelte';
	import ExerciseSheet from './ExerciseSheet.svelte';
	import { HAS_OBJECTS, runOf } from './exerciseRun.svelte';
	import PointAtObjects from './PointAtObjects.svelte';
	import { EXERCISE_TEXTS } from './texts';

	/** One exercise: how it goes, its frames, and what they say. Keyed by its name. */
	interface Props {
		exercise: ExerciseName;
		body: KitBody;
		lens: KitLens;
		session: Session;
	}

	let { exercise, body, lens, session }: Props = $props();
	const kit = useKit();
	// another exercise is another component
	const run = untrack(() => runOf(exercise, session));
	const text = $derived(EXERCISE_TEXTS[exercise]);
	let seed = 1;

	const measured = $derived(run.files.flatMap(({ measured }) => measured ?? []));
	const bodies = $derived(kit.contents.bodies.map((one) => one.body));
	const isPointed = $derived(!HAS_OBJECTS[exercise] || run.nextObject === null);
	const reading = $derived(
		measured.length > 0 && isPointed ? readExercise(exercise, measured, bodies) : null
	);
	const words = $derived(reading ? exerciseWords(reading, settings.units) : []);
	const { home } = run;
	const isBusy = $derived(run.work.isBusy || home.isMeasuring || home.following.isBusy);

	/** The shortest of the others, or the longest where this one is short. */
	const otherLens = $derived.by(() => {
		const others = kit.lensesFor(body.body).filter(({ name }) => name !== lens.lens.name);
		const byFocal = others.toSorted((a, b) => a.focalMm[0] - b.focalMm[0]);
		const own = lens.lens.focalMm[0];
		const [short, long] = [byFocal[0], byFocal.at(-1)];
		if (!short || !long) return null;
		return own / short.focalMm[0] > long.focalMm[0] / own ? short : long;
	});

	const shoot = () =>
		void run.shoot({
			body: body.body,
			lens: lens.lens,
			otherLens,
			spreads: kit.contents.spreads,
			seed: seed++
		});
</script>

<section aria-label={text.title}>
	<HowTo {...text}><ExerciseSetUp {exercise} /></HowTo>
	<FramesIn
		of={say.theExercise}
		practice={say.doItWithThePracticeCamera}
		measured={measured.length}
		{isBusy}
		share={run.work.share ?? measured.length / Math.max(1, home.files.length)}
		problem={run.work.problem || home.following.problem}
		passedOver={run.passedOver}
		onfiles={(files) => run.open(files)}
		onshoot={shoot}
		onclear={() => run.clear()}
		onstop={() => run.stop()}
	/>
	{#if home.trouble}<p role="alert" class="is-soft">{home.trouble}</p>{/if}
	{#if measured.length > 0}
		<div class="result">
			<!-- the practice camera knows where they stand, unless it was stopped before it had pointed at them -->
			{#if HAS_OBJECTS[exercise] && (!run.isPractice || (run.nextObject && !isBusy))}
				<PointAtObjects {run} />
			{/if}
			{#if reading && !isBusy}
				<div role="status">
					{#each words as sentence, i (i)}
						<p class:first={i === 0}>{sentence}</p>
					{/each}
				</div>
			{/if}
			<ol class="strip" aria-label={say.framesOfTheExercise}>
				{#each run.files as file, i (file.id)}
					<li>
						<SmallPicture file={file.file} />
						<span class="number">{i + 1}</span>
						{#if reading}<span>{exerciseCaption(reading, i, settings.units)}</span>{/if}
						{#if file.measured}<span class="note">{settingsWords(file.measured)}</span>{/if}
					</li>
				{/each}
			</ol>
			{#if run.isPractice}
				<p class="note">
					{say.practiceFramesAreSmallBlurOf}
				</p>
			{/if}
			{#if reading && !isBusy}
				<ExerciseSheet title={text.title} {reading} files={run.files} />
			{/if}
		</div>
	{/if}
	<ExerciseLog
		{run}
		{session}
		score={isBusy ? null : (reading?.score ?? null)}
		lensName={lens.lens.name}
	/>
</section>

<style>
	section,
	.result {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		max-width: 60rem;
		min-width: 0;
	}
	.note {
		color: var(--ink-2);
	}
	.result {
		border-top: 1px solid var(--rule);
		padding-top: 0.8rem;
	}
	.first {
		font-weight: 600;
	}
	.strip {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
		gap: 0.6rem;
	}
	.strip li {
		position: relative;
		display: flex;
		flex-direction: column;
		font-size: 0.8rem;
		line-height: 1.25;
	}
	.number {
		position: absolute;
		left: 0.25rem;
		top: 0.25rem;
		background: var(--sheet);
		border-radius: 0.2rem;
		padding: 0 0.35rem;
		font-weight: 600;
	}
</style>
