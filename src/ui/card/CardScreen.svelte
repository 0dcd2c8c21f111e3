<script lang="ts">
	import { cardScreenText as say } from '$words/screens/card';
	import { commonText as common } from '$words/screens/common';
	import { untrack } from 'svelte';
	import { ASKS_FOR_NOTHING } from '$words/reasons';
	import { dueAt } from '$core/day/schedule';
	import { clock } from '$words/day';
	import { WallClock } from '../browser/clock.svelte';
	import { localMinute } from '../browser/localTime';
	import { indexOfOpen, stepBy } from '../keeping/dayActions';
	import { useKit } from '../kit/kit.svelte';
	import type { Session } from '../keeping/session.svelte';
	import type { PlaceName } from '../shared/places';
	import TakenLine from '../shared/TakenLine.svelte';
	import { CardView } from './card.svelte';
	import CardFace from './CardFace.svelte';
	import UnplannedScreen from './UnplannedScreen.svelte';
	import ShootIt from '../practice/ShootIt.svelte';
	import Steppers from './Steppers.svelte';
	import { swiping } from './swipe';
	import TakenSheet from './TakenSheet.svelte';
	import { keepAwake } from '../browser/wakeLock';

	/** What one carries: one shot, large; and a shot that nobody planned. */
	interface Props {
		session: Session;
		ongo: (place: PlaceName) => void;
	}

	let { session, ongo }: Props = $props();

	const kit = useKit();
	const card = untrack(() => new CardView(session, kit));
	let isUnplanned = $state(false);
	const wall = new WallClock();
	/** The shot that is due by the clock. */
	const due = $derived.by(() => {
		const todo = session.jobShots.filter(({ slot: { status } }) => status === 'planned');
		return (
			todo[
				dueAt(
					todo.map((one) => one.slot),
					wall.minute
				)
			] ?? null
		);
	});
	let isAwake = $state(false);
	let isTaking = $state(false);
	let shooting = $state<ShootIt>();
	const slot = $derived(session.slot);
	const count = $derived(session.jobShots.length);
	const index = $derived(indexOfOpen(session));

	$effect(() => keepAwake((awake) => (isAwake = awake)));

	function press(event: KeyboardEvent) {
		const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -1, PageDown: 1 }[event.key];
		const target = event.target as Element;
		if (!by || isUnplanned || target.closest('input, select, textarea, dialog')) return;
		event.preventDefault();
		void stepBy(session, by);
	}
</script>

<svelte:window onkeydown={press} />

{#if isUnplanned}
	<UnplannedScreen
		{session}
		onclose={() => (isUnplanned = false)}
		onkept={() => {
			isUnplanned = false;
			ongo('card');
		}}
	/>
{:else}
	<main class="card" use:swiping={(by) => void stepBy(session, by)}>
		<header>
			<button
				class="knob turn"
				type="button"
				aria-label={say.previousCard}
				disabled={index <= 0}
				onclick={() => void stepBy(session, -1)}>‹</button
			>
			<div class="what">
				<p>
					{say.of(index + 1, count)}{#if slot}, {clock(slot.startsAt)}{#if slot.place}, <bdi
								>{slot.place}</bdi
							>{/if}{/if}
					{#if slot?.status === 'taken'}<strong class="is-sharp">{say.taken}</strong>{/if}
					{#if slot?.status === 'skipped'}<strong>{say.skipped}</strong>{/if}
				</p>
				<h1><bdi>{card.planned.title}</bdi></h1>
			</div>
			<button
				class="knob turn"
				type="button"
				aria-label={say.nextCard}
				disabled={index >= count - 1}
				onclick={() => void stepBy(session, 1)}>›</button
			>
		</header>
		{#if card.isDifferent}
			<p class="apart" role="status">{say.changedOnTheSpotThePlan}</p>
		{/if}
		<div class="front">
			{#if card.content && card.solution}
				<CardFace content={card.content} solution={card.solution} />
			{:else}
				<p class="nothing">{ASKS_FOR_NOTHING}</p>
			{/if}
		</div>
		<div class="hands">
			<div class="mark">
				<button class="knob" type="button" onclick={() => (isTaking = true)}>{say.taken2}</button>
				{#if slot?.status === 'planned'}
					<button class="knob" type="button" onclick={() => card.mark('skipped')}>{say.skip}</button
					>
				{:else}
					<button class="knob" type="button" onclick={() => card.mark('planned')}
						>{say.stillToDo}</button
					>
				{/if}
				{#if due && due.id !== session.shotId}
					<button class="knob" type="button" onclick={() => void session.open(due.id)}
						>{say.now} <bdi>{clock(due.slot.startsAt)}</bdi></button
					>
				{/if}
				<button class="knob" type="button" onclick={() => (isUnplanned = true)}
					>{common.unplanned}</button
				>
			</div>
			{#if slot?.status === 'taken' && slot.taken}<TakenLine taken={slot.taken} />{/if}
			<Steppers {card} />
			{#if card.solution?.take}
				<button class="in-text" type="button" onclick={() => shooting?.shoot()}
					><span>{say.shootItWithThePracticeCamera}</span></button
				>
			{/if}
			<p class="awake">
				{isAwake ? say.theScreenStaysAwakeWhileThe : say.thisBrowserLetsTheScreenFall}
			</p>
		</div>
	</main>
	<TakenSheet {card} bind:open={isTaking} />
	<ShootIt
		bind:this={shooting}
		shotId={session.shotId}
		solution={card.solution}
		spreads={kit.contents.spreads}
		startsAt={slot?.startsAt ?? localMinute()}
		timeZone={session.job?.timeZone}
	/>
{/if}

<style>
	.card {
		flex: 1;
		display: grid;
		grid-template-columns: minmax(0, 1fr) 20rem;
		grid-template-rows: auto auto minmax(0, 1fr);
		gap: 0.4rem 2rem;
		width: 100%;
		max-width: 100rem;
		margin: 0 auto;
		padding: 0.6rem 1.25rem 1rem;
		align-content: start;
		overflow: auto;
	}
	header,
	.apart {
		grid-column: 1 / -1;
	}
	header {
		display: grid;
		grid-template-columns: 3rem minmax(0, 1fr) 3rem;
		align-items: center;
		gap: 0.6rem;
		border-bottom: 1px solid var(--ink);
		padding-bottom: 0.4rem;
	}
	.turn {
		min-height: 3rem;
		font-size: 1.5rem;
	}
	.what {
		text-align: center;
	}
	.what p {
		color: var(--ink-2);
		font-size: 1rem;
	}
	h1 {
		font-size: 1.5rem;
		line-height: 1.15;
	}
	.apart {
		background: var(--warn);
		padding: 0.3rem 0.6rem;
		font-size: 1rem;
	}
	.front {
		padding-top: 0.3rem;
	}
	.nothing {
		font-size: 1.2rem;
	}
	.mark {
		display: flex;
		gap: 0.5rem;
		padding: 0.3rem 0 0.7rem;
	}
	.mark .knob {
		flex: 1 1 auto;
		padding-inline: 0.4rem;
		min-height: 3rem;
		font-size: 1.05rem;
	}
	.awake {
		color: var(--ink-2);
	}
	@media (max-width: 45rem) {
		.card {
			display: flex;
			flex-direction: column;
			padding: 0.3rem 0.7rem 1rem;
			overflow: visible;
		}
		.front,
		.hands {
			display: contents;
		}
		/* under the thumb, whatever is read above it */
		.mark {
			position: sticky;
			bottom: var(--places, 0);
			background: var(--paper);
			z-index: 4;
		}
	}
</style>
