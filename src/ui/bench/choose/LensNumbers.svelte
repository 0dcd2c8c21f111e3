<script lang="ts">
	import { lensNumbersText as say } from '$words/screens/bench/choose';
	import { commonText as common } from '$words/screens/common';
	import type { LensNotes } from '$core/format/lensNotes';
	import type { KitLens } from '$data/store/database';
	import LensFields from '../../kit/LensFields.svelte';
	import { notesOf } from './choosing.svelte';
	import OptionalNumber from './OptionalNumber.svelte';
	import TypedSharpness from './TypedSharpness.svelte';

	/** What is typed in of a lens: weight and price, sharpness from elsewhere; of one that one has not, everything. */
	interface Props {
		entry: KitLens;
		bodyName: string;
		onput: (change: Partial<KitLens>, words: string, gesture?: string) => void;
		onforget: () => void;
	}

	let { entry, bodyName, onput, onforget }: Props = $props();
	const note = (change: Partial<LensNotes>, words: string) =>
		onput({ notes: { ...notesOf(entry), ...change } }, words);
</script>

<section class="edit" aria-label={say.figuresFor(entry.lens.name)}>
	<div class="row">
		<OptionalNumber
			label={common.weight}
			unit="g"
			value={notesOf(entry).weightG ?? null}
			low={1}
			high={30_000}
			onchange={(weightG) => note({ weightG: weightG ?? undefined }, say.aWeight)}
		/>
		<OptionalNumber
			label={common.price}
			value={notesOf(entry).price ?? null}
			low={0}
			high={10_000_000}
			onchange={(price) => note({ price: price ?? undefined }, say.aPrice)}
		/>
		{#if entry.isWanted}
			<button
				class="knob"
				type="button"
				onclick={() => onput({ isWanted: undefined }, say.aLensOfOnesOwn)}>{say.iOwnItNow}</button
			>
			<button class="knob" type="button" onclick={() => onforget()}>{say.removeIt}</button>
		{/if}
	</div>
	{#if entry.isWanted}
		<LensFields
			lens={entry.lens}
			onlyOn={entry.onlyOn}
			onchange={(change) => onput(change, say.aLens, `lens ${entry.id}`)}
		/>
	{/if}
	{#if !entry.sharpness || entry.sharpness.isTyped}
		<TypedSharpness
			{entry}
			{bodyName}
			onchange={(sharpness) => onput({ sharpness }, say.sharpnessTypedIn)}
		/>
	{:else}
		<p class="note">{say.itsSharpnessWasMeasuredOnThe(entry.sharpness.date)}</p>
	{/if}
</section>

<style>
	.note {
		color: var(--ink-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 0.8rem;
		align-items: end;
	}
	.edit {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		min-width: 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: 4px;
		padding: 0.7rem;
	}
	@media (pointer: coarse) {
		.knob {
			min-height: 2.75rem;
		}
	}
</style>
