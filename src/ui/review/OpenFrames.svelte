<script lang="ts">
	import { openFramesText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import WorkBar from '../working/WorkBar.svelte';
	import type { FrameIntake } from '../frames/frameIntake.svelte';
	import type { FrameFolder } from '$data/store/database';
	import { canChooseFolder } from '../browser/folders';
	import { takingWords } from '$words/review';
	import type { FrameFolders } from '../frames/frameFolders.svelte';
	import { acceptedPictures } from '../frames/pictureFiles';

	/** Choosing what came home, and how far the measuring is. */
	interface Props {
		home: FrameIntake;
		folders: FrameFolders;
		/** Said under the buttons, once. */
		said: string;
	}

	let { home, folders, said = $bindable() }: Props = $props();
	let files = $state<HTMLInputElement>();
	let folder = $state<HTMLInputElement>();
	const all = $derived(home.files.filter(({ file, measured }) => file ?? measured).length);
	const broken = $derived(home.files.filter(({ problem }) => problem).length);

	async function take(chosen: readonly File[]) {
		said = '';
		said = takingWords(await home.open(chosen), chosen.length);
		await folders.remember(chosen);
	}

	async function chooseFolder() {
		if (!canChooseFolder()) return folder?.click();
		try {
			const found = await folders.choose();
			if (found) void take(found);
		} catch {
			said = say.theFolderCouldNotBeRead;
		}
	}

	async function readAgain(folder: FrameFolder) {
		try {
			await take(await folders.readAgain(folder));
		} catch (error) {
			said = error instanceof Error ? error.message : String(error);
		}
	}

	function chosen(event: Event & { currentTarget: HTMLInputElement }) {
		const list = [...(event.currentTarget.files ?? [])];
		event.currentTarget.value = '';
		void take(list);
	}
</script>

<div class="open">
	<Button size="xs" onclick={() => files?.click()}>{common.chooseFrames}</Button>
	<Button size="xs" color="light" onclick={() => void chooseFolder()}>{say.aFolder}</Button>
	{#each folders.known as one (one.id)}
		<Button size="xs" color="light" onclick={() => void readAgain(one)}>
			{say.open}<bdi>{one.folder.name}</bdi>{say.again}
		</Button>
	{/each}
	<input
		bind:this={files}
		hidden
		type="file"
		multiple
		accept={acceptedPictures()}
		aria-label={say.chooseFrames}
		onchange={chosen}
	/>
	<input
		bind:this={folder}
		hidden
		type="file"
		webkitdirectory
		aria-label={say.chooseAFolder}
		onchange={chosen}
	/>
</div>
{#if home.isMeasuring || home.waiting.length > 0}
	<div class="progress" role="group" aria-label={say.measuring}>
		<span aria-live="off">{say.ofMeasured(home.measuredCount, all - broken)}</span>
		<WorkBar share={home.measuredCount / Math.max(1, all - broken)} label={say.measuring} />
		{#if home.isMeasuring}
			<button class="knob" type="button" onclick={() => home.pause()}>{say.pause}</button>
		{:else}
			<button class="knob" type="button" onclick={() => void home.measure()}>{common.goOn}</button>
			<button
				class="knob"
				type="button"
				onclick={() => home.forget(home.waiting.map(({ id }) => id))}>{say.leaveTheRestOut}</button
			>
		{/if}
	</div>
{/if}
{#if said}<p role="status">{said}</p>{/if}
{#if home.trouble}<p role="alert" class="is-soft">{home.trouble}</p>{/if}
{#if broken > 0}
	<details>
		<summary>{say.skipped(broken)}</summary>
		<ul>
			{#each home.files.filter(({ problem }) => problem) as { id, name, problem } (id)}
				<li><bdi>{name}</bdi>: {problem}</li>
			{/each}
		</ul>
	</details>
{/if}

<style>
	.open,
	.progress {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		align-items: center;
	}
	.progress > :global(div) {
		flex: 1;
		min-width: 5rem;
	}
	li {
		overflow-wrap: anywhere;
	}
	@media (pointer: coarse) {
		.open :global(button) {
			min-height: 2.75rem;
		}
		summary {
			min-height: 2.75rem;
			align-content: center;
		}
	}
</style>
