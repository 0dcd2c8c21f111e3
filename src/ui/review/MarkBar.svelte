<script lang="ts">
	import { markBarText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
	import type { Mark } from '$core/format/review';
	import { frameWords, settingsWords } from '$words/review';
	import { settings } from '../shared/settings.svelte';
	import { shortcutKey } from '../shared/shortcuts';
	import type { ReviewView } from './view/review.svelte';

	/** Keep, maybe, drop, and what is said of the frame that is looked at. */
	let { view }: { view: ReviewView } = $props();

	const MARKS: readonly { mark: Mark; text: string }[] = [
		{ mark: 'keep', text: common.keep },
		{ mark: 'maybe', text: say.maybe },
		{ mark: 'drop', text: say.drop }
	];
</script>

<div class="bar">
	<div class="marks" role="group" aria-label={say.markThisFrame}>
		<button class="knob" type="button" onclick={() => view.step(-1)} aria-label={say.theFrameBefore}
			>‹</button
		>
		{#each MARKS as { mark, text } (mark)}
			<button
				class="knob"
				type="button"
				aria-pressed={view.file?.judgement.mark === mark}
				onclick={() => view.mark(mark)}
				>{text}{#if settings.shortcuts && shortcutKey(mark)}<kbd>{shortcutKey(mark)}</kbd
					>{/if}</button
			>
		{/each}
		<button
			class="knob"
			type="button"
			aria-pressed={view.file?.judgement.isFavourite ?? false}
			onclick={() => view.favour()}>★<span class="sr-only">{say.favourite}</span></button
		>
		<button class="knob" type="button" onclick={() => view.step(1)} aria-label={say.theNextFrame}
			>›</button
		>
	</div>
	<p class="told" aria-live="polite">
		{#if view.now && view.set}
			<strong>{frameWords(view.now.reviewed, view.set)}</strong>
			<span>{settingsWords(view.now.reviewed.frame)}</span>
		{:else if view.file?.problem}
			{view.file.problem}
		{:else}
			{common.beingMeasured}
		{/if}
	</p>
</div>

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 1rem;
	}
	.marks {
		display: flex;
		gap: 0.25rem;
	}
	kbd {
		text-transform: uppercase;
		font-size: 0.6875rem;
		border: 1px solid currentColor;
		border-radius: 2px;
		padding: 0 0.2rem;
		opacity: 0.75;
	}
	@media (pointer: coarse) {
		kbd {
			display: none;
		}
	}
	.told {
		display: flex;
		flex-wrap: wrap;
		gap: 0 0.8rem;
		flex: 1;
		min-width: 14rem;
	}
	.told span {
		color: var(--ink-2);
	}
</style>
