<script lang="ts">
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
	const example = $derived(
		`Noor\nTeo, child, ${height}\nHalina, glasses, sits on the left\n14:30 On the steps: Noor, Teo, Halina`
	);

	const read = $derived(readPasted(text, heightsOf));
	const known = $derived(duplicates(read, day));
	const decisionOf = (i: number): LineDecision => decided[i] ?? (known.has(i) ? 'leave' : 'add');
	const taken = $derived(read.filter((_, i) => decisionOf(i) !== 'leave').length);
	const HEIGHTS = [
		{ value: 'body', text: 'of the whole body' },
		{ value: 'eyes', text: 'of the eyes' }
	] as const;
	const WAYS = [
		{ value: 'leave', text: 'there already: leave it' },
		{ value: 'change', text: 'change it to this' },
		{ value: 'add', text: 'add another' }
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

<Modal title="Paste a list" size="md" bind:open={isOpen}>
	<div class="stack">
		<label>
			One person a line; after a comma child, infant, dog or cat, glasses, a height, a note. A line
			that begins with a time is a shot: its people stand behind a colon.
			<textarea
				class="typed"
				rows="6"
				bind:value={text}
				oninput={() => (decided = {})}
				placeholder={example}></textarea>
		</label>
		<Choice
			label="heights are"
			options={HEIGHTS}
			value={heightsOf}
			onchoose={(next) => (heightsOf = next)}
		/>
		{#if read.length > 0}
			<ul aria-label="What was understood">
				{#each read as one, i (i)}
					<li class:left={decisionOf(i) === 'leave'}>
						<span>
							{#if one.kind === 'person'}
								<strong><bdi>{one.guest.name}</bdi></strong>
								<small>{guestWords(one.guest, units)}</small>
							{:else}
								<strong>{one.time} <bdi>{one.title}</bdi></strong>
								<small
									>a shot{one.minutes === null ? '' : `, ${one.minutes} min`}{one.names.length > 0
										? ', with '
										: ''}<bdi>{one.names.join(', ')}</bdi></small
								>
							{/if}
						</span>
						{#if known.has(i)}
							<Pick
								quiet
								label="{one.kind === 'person' ? one.guest.name : one.title}: what to do"
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
			>Take {taken === 1 ? 'one line' : `${count(taken)} lines`}</Button
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
