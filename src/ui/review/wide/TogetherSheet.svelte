<script lang="ts">
	import { togetherSheetText as say } from '$words/screens/review/wide';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { PROJECTIONS, type Projection } from '$core/stitch/projection';
	import { fileName, saveBlob, savedWords } from '../../browser/saving';
	import Choice from '../../fields/Choice.svelte';
	import type { CheckedSet, WideSets } from './wideSet.svelte';

	/** The frames of a wide set put together roughly, to be looked at. */
	interface Props {
		sets: WideSets;
		set: CheckedSet;
		title: string;
		open: boolean;
	}

	let { sets, set, title, open = $bindable() }: Props = $props();

	const WORDS: Readonly<Record<Projection, string>> = {
		flat: say.flatLikeOneLens,
		cylinder: say.onACylinder,
		sphere: say.onASphere
	};
	let projection = $state<Projection>('flat');
	let made = $state.raw<{ blob: Blob; address: string } | null>(null);
	let problem = $state('');
	let said = $state('');

	$effect(() => {
		const control = new AbortController();
		let address = '';
		made = null;
		problem = said = '';
		sets.together(set, projection, control.signal).then(
			(blob) => {
				if (control.signal.aborted) return;
				if (!blob) {
					problem = projection === 'flat' ? say.theViewIsTooWideFor : say.theViewReachesTooFarUp;
					return;
				}
				address = URL.createObjectURL(blob);
				made = { blob, address };
			},
			(error: unknown) => {
				if (!control.signal.aborted)
					problem = error instanceof Error ? error.message : String(error);
			}
		);
		return () => {
			control.abort(new Error(say.anotherPictureIsWanted));
			if (address) URL.revokeObjectURL(address);
		};
	});

	function save() {
		if (!made) return;
		const name = `${fileName(title)}-wide.png`;
		saveBlob(name, made.blob);
		said = savedWords('handed', name);
	}
</script>

<Modal title={say.togetherRoughly} size="xl" bind:open>
	<div class="stack">
		<Choice
			label={say.laidOut}
			quiet
			options={PROJECTIONS.map((value) => ({ value, text: WORDS[value] }))}
			value={projection}
			onchoose={(to) => (projection = to)}
		/>
		<div class="picture">
			{#if problem}
				<p role="alert">{problem}</p>
			{:else if made}
				<img src={made.address} alt={say.allFramesPutTogether(WORDS[projection])} />
			{:else}
				<p>{say.beingPutTogether}</p>
			{/if}
		</div>
		<p>
			{say.forCheckingIsEverythingThereAnd}
		</p>
		<Button size="xs" disabled={!made} onclick={save}>{common.saveAsPng}</Button>
		<p role="status">{said}</p>
	</div>
</Modal>

<style>
	.stack {
		align-items: flex-start;
	}
	.picture {
		width: 100%;
		min-height: 12rem;
		display: grid;
		place-items: center;
		background: var(--paper);
	}
	img {
		max-width: 100%;
		max-height: 60vh;
	}
</style>
