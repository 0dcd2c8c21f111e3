<script lang="ts">
	import Button from 'flowbite-svelte/Button.svelte';
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import type { Paper } from '$core/bench/chart';
	import type { RollOrder } from '../../practice/roll';
	import { ACCEPTED_PICTURES } from '../review/pictureFiles';
	import type { BenchFrames } from './bench.svelte';

	/** Files of a chart in, or the practice camera instead. */
	interface Props {
		frames: BenchFrames;
		paper: Paper;
		/** What the practice camera would shoot. */
		sitting: () => RollOrder[];
	}

	let { frames, paper, sitting }: Props = $props();
	let input = $state<HTMLInputElement>();
	const { work } = $derived(frames);

	function chosen(event: Event & { currentTarget: HTMLInputElement }) {
		const files = [...(event.currentTarget.files ?? [])];
		event.currentTarget.value = '';
		if (files.length > 0) void frames.open(files, paper);
	}
</script>

<div class="row">
	<Button size="xs" disabled={work.isBusy} onclick={() => input?.click()}>Choose frames…</Button>
	<Button
		size="xs"
		color="light"
		disabled={work.isBusy}
		onclick={() => void frames.shoot(sitting(), paper)}>Shoot it with the practice camera</Button
	>
	{#if frames.frames.length > 0 && !work.isBusy}
		<button class="knob" type="button" onclick={() => frames.clear()}>Clear</button>
	{/if}
	<input
		bind:this={input}
		hidden
		type="file"
		multiple
		accept={ACCEPTED_PICTURES}
		aria-label="Choose frames of the chart"
		onchange={chosen}
	/>
</div>
{#if work.isBusy}
	<div class="row" role="group" aria-label="Measuring the chart">
		<span>{frames.frames.length} measured</span>
		<div class="bar">
			<Progressbar size="h-1.5" progress={Math.round(100 * (work.share ?? 0))} />
		</div>
		<button class="knob" type="button" onclick={() => work.stop()}>Stop</button>
	</div>
{:else if frames.frames.length > 0}
	<p role="status">
		{frames.frames.length === 1 ? '1 frame is' : `${frames.frames.length} frames are`} measured.
	</p>
{/if}
{#if work.problem}<p role="alert" class="is-soft">It stopped: {work.problem}.</p>{/if}
{#if frames.passedOver.length > 0}
	<details open={frames.frames.length === 0}>
		<summary>{frames.passedOver.length} passed over</summary>
		<ul>
			{#each frames.passedOver as { name, words }, i (i)}
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
