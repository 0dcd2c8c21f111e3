<script lang="ts">
	import { rowMenuText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
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

<Menu text="⋯" label={say.moreFor(record.shot.title)} bind:isOpen>
	<DropdownItem onclick={() => then(() => (day.editingId = record.id))}
		>{say.nameTimeAndPlace}</DropdownItem
	>
	<DropdownItem onclick={() => then(() => day.duplicate(record))}>{common.duplicate}</DropdownItem>
	<DropdownItem
		onclick={() =>
			then(() =>
				day.changeSlot(
					record,
					{ isLocked: !isLocked },
					say.theTimeOf(isLocked ? 'unlocking' : 'locking', record.shot.title)
				)
			)}>{say.theTime(isLocked ? say.unlock : say.lock)}</DropdownItem
	>
	{#if !isFirst && !isLocked}
		<DropdownItem onclick={() => then(() => day.move(record, place - 1))}
			>{say.earlier}</DropdownItem
		>
	{/if}
	{#if !isLast && !isLocked}
		<DropdownItem onclick={() => then(() => day.move(record, place + 1))}>{say.later}</DropdownItem>
	{/if}
	{#each others as job (job.id)}
		<DropdownItem onclick={() => then(() => day.moveToJob(record, job))}
			>{say.moveTo}<bdi>{job.title}</bdi>”</DropdownItem
		>
	{/each}
	<DropdownItem onclick={() => then(() => day.takeOut(record))}>{common.remove}</DropdownItem>
</Menu>
