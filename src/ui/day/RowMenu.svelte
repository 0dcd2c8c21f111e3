<script lang="ts">
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import type { ShotRecord } from '$data/store/database';
	import Menu from '../shared/Menu.svelte';
	import type { DayView } from './day.svelte';

	/** What else can be done with a shot of the day. */
	interface Props {
		day: DayView;
		record: ShotRecord;
		isFirst: boolean;
		isLast: boolean;
	}

	let { day, record, isFirst, isLast }: Props = $props();
	let isOpen = $state(false);

	const isLocked = $derived(record.slot.isLocked ?? false);
	const place = $derived(day.shots.findIndex(({ id }) => id === record.id));
	const others = $derived(day.session.library.jobs.filter(({ id }) => id !== day.job.id));
	function then(action: () => unknown) {
		isOpen = false;
		void action();
	}
</script>

<Menu text="⋯" label="more for {record.shot.title}" bind:isOpen>
	<DropdownItem onclick={() => then(() => (day.editingId = record.id))}
		>Name, time and place…</DropdownItem
	>
	<DropdownItem onclick={() => then(() => day.duplicate(record))}>Duplicate</DropdownItem>
	<DropdownItem
		onclick={() =>
			then(() =>
				day.changeSlot(
					record,
					{ isLocked: !isLocked },
					`${isLocked ? 'unlocking' : 'locking'} the time of “${record.shot.title}”`
				)
			)}>{isLocked ? 'Unlock' : 'Lock'} the time</DropdownItem
	>
	{#if !isFirst && !isLocked}
		<DropdownItem onclick={() => then(() => day.move(record, place - 1))}>Earlier</DropdownItem>
	{/if}
	{#if !isLast && !isLocked}
		<DropdownItem onclick={() => then(() => day.move(record, place + 1))}>Later</DropdownItem>
	{/if}
	{#each others as job (job.id)}
		<DropdownItem onclick={() => then(() => day.moveToJob(record, job))}
			>Move to “<bdi>{job.title}</bdi>”</DropdownItem
		>
	{/each}
	<DropdownItem onclick={() => then(() => day.takeOut(record))}>Take out</DropdownItem>
</Menu>
