<script lang="ts">
	import { shotRowText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import type { Solution } from '$core/study/plan';
	import { STATUSES } from '$core/format/job';
	import type { ShotRecord } from '$data/store/database';
	import Named from '../shared/Named.svelte';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import { holdState } from '$core/study/take';
	import { whenIdle } from '../browser/whenIdle';
	import TakenLine from '../shared/TakenLine.svelte';
	import { watchSight } from '../browser/sight';
	import StateMark from '../shared/StateMark.svelte';
	import { useKit } from '../kit/kit.svelte';
	import { clock, durationWords, STATUS_WORDS, verdictWords } from '$words/day';
	import SmallStage from '../drawing/SmallStage.svelte';
	import { askSolution } from '../keeping/solutions';
	import type { DayView } from './day.svelte';
	import RowMenu from './RowMenu.svelte';

	/** One shot of the day: when, where, the verdict in short, the stage in small, the status. */
	interface Props {
		day: DayView;
		record: ShotRecord;
		isFirst: boolean;
		isLast: boolean;
		/** When it would start if what is dragged were dropped here; null where that changes nothing. */
		wouldStart: string | null;
		/** By the clock it is the one to take now, or the next. */
		isDue: boolean;
	}

	let { day, record, isFirst, isLast, wouldStart, isDue }: Props = $props();

	const kit = useKit();
	const shot = $derived(record.shot);
	const slot = $derived(record.slot);
	let row = $state<HTMLElement>();
	let isNear = $state(false);
	let solution = $state.raw<Solution | null>(null);
	const verdict = $derived(
		solution?.study.shot === shot ? verdictWords(solution, settings.units) : null
	);

	/** What is within this of what is seen is near, px. */
	const NEAR_PX = 300;

	// made and worked out when it comes near what is seen and the page has a moment
	$effect(() => {
		if (!row || isNear) return;
		let callOff = () => {};
		const stop = watchSight(
			row,
			(isIt) => {
				callOff();
				callOff = isIt ? whenIdle(() => (isNear = true)) : () => {};
			},
			NEAR_PX
		);
		return () => {
			stop();
			callOff();
		};
	});
	$effect(() => {
		if (isNear) return askSolution(shot, kit.contents.spreads, (found) => (solution = found));
	});

	const statuses = STATUSES.map((value) => ({ value, text: STATUS_WORDS[value] }));
</script>

<div class="row {slot.status}" bind:this={row} class:open={record.id === day.session.shotId}>
	<button
		class="time"
		type="button"
		aria-label={say.change(
			clock(slot.startsAt),
			durationWords(slot.minutes),
			slot.isLocked ? say.locked : ''
		)}
		onclick={() => (day.editingId = record.id)}
	>
		{#if wouldStart}
			<strong class="would">{clock(wouldStart)}</strong>
			<span><s>{clock(slot.startsAt)}</s></span>
		{:else}
			<strong>{clock(slot.startsAt)}</strong>
			<span>{durationWords(slot.minutes)}{slot.isLocked ? say.locked : ''}</span>
			{#if isDue}<span class="due">{say.due}</span>{/if}
		{/if}
	</button>
	<div class="drawing">
		{#if isNear}<SmallStage {shot} />{/if}
	</div>
	<div class="words">
		<button class="title" type="button" onclick={() => day.go(record.id, 'plan')}>
			<bdi>{shot.title}</bdi>
		</button>
		{#if slot.place}<span class="place"><bdi>{slot.place}</bdi></span>{/if}
		<p class="verdict">
			{#if verdict}
				{#if solution?.plan.focus}
					<StateMark state={holdState(solution.take)} />
				{/if}
				<Named {shot} text={verdict} />
			{:else if isNear && shot.people.length + shot.things.length === 0}
				{say.nobodyIsThereYet}
			{/if}
		</p>
		{#if slot.status === 'taken' && slot.taken}<TakenLine taken={slot.taken} />{/if}
	</div>
	<!-- a long day opens at once: what is far away gets its controls when it comes near -->
	{#if isNear}
		<div class="status">
			<Pick
				quiet
				label={say.statusOf(shot.title)}
				options={statuses}
				value={slot.status}
				onchoose={(status) => day.setStatus(record, status)}
			/>
		</div>
		<div class="tools">
			<button class="knob" type="button" onclick={() => day.go(record.id, 'card')}
				>{common.card}<span class="sr-only"> {say.of(shot.title)}</span></button
			>
			<RowMenu {day} {record} {isFirst} {isLast} />
		</div>
	{/if}
</div>

<style>
	.row {
		display: grid;
		grid-template-columns: 4.2rem 6.6rem minmax(0, 1fr) 6.6rem auto;
		gap: 0.8rem;
		align-items: center;
		padding: 0.45rem 0.5rem;
		min-height: 4.7rem;
	}
	.row.open {
		background: var(--sheet);
	}
	.time {
		text-align: left;
		line-height: 1.15;
		padding: 0.3rem 0.2rem;
		border-radius: 3px;
	}
	.time:hover {
		background: var(--sheet);
	}
	.time strong {
		display: block;
		font-size: 1.15rem;
	}
	.time .due {
		background: var(--focus);
		color: var(--sheet);
		border-radius: 3px;
		padding: 0 0.3rem;
		display: inline-block;
	}
	.would {
		color: var(--focus);
	}
	.time span,
	.place {
		color: var(--ink-2);
	}
	.title {
		font-family: var(--font-serif);
		font-weight: 600;
		font-size: 1.05rem;
		text-align: left;
		margin-right: 0.5rem;
	}
	.title:hover {
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	.skipped .title {
		color: var(--ink-2);
		text-decoration: line-through;
	}
	.taken .title::before {
		content: '✓ ';
		color: var(--sharp);
	}
	.verdict {
		display: -webkit-box;
		-webkit-box-orient: vertical;
		-webkit-line-clamp: 2;
		line-clamp: 2;
		overflow: hidden;
	}
	.drawing {
		min-height: 3.75rem;
	}
	.tools {
		display: flex;
		gap: 0.3rem;
	}
	@media (max-width: 45rem) {
		.row {
			grid-template-columns: 3.6rem minmax(0, 1fr) auto;
			gap: 0.2rem 0.6rem;
			/* the pause before the next one lies over the edge */
			padding: 0.5rem 0.2rem 0.8rem;
		}
		.words {
			grid-column: 2 / -1;
		}
		.drawing {
			display: none;
		}
		.time {
			grid-row: 1 / 3;
			align-self: start;
		}
		.status {
			grid-column: 2;
		}
	}
</style>
