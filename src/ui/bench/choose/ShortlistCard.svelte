<script lang="ts">
	import { shortlistCardText as say } from '$words/screens/bench/choose';
	import { commonText as common } from '$words/screens/common';
	import type { LensOnShot } from '$core/advice/lensOnShot';
	import type { LensNotes } from '$core/format/lensNotes';
	import type { KitLens } from '$data/store/database';
	import { lensOnShotWords } from '$words/choosing';
	import { settings } from '../../shared/settings.svelte';
	import { notesOf } from './choosing.svelte';

	/** A lens on the shortlist: what speaks for it and against it, and each shot of the day with it. */
	interface Props {
		entry: KitLens;
		titles: readonly string[];
		made: readonly (LensOnShot | null)[];
		onnote: (change: Partial<LensNotes>) => void;
		onoff: () => void;
	}

	let { entry, titles, made, onnote, onoff }: Props = $props();
	const notes = $derived(notesOf(entry));
	const id = $props.id();
	const LONGEST_NOTE = 400;
</script>

<section aria-label={say.onTheShortlist(entry.lens.name)}>
	<div class="head">
		<h4><bdi>{entry.lens.name}</bdi></h4>
		<button class="knob" type="button" onclick={onoff}>{common.takeOffTheList}</button>
	</div>
	{#each ['praise', 'complaints'] as const as kind (kind)}
		<label for="{id}-{kind}">{kind === 'praise' ? say.praise : say.complaints}</label>
		<textarea
			id="{id}-{kind}"
			class="typed"
			rows="2"
			maxlength={LONGEST_NOTE}
			value={notes[kind]}
			onchange={(event) => onnote({ [kind]: event.currentTarget.value.trim() })}></textarea>
	{/each}
	<ul aria-label={say.theDayWithIt}>
		{#each titles as title, i (i)}
			<li>
				<bdi>{title}</bdi>
				<span class="note">
					{made.length > i ? lensOnShotWords(made[i] ?? null, settings.units) : '…'}
				</span>
			</li>
		{/each}
	</ul>
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
		gap: 0.3rem;
		min-width: 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: 4px;
		padding: 0.7rem;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 0.4rem;
	}
	h4 {
		font-weight: 600;
	}
	label,
	.note {
		color: var(--ink-2);
		font-size: 0.875rem;
	}
	textarea {
		width: 100%;
		padding: 0.25rem 0.4rem;
	}
	li {
		display: flex;
		flex-direction: column;
		line-height: 1.3;
		padding: 0.15rem 0;
		border-top: 1px solid var(--rule);
	}
	@media (pointer: coarse) {
		.knob {
			min-height: 2.75rem;
		}
	}
</style>
