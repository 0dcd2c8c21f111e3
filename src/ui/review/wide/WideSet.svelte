<script lang="ts">
	import { wideSetText as say } from '$words/screens/review/wide';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import WorkBar from '../../working/WorkBar.svelte';
	import { setProblemWords, setWords } from '$words/wideSet';
	import { settings } from '../../shared/settings.svelte';
	import type { ReviewView } from '../view/review.svelte';
	import { mapOf, wideSetParts, type WideSets } from './wideSet.svelte';

	/** Whether the frames of a shot can be one wide picture: before one leaves the place. */
	let { view, sets }: { view: ReviewView; sets: WideSets } = $props();

	const group = $derived(view.group);
	const parts = $derived(group ? wideSetParts(group) : []);
	const known = $derived(group && sets.of(group));
	const map = $derived(known && known.turned.length > 0 ? mapOf(known) : null);
	/** Where a frame of the set stands on the strip. */
	const shownAt = (frame: number) =>
		view.files.findIndex(({ file }) => file && file === parts[frame]?.file);
	const problems = $derived(
		known ? setProblemWords(known.check.problems, settings.units, shownAt) : []
	);
	let isOpen = $state(false);

	/** Room around the drawing, degrees. */
	const MARGIN_DEG = 1;
	const corners = (points: readonly { readonly x: number; readonly y: number }[]) =>
		points.map(({ x, y }) => `${x},${y}`).join(' ');
</script>

{#if parts.length < 2}
	<p>
		{say.framesOfAViewWiderThan}
	</p>
{:else if group}
	<div class="row">
		<Button
			size="xs"
			disabled={sets.work.isBusy}
			onclick={() => void sets.check(group, view.bodies)}
			>{known ? say.checkAgain : say.doTheseFramesFitTogether(parts.length)}</Button
		>
		{#if known && known.turned.length > 1}
			<Button size="xs" color="light" onclick={() => (isOpen = true)}>{say.seeThemTogether}</Button>
		{/if}
		{#if sets.work.share !== null}
			<span class="progress" role="group" aria-label={say.checkingHowTheyFitTogether}>
				<WorkBar share={sets.work.share} label={say.checkingHowTheyFitTogether} />
			</span>
			<button class="knob" type="button" onclick={() => sets.work.stop()}>{common.stop}</button>
		{/if}
	</div>
	{#if sets.work.problem}<p role="alert">{sets.work.problem}</p>{/if}
	{#if known}
		<div class="found">
			{#if map}
				<svg
					viewBox="{map.left - MARGIN_DEG} {map.top - MARGIN_DEG} {map.width +
						2 * MARGIN_DEG} {map.height + 2 * MARGIN_DEG}"
					role="img"
					aria-label={say.whereEachFramePoints}
				>
					{#each map.outlines as { index, corners: outline } (index)}
						<polygon points={corners(outline)} />
					{/each}
					{#each map.thin as line, i (i)}
						<line {...line} />
					{/each}
					{#each map.outlines as { index, x, y } (index)}
						<text {x} {y} font-size={map.width / 26}>{shownAt(index) + 1}</text>
					{/each}
					{#each map.holes as { x, y }, i (i)}
						<text class="hole" {x} {y} font-size={map.width / 18}>?</text>
					{/each}
				</svg>
			{/if}
			<div role="status">
				{#if known.turned.length > 1}<p>{setWords(known.check, parts.length)}</p>{/if}
				{#if problems.length === 0}
					<p class="is-sharp">{say.theyFitTogetherNoGapFocus}</p>
				{/if}
				<ul>
					{#each problems as problem, i (i)}<li>{problem}</li>{/each}
				</ul>
				{#if !known.check.tellsFocus}
					<p>{say.theseFilesDoNotRecordThe}</p>
				{/if}
			</div>
		</div>
	{/if}
	{#if isOpen && known}
		{#await import('./TogetherSheet.svelte') then { default: TogetherSheet }}
			<TogetherSheet {sets} set={known} title={group.title} bind:open={isOpen} />
		{/await}
	{/if}
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 0.6rem;
		align-items: center;
	}
	.progress {
		flex: 0 1 12rem;
		min-width: 6rem;
	}
	.found {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 1rem;
		align-items: flex-start;
	}
	.found > div {
		flex: 1 1 18rem;
		min-width: 0;
	}
	svg {
		flex: 0 1 auto;
		width: min(100%, 24rem);
		max-height: 9rem;
	}
	polygon {
		fill: var(--focus);
		fill-opacity: 0.14;
		stroke: var(--ink-2);
		stroke-width: 1px;
		vector-effect: non-scaling-stroke;
	}
	line {
		stroke: var(--soft);
		stroke-width: 3px;
		vector-effect: non-scaling-stroke;
	}
	text {
		fill: var(--ink);
		text-anchor: middle;
		dominant-baseline: central;
	}
	.hole {
		fill: var(--soft);
		font-weight: 700;
	}
	li {
		list-style: disc;
		margin-left: 1.1rem;
	}
</style>
