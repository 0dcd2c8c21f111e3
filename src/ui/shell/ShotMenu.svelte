<script lang="ts">
	import { shotMenuText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { LIMITS } from '$core/format/shot';
	import { addShot, setRemoved } from '../keeping/dayActions';
	import { newShot } from '../keeping/newShot';
	import DeviceButtons from './DeviceButtons.svelte';
	import { saveShotFile } from '../browser/saving';
	import { openSampleDay } from '../keeping/sample';
	import type { Session } from '../keeping/session.svelte';

	/** The job's shots, and what can be done with the open one. */
	interface Props {
		session: Session;
		onfiles: () => void;
		onhelp: () => void;
	}

	let { session, onfiles, onhelp }: Props = $props();

	let isOpen = $state(false);

	const shot = $derived(session.shot);
	const shots = $derived(session.jobShots);
	const number = $derived(shots.findIndex(({ id }) => id === session.shotId) + 1);
	const removed = $derived(
		session.library.shots.filter(({ slot }) => slot.isRemoved && slot.jobId === session.job?.id)
	);
	const others = $derived(session.library.jobs.filter(({ id }) => id !== session.job?.id));
	let gesture = '';

	async function then(action: Promise<void> | void) {
		isOpen = false;
		await action;
	}

	function rename(title: string) {
		if (shot && title.trim() !== '') session.change({ ...shot, title }, gesture);
	}
</script>

{#if shot}
	<button
		class="knob bare crumb"
		type="button"
		aria-haspopup="dialog"
		onclick={() => (isOpen = true)}
	>
		<span class="job">{say.of(session.job?.title ?? '', number, shots.length)}</span>
		<strong><bdi>{shot.title}</bdi></strong>
		<span aria-hidden="true">▾</span>
	</button>
	<Modal title={session.job?.title ?? common.shots} bind:open={isOpen} size="sm">
		<div class="menu">
			<label>
				{say.titleOfThisShot}
				<input
					type="text"
					maxlength={LIMITS.title}
					value={shot.title}
					onfocus={() => (gesture = session.newGesture('title'))}
					oninput={(event) => rename(event.currentTarget.value)}
				/>
			</label>
			<label>
				{common.notes}
				<textarea
					rows="2"
					maxlength={LIMITS.notes}
					value={shot.notes}
					onfocus={() => (gesture = session.newGesture('notes'))}
					oninput={(event) =>
						session.change({ ...shot, notes: event.currentTarget.value }, gesture)}></textarea>
			</label>
			<div class="actions">
				<Button size="xs" color="light" onclick={() => then(saveShotFile(shot))}
					>{common.saveToAFile}</Button
				>
				<Button size="xs" color="light" onclick={() => then(onfiles())}>{say.files}</Button>
				<Button
					size="xs"
					color="light"
					onclick={() => then(addShot(session, newShot(common.newShot)))}>{common.newShot}</Button
				>
				<Button
					size="xs"
					color="light"
					onclick={() =>
						then(addShot(session, { ...shot, title: say.copy(shot.title).slice(0, LIMITS.title) }))}
				>
					{common.duplicate}
				</Button>
				{#if session.shotId && shots.length > 1}
					{@const id = session.shotId}
					<Button size="xs" color="light" onclick={() => then(setRemoved(session, id, true))}
						>{common.remove}</Button
					>
				{/if}
				<Button size="xs" color="light" onclick={() => then(openSampleDay(session))}
					>{common.sampleDay}</Button
				>
			</div>
			<div class="device">
				<DeviceButtons
					inWords
					onhelp={() => {
						isOpen = false;
						onhelp();
					}}
				/>
			</div>
			<ol>
				{#each shots as one, i (one.id)}
					<li>
						<button
							type="button"
							aria-current={one.id === session.shotId}
							onclick={() => then(session.open(one.id))}
						>
							{i + 1}. <bdi>{one.shot.title}</bdi>
						</button>
					</li>
				{/each}
			</ol>
			{#if removed.length > 0}
				<h3>{say.removed}</h3>
				<ul>
					{#each removed as one (one.id)}
						<li>
							<button type="button" onclick={() => then(setRemoved(session, one.id, false))}>
								{say.bringBack(one.shot.title)}
							</button>
						</li>
					{/each}
				</ul>
			{/if}
			{#if others.length > 0}
				<h3>{say.otherJobs}</h3>
				<ul>
					{#each others as job (job.id)}
						<li>
							<button type="button" onclick={() => then(session.openJob(job.id))}
								>{job.title}</button
							>
						</li>
					{/each}
				</ul>
			{/if}
		</div>
	</Modal>
{/if}

<style>
	.crumb {
		min-width: 0;
		flex-shrink: 1;
		justify-content: flex-start;
	}
	.crumb .job {
		color: var(--ink-2);
		white-space: nowrap;
	}
	.crumb strong {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.menu {
		display: flex;
		flex-direction: column;
		gap: 0.6rem;
		color: var(--ink);
	}
	.menu label {
		display: flex;
		flex-direction: column;
		color: var(--ink-2);
	}
	.menu input,
	.menu textarea {
		border: 1px solid var(--edge);
		border-radius: 3px;
		background: var(--sheet);
		color: var(--ink);
		padding: 0.25rem 0.5rem;
	}
	.actions {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
	}
	li button {
		width: 100%;
		text-align: left;
		padding: 0.35rem 0.4rem;
		border-bottom: 1px solid var(--rule);
	}
	li button[aria-current='true'] {
		font-weight: 600;
		color: var(--focus);
	}
	li button:hover {
		background: var(--paper);
	}
	.device {
		display: none;
	}
	@media (max-width: 40rem) {
		.device {
			display: flex;
		}
		.crumb .job {
			display: none;
		}
		.crumb {
			max-width: 100%;
			overflow: hidden;
		}
	}
	@media (pointer: coarse) {
		li button {
			min-height: 2.75rem;
		}
	}
</style>
