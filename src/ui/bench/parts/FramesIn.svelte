<script lang="ts">
	import { framesInText as say } from '$words/screens/bench/parts';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import WorkBar from '../../working/WorkBar.svelte';
	import { capital } from '$words/numbers';
	import { acceptedPictures } from '../../frames/pictureFiles';
	import type { PassedOver } from './bench.svelte';

	/** Files in, or the practice camera instead; how far the measuring is, and what was of no use. */
	interface Props {
		/** "the chart", "the exercise" */
		of: string;
		/** On the button of the practice camera. */
		practice: string;
		measured: number;
		isBusy: boolean;
		/** How much is done, 0 to 1. */
		share: number;
		/** Why it stopped, in words; empty when all is well. */
		problem: string;
		passedOver: readonly PassedOver[];
		onfiles: (files: readonly File[]) => void;
		onshoot: () => void;
		onclear: () => void;
		onstop: () => void;
	}

	let {
		of,
		practice,
		measured,
		isBusy,
		share,
		problem,
		passedOver,
		onfiles,
		onshoot,
		onclear,
		onstop
	}: Props = $props();
	let input = $state<HTMLInputElement>();

	function chosen(event: Event & { currentTarget: HTMLInputElement }) {
		const files = [...(event.currentTarget.files ?? [])];
		event.currentTarget.value = '';
		if (files.length > 0) onfiles(files);
	}
</script>

<div class="row">
	<Button size="xs" disabled={isBusy} onclick={() => input?.click()}>{common.chooseFrames}</Button>
	<Button size="xs" color="light" disabled={isBusy} onclick={onshoot}>{practice}</Button>
	{#if measured + passedOver.length > 0 && !isBusy}
		<button class="knob" type="button" onclick={onclear}>{say.clear}</button>
	{/if}
	<input
		bind:this={input}
		hidden
		type="file"
		multiple
		accept={acceptedPictures()}
		aria-label={say.chooseFramesOf(of)}
		onchange={chosen}
	/>
</div>
{#if isBusy}
	<div class="row" role="group" aria-label={say.measuring(of)}>
		<span>{say.measured(measured)}</span>
		<div class="bar">
			<WorkBar {share} label={say.measuring(of)} />
		</div>
		<button class="knob" type="button" onclick={onstop}>{common.stop}</button>
	</div>
{:else if measured > 0}
	<p role="status">{say.measured2(measured === 1 ? say.n1FrameIs : say.framesAre(measured))}</p>
{/if}
{#if problem}<p role="alert" class="is-soft">{capital(problem)}.</p>{/if}
{#if passedOver.length > 0}
	<details open={measured === 0}>
		<summary>{say.skipped(passedOver.length)}</summary>
		<ul>
			{#each passedOver as { name, words }, i (i)}
				<li><bdi>{name}</bdi>: {words}</li>
			{/each}
		</ul>
	</details>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
	.bar {
		flex: 1;
		min-width: 6rem;
	}
	li {
		overflow-wrap: anywhere;
	}
	@media (pointer: coarse) {
		.row :global(button),
		summary {
			min-height: 2.75rem;
			align-content: center;
		}
	}
</style>
