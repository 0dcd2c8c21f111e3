<script lang="ts">
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
			session.news = `“${title}” is erased from this device: ${shots} shots, ${steps} steps of their history, ${people} people.`;
		} catch {
			session.news = `“${title}” could not be erased: this browser’s storage did not allow it. Nothing is gone.`;
		}
	}
</script>

<Menu text="Jobs ▾" label="Jobs" bind:isOpen>
	{#each others as job (job.id)}
		<DropdownItem onclick={() => then(() => session.openJob(job.id))}
			><bdi>{job.title}</bdi>, {job.date}</DropdownItem
		>
	{/each}
	<DropdownItem onclick={() => then(() => session.addJob(newJob('New day'), []))}
		>A new day</DropdownItem
	>
	<DropdownItem onclick={() => then(() => openSampleDay(session))}>Sample day</DropdownItem>
	<DropdownItem onclick={() => then(() => (isAsking = true))}
		>Erase this job from this device…</DropdownItem
	>
</Menu>

<Modal title="Erase this job?" size="xs" bind:open={isAsking}>
	<div class="ask">
		<p>
			“<bdi>{day.job.title}</bdi>”, its {day.shots.length} shots with their whole history, and its list
			of people go from this device for good. Files you saved stay where they are. This cannot be undone.
		</p>
		<div>
			<Button color="light" onclick={() => (isAsking = false)}>Keep it</Button>
			<Button onclick={erase}>Erase it</Button>
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
