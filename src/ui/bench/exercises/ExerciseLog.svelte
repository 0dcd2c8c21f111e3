<script lang="ts">
	import { exerciseLogText as say } from '$words/screens/bench/exercises';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import type { Score } from '$core/exercises/exercise';
	import type { ExerciseRecord } from '$core/format/exerciseLog';
	import type { Session } from '../../keeping/session.svelte';
	import type { ExerciseRun } from './exerciseRun.svelte';

	/** What was practised when, and how it went. */
	interface Props {
		run: ExerciseRun;
		session: Session;
		/** The result of the present frames; null without any. */
		score: Score | null;
		lensName: string;
	}

	let { run, session, score, lensName }: Props = $props();
	const shelf = $derived(session.library.shelves.exercises);
	let log = $state.raw<readonly ExerciseRecord[]>([]);
	let problem = $state('');
	/** The frames that were put down, so that nothing is put down twice. */
	let written = $state('');
	const WHEN = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });
	const present = $derived(run.files.map(({ id }) => id).join());
	const shown = $derived(log.filter(({ exercise }) => exercise === run.exercise));
	const best = $derived(Math.max(0, ...shown.map(({ score: { good, of } }) => good / of)));

	async function read() {
		try {
			log = await shelf.all();
		} catch {
			problem = say.theLogCannotBeReadJust;
		}
	}
	void read();

	async function doIt(work: () => Promise<void>) {
		problem = '';
		try {
			await work();
		} catch (error) {
			problem = say.theLogWasNotChanged(error instanceof Error ? error.message : 'unknown');
		}
		await read();
	}

	function write() {
		if (!score) return;
		const record: ExerciseRecord = {
			id: crypto.randomUUID(),
			exercise: run.exercise,
			doneAt: Date.now(),
			isPractice: run.isPractice,
			frames: run.files.length,
			score,
			lensName: run.files[0]?.measured?.facts.lensName?.slice(0, 80) ?? lensName
		};
		const at = present;
		const again = () => {
			written = at;
			void doIt(() => shelf.put(record));
		};
		again();
		session.bench.did({
			words: say.putInTheLog,
			gesture: record.id,
			back: () => {
				written = '';
				void doIt(() => shelf.forget(record.id));
			},
			again
		});
	}

	function forget(record: ExerciseRecord) {
		const again = () => void doIt(() => shelf.forget(record.id));
		again();
		session.bench.did({
			words: say.removedFromTheLog,
			gesture: crypto.randomUUID(),
			back: () => void doIt(() => shelf.put(record)),
			again
		});
	}
</script>

{#if score}
	<div class="row">
		<span><strong>{say.of(score.good, score.of)}</strong> {say.asTheyShouldBe}</span>
		<Button size="xs" disabled={written === present} onclick={write}
			>{written === present ? say.inTheLog : say.putItInTheLog}</Button
		>
	</div>
{/if}
{#if problem}<p role="alert" class="is-soft">{problem}</p>{/if}
{#if shown.length > 0}
	<section aria-label={say.logOfThisExercise}>
		<h3>{common.log}</h3>
		<ol>
			{#each shown as record (record.id)}
				<li>
					<span>{WHEN.format(record.doneAt)}</span>
					<span class="bar" aria-hidden="true"
						><span style:width="{(100 * record.score.good) / record.score.of}%"></span></span
					>
					<span>{say.of(record.score.good, record.score.of)}</span>
					<span class="note"
						><bdi>{record.lensName}</bdi>{say.frames(
							record.frames,
							record.isPractice ? say.practiceCamera : '',
							record.score.good / record.score.of === best && shown.length > 1 ? say.bestSoFar : ''
						)}</span
					>
					<button class="knob" type="button" onclick={() => forget(record)}>{common.remove}</button>
				</li>
			{/each}
		</ol>
	</section>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
	section {
		border-top: 1px solid var(--rule);
		padding-top: 0.8rem;
	}
	h3 {
		font-size: 1rem;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.7rem;
		align-items: center;
	}
	.bar {
		width: 6rem;
		height: 0.5rem;
		border: 1px solid var(--edge);
	}
	.bar span {
		display: block;
		height: 100%;
		background: var(--sharp);
	}
	.note {
		color: var(--ink-2);
		flex: 1;
	}
	@media (pointer: coarse) {
		.row :global(button),
		.knob {
			min-height: 2.75rem;
		}
	}
</style>
