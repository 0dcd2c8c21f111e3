<script lang="ts">
	import { jobsMenuText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { newJob } from '../keeping/dayActions';
	import Menu from '../shared/Menu.svelte';
	import { openSampleDay } from '../keeping/sample';
	import type { DayView } from './day.svelte';

	/** Other jobs, a new one, and erasing this one. */
	let { day }: { day: DayView } = $props();

	let isOpen = $state(false);
	let isAsking = $state(false);

	const { session } = $derived(day);
	const others = $derived(session.library.jobs.filter(({ id }) => id !== day.job.id));
	function then(action: () => unknown) {
		isOpen = false;
		void action();
	}
	async function erase() {
		const { id, title } = day.job;
		isAsking = false;
		try {
			const { shots, steps, people } = await session.erase(id);
			session.news = say.wasErasedFromThisDeviceShots(title, shots, steps, people);
		} catch {
			session.news = say.couldNotBeErasedThisBrowsers(title);
		}
	}
</script>

<Menu text={say.jobs} label={say.jobs2} bind:isOpen>
	{#each others as job (job.id)}
		<DropdownItem onclick={() => then(() => session.openJob(job.id))}
			><bdi>{job.title}</bdi>, {job.date}</DropdownItem
		>
	{/each}
	<DropdownItem onclick={() => then(() => session.addJob(newJob(say.newDay), []))}
		>{say.aNewDay}</DropdownItem
	>
	<DropdownItem onclick={() => then(() => openSampleDay(session))}>{common.sampleDay}</DropdownItem>
	<DropdownItem onclick={() => then(() => (isAsking = true))}
		>{say.eraseThisJobFromThisDevice}</DropdownItem
	>
</Menu>

<Modal title={say.eraseThisJob} size="xs" bind:open={isAsking}>
	<div class="ask">
		<p>
			“<bdi>{day.job.title}</bdi>{say.itsShotsWithTheirWholeHistory(day.shots.length)}
		</p>
		<div>
			<Button color="light" onclick={() => (isAsking = false)}>{say.keepIt}</Button>
			<Button onclick={erase}>{say.eraseIt}</Button>
		</div>
	</div>
</Modal>

<style>
	.ask {
		display: flex;
		flex-direction: column;
		gap: 0.8rem;
		color: var(--ink);
	}
	.ask div {
		display: flex;
		gap: 0.5rem;
	}
</style>
