<script lang="ts">
	import { dayScreenText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { untrack } from 'svelte';
	import KitSheet from '../kit/KitSheet.svelte';
	import Choice from '../fields/Choice.svelte';
	import { setRemoved } from '../keeping/dayActions';
	import type { Session } from '../keeping/session.svelte';
	import type { PlaceName } from '../shared/places';
	import AddShot from './AddShot.svelte';
	import { DayView } from './day.svelte';
	import FNumbers from './FNumbers.svelte';
	import JobHead from './JobHead.svelte';
	import People from './People.svelte';
	import ShotList from './ShotList.svelte';
	import SlotSheet from './SlotSheet.svelte';

	/** The day: its shots in order of time, its people, its kit. */
	interface Props {
		session: Session;
		ongo: (place: PlaceName) => void;
		onfiles: () => void;
	}

	let { session, ongo, onfiles }: Props = $props();

	const day = untrack(() => new DayView(session, (place) => ongo(place)));
	const TABS = [
		{ value: 'shots', text: common.shots },
		{ value: 'people', text: common.people }
	] as const;
	let tab = $state<(typeof TABS)[number]['value']>('shots');
	let isKitOpen = $state(false);
	const removed = $derived(
		session.library.shots.filter(({ slot }) => slot.isRemoved && slot.jobId === day.job.id)
	);
</script>

<main class="day" data-tab={tab}>
	<div class="head">
		<JobHead {day} />
		<div class="tabs">
			<Choice
				label={common.show2}
				quiet
				options={TABS}
				value={tab}
				onchoose={(next) => (tab = next)}
			/>
		</div>
	</div>
	<section class="shots" aria-label={common.shots}>
		<div class="bar">
			<AddShot {session} onadd={() => (day.search = '')} />
			<input
				class="typed"
				type="search"
				aria-label={say.findAShot}
				placeholder={say.shotPlaceOrPerson}
				bind:value={day.search}
			/>
			{#if day.search}<span role="status">{say.of(day.found.length, day.shots.length)}</span>{/if}
			<button class="knob" type="button" onclick={() => (isKitOpen = true)}>{common.kit}</button>
			<button class="knob" type="button" onclick={onfiles}>{say.files}</button>
		</div>
		{#if day.shots.length > 0}
			<ShotList {day} />
			<FNumbers {day} />
			{#if day.found.length === 0}<p class="empty">{say.nothingMatchesThat}</p>{/if}
		{:else}
			<p class="empty">
				{say.noShotsYetAddOneWith}
			</p>
		{/if}
		{#if removed.length > 0}
			<details>
				<summary>{say.removed(removed.length)}</summary>
				{#each removed as one (one.id)}
					<button class="knob" type="button" onclick={() => void setRemoved(session, one.id, false)}
						>{say.bringBack}<bdi>{one.shot.title}</bdi>”</button
					>
				{/each}
			</details>
		{/if}
	</section>
	<aside><People {day} /></aside>
</main>
<SlotSheet {day} />
<Modal title={common.kit} bind:open={isKitOpen} size="md"><KitSheet /></Modal>

<style>
	.day {
		flex: 1;
		min-height: 0;
		display: grid;
		grid-template-columns: minmax(0, 1fr) 20rem;
		grid-template-rows: auto minmax(0, 1fr);
		gap: 0.6rem 1.6rem;
		padding: 0.7rem 1.25rem 0;
	}
	.head {
		grid-column: 1 / -1;
	}
	.tabs {
		display: none;
	}
	.shots,
	aside {
		overflow: auto;
		padding-bottom: 1rem;
		min-height: 0;
	}
	aside {
		border-left: 1px solid var(--rule);
		padding-left: 1.2rem;
	}
	.bar {
		position: sticky;
		top: 0;
		z-index: 3;
		display: flex;
		gap: 0.5rem;
		align-items: center;
		padding: 0.2rem 0 0.5rem;
		background: var(--paper);
		border-bottom: 1px solid var(--ink);
	}
	.bar input {
		flex: 1;
		min-width: 0;
		max-width: 24rem;
		margin-left: auto;
	}
	.empty {
		padding: 2rem 0.5rem;
		color: var(--ink-2);
		font-size: 1rem;
	}
	details {
		padding: 0.7rem 0.5rem;
		color: var(--ink-2);
	}
	details .knob {
		margin: 0.4rem 0.4rem 0 0;
	}
	@media (max-width: 45rem) {
		.day {
			display: flex;
			flex-direction: column;
			padding: 0.4rem 0.6rem 0;
		}
		.tabs {
			display: block;
			padding-top: 0.4rem;
		}
		.shots,
		aside {
			overflow: visible;
		}
		aside {
			border-left: 0;
			padding-left: 0;
		}
		[data-tab='shots'] aside,
		[data-tab='people'] .shots {
			display: none;
		}
	}
</style>
