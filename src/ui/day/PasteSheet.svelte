<script lang="ts">
	import { pasteSheetText as say } from '$words/screens/day';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { readPasted, type HeightsOf } from '$core/day/pastedList';
	import { guestWords } from '$words/day';
	import { count } from '$words/numbers';
	import Choice from '../fields/Choice.svelte';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import type { DayView } from './day.svelte';
	import { duplicates, takePasted, type LineDecision } from './pasting';

	/** A list of people and shots as people write it: what was understood is shown before it is taken. */
	let { day, isOpen = $bindable() }: { day: DayView; isOpen: boolean } = $props();

	let text = $state('');
	let heightsOf = $state<HeightsOf>('body');
	/** What was decided of lines that are there already, by their number. */
	let decided = $state<Record<number, LineDecision>>({});
	const units = $derived(settings.units);
	const height = $derived(units === 'm' ? '1.2 m' : '4 ft');
	const example = $derived(say.noorTeoChildHalinaGlassesSits(height));

	const read = $derived(readPasted(text, heightsOf));
	const known = $derived(duplicates(read, day));
	const decisionOf = (i: number): LineDecision => decided[i] ?? (known.has(i) ? 'leave' : 'add');
	const taken = $derived(read.filter((_, i) => decisionOf(i) !== 'leave').length);
	const HEIGHTS = [
		{ value: 'body', text: say.ofTheWholeBody },
		{ value: 'eyes', text: say.ofTheEyes }
	] as const;
	const WAYS = [
		{ value: 'leave', text: say.alreadyThereLeaveIt },
		{ value: 'change', text: say.changeItToThis },
		{ value: 'add', text: say.addAnother }
	] as const;
	const waysFor = (kind: 'person' | 'shot') =>
		kind === 'person' ? WAYS : WAYS.filter(({ value }) => value !== 'change');

	function take() {
		takePasted(
			day,
			read.map((one, i) => ({ one, decision: decisionOf(i) }))
		);
		text = '';
		decided = {};
		isOpen = false;
	}
</script>

<Modal title={say.pasteAList} size="md" bind:open={isOpen}>
	<div class="stack">
		<label>
			{say.onePersonPerLineAfterA}
			<textarea
				class="typed"
				rows="6"
				bind:value={text}
				oninput={() => (decided = {})}
				placeholder={example}></textarea>
		</label>
		<Choice
			label={say.heightsAre}
			options={HEIGHTS}
			value={heightsOf}
			onchoose={(next) => (heightsOf = next)}
		/>
		{#if read.length > 0}
			<ul aria-label={say.whatWasUnderstood}>
				{#each read as one, i (i)}
					<li class:left={decisionOf(i) === 'leave'}>
						<span>
							{#if one.kind === 'person'}
								<strong><bdi>{one.guest.name}</bdi></strong>
								<small>{guestWords(one.guest, units)}</small>
							{:else}
								<strong>{one.time} <bdi>{one.title}</bdi></strong>
								<small
									>{say.aShot(
										one.minutes === null ? '' : say.min(one.minutes),
										one.names.length > 0 ? say.with : ''
									)}<bdi>{one.names.join(', ')}</bdi></small
								>
							{/if}
						</span>
						{#if known.has(i)}
							<Pick
								quiet
								label={say.whatToDo(one.kind === 'person' ? one.guest.name : one.title)}
								options={waysFor(one.kind)}
								value={decisionOf(i)}
								onchoose={(way) => (decided[i] = way)}
							/>
						{/if}
					</li>
				{/each}
			</ul>
		{/if}
		<Button disabled={taken === 0} onclick={take}
			>{say.add(taken === 1 ? say.oneLine : say.lines(count(taken)))}</Button
		>
	</div>
</Modal>

<style>
	label {
		display: flex;
		flex-direction: column;
		gap: 0.4rem;
		color: var(--ink);
	}
	ul {
		max-height: 16rem;
		overflow: auto;
		border-block: 1px solid var(--rule);
	}
	li {
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: 0.6rem;
		min-height: 2rem;
		border-bottom: 1px solid var(--rule);
	}
	li:last-child {
		border-bottom: 0;
	}
	small {
		color: var(--ink-2);
	}
	.left strong {
		font-weight: 400;
		color: var(--ink-2);
	}
</style>
