<script lang="ts">
	import WorkBar from '../working/WorkBar.svelte';
	import { practiceDayText as say } from '$words/screens/practice';
	import { commonText as common } from '$words/screens/common';
	import { onDestroy } from 'svelte';
	import { asksForSomething } from '$core/study/study';
	import type { Spreads } from '$core/tables/spreads';
	import { zipped, type Zipped } from '$files/out/zip';
	import { rollsOf } from '../../practice/day';
	import type { RollOrder } from '../../practice/roll';
	import { practicePort, type TakenFrame } from '../../workers/ports';
	import { fileName, savedWords, writeFile } from '../browser/saving';
	import type { Session } from '../keeping/session.svelte';
	import { takenAt } from './takenAt';

	/** The whole day taken by the practice camera, as one ZIP of photographs. */
	let { session, spreads }: { session: Session; spreads: Spreads } = $props();

	const FRAMES_OF_EACH = 6;
	const LONG_SIDE_PX = 1200;
	const SEED = 1;

	/** How many frames are done, of how many; null while nothing is being done. */
	let done = $state<{ readonly frames: number; readonly of: number } | null>(null);
	let said = $state('');
	let control: AbortController | null = null;
	onDestroy(() => control?.abort(new Error(common.givenUp)));

	function ordersOfDay(): RollOrder[] {
		const shots = session.jobShots
			.filter(({ shot }) => asksForSomething(shot))
			.map(({ shot, slot }) => ({ shot, ...takenAt(slot.startsAt, session.job?.timeZone) }));
		return rollsOf({
			shots,
			framesOfEach: FRAMES_OF_EACH,
			seed: SEED,
			longSidePx: LONG_SIDE_PX,
			spreads
		});
	}

	/** Frames as they come: the next roll is begun when the one before is in the file. */
	async function* taken(orders: readonly RollOrder[], signal: AbortSignal): AsyncGenerator<Zipped> {
		for (const order of orders) {
			const frames: TakenFrame[] = [];
			await practicePort.ask(
				'roll',
				{ order, from: 0 },
				{
					signal,
					tell: (news) => {
						if (news.kind !== 'frame') return;
						frames.push(news);
						if (done) done = { ...done, frames: done.frames + 1 };
					}
				}
			);
			for (const { name, jpeg } of frames) yield { name, content: jpeg };
		}
	}

	async function save() {
		control = new AbortController();
		const { signal } = control;
		said = '';
		try {
			const orders = ordersOfDay();
			done = { frames: 0, of: orders.length * FRAMES_OF_EACH };
			const name = `${fileName(session.job?.title ?? 'day')}-practice.zip`;
			const saved = await writeFile(name, () => zipped(taken(orders, signal)));
			said = savedWords(saved, name);
		} catch (error) {
			if (!signal.aborted) {
				said = say.thatDidNotWork(error instanceof Error ? error.message : 'unknown');
			}
		} finally {
			done = null;
		}
	}
</script>

{#if done}
	<button class="knob" type="button" onclick={() => control?.abort(new Error(common.givenUp))}
		>{common.stop}</button
	>
	<WorkBar share={done.frames / Math.max(1, done.of)} label={say.framesTaken} />
	<span role="status">{say.ofFrames(done.frames, done.of)}</span>
{:else}
	<button
		class="knob"
		type="button"
		disabled={session.jobShots.length === 0}
		onclick={() => void save()}>{say.practiceFramesZip}</button
	>
	<span role="status">{said || say.everyShotSixTimesAsThe}</span>
{/if}

<style>
	button {
		min-width: 10rem;
	}
	span {
		color: var(--ink-2);
	}
</style>
