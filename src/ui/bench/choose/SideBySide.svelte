<script lang="ts">
	import { sideBySideText as say } from '$words/screens/bench/choose';
	import { commonText as common } from '$words/screens/common';
	import type { LensOnShot } from '$core/advice/lensOnShot';
	import type { KitLens } from '$data/store/database';
	import { reachWords, widestWords } from '$words/choosing';
	import { distance } from '$words/numbers';
	import { settings } from '../../shared/settings.svelte';
	import { notesOf, overDay } from './choosing.svelte';

	/** Lenses as rows of a table. */
	interface Props {
		entries: readonly KitLens[];
		bodyName: string;
		/** What each makes of the shots of the day, by its id. */
		made: ReadonlyMap<string, readonly (LensOnShot | null)[]>;
		shots: number;
		openId: string | null;
		/** No more go on the shortlist. */
		isFull: boolean;
		onopen: (id: string) => void;
		onlist: (entry: KitLens) => void;
	}

	let { entries, bodyName, made, shots, openId, isFull, onopen, onlist }: Props = $props();

	/** Numbers of one body stand for no other. */
	const bestOf = ({ sharpness }: KitLens) =>
		sharpness && sharpness.bodyName === bodyName
			? Math.round(Math.max(...sharpness.stops.map(({ centre }) => centre)))
			: null;
</script>

<!-- wider than a phone: it scrolls by itself, by keys, too -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="wide" tabindex="0" role="region" aria-label={say.lensesSideBySide}>
	<table>
		<thead>
			<tr>
				<th scope="col">{common.lens}</th>
				<th scope="col">{say.reach}</th>
				<th scope="col">{say.opensTo}</th>
				<th scope="col">{say.focusesFrom}</th>
				<th scope="col">{common.weight}</th>
				<th scope="col">{common.price}</th>
				<th scope="col">{say.atItsBest}</th>
				<th scope="col">{say.leastInTheDay}</th>
				<th scope="col">{say.goodOf100}</th>
				<th scope="col">{say.backgrounds}</th>
				<th scope="col"><span class="sr-only">{say.shortlist}</span></th>
			</tr>
		</thead>
		<tbody>
			{#each entries as entry (entry.id)}
				{@const notes = notesOf(entry)}
				{@const best = bestOf(entry)}
				{@const over = overDay(made.get(entry.id) ?? [])}
				<tr class:on={openId === entry.id}>
					<th scope="row">
						<button
							type="button"
							aria-expanded={openId === entry.id}
							onclick={() => onopen(entry.id)}
							><span aria-hidden="true">{openId === entry.id ? '▾' : '▸'}</span>
							<bdi>{entry.lens.name}</bdi></button
						>
						{#if entry.isWanted}<span class="note">{say.notYours}</span>{/if}
					</th>
					<td class="lens">{reachWords(entry.lens)}</td>
					<td>{widestWords(entry.lens)}</td>
					<td>{distance(entry.lens.closestFocusM, settings.units)}</td>
					<td>{notes.weightG === undefined ? '' : `${notes.weightG} g`}</td>
					<td>{notes.price ?? ''}</td>
					<td>
						{#if best !== null}{best}{#if entry.sharpness?.isTyped}
								<span class="note">{say.typedIn}</span>{/if}{:else if entry.sharpness}<span
								class="note">{say.onAnotherBody}</span
							>{/if}
					</td>
					<td>{over.leastSharp === null ? '' : `${Math.round(100 * over.leastSharp)} %`}</td>
					<td>
						{over.goodShare === null ? '' : Math.round(100 * over.goodShare)}
						{#if over.lost > 0}<span class="note">{say.ofNotPossible(over.lost, shots)}</span>{/if}
					</td>
					<td>{over.intents > 0 ? say.of(over.intentsMet, over.intents) : ''}</td>
					<td>
						<button
							class="knob"
							type="button"
							aria-pressed={notes.isShortlisted}
							disabled={!notes.isShortlisted && isFull}
							onclick={() => onlist(entry)}
							>{say.shortlist}<span class="sr-only"> {entry.lens.name}</span></button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.note {
		color: var(--ink-2);
		font-size: 0.875rem;
	}
	.wide {
		/* what only listeners hear scrolls along */
		position: relative;
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		min-width: max-content;
		width: 100%;
		font-variant-numeric: tabular-nums;
	}
	th,
	td {
		border-bottom: 1px solid var(--rule);
		padding: 0.2rem 0.7rem 0.2rem 0;
		text-align: left;
		line-height: 1.25;
		font-weight: 400;
	}
	td {
		white-space: nowrap;
	}
	td .note,
	th .note {
		display: block;
		line-height: 1.1;
	}
	thead th {
		color: var(--ink-2);
		font-size: 0.8125rem;
		vertical-align: bottom;
	}
	th button {
		text-align: left;
	}
	/* which lens it is stays in sight */
	th:first-child {
		position: sticky;
		left: 0;
		background: var(--paper);
	}
	.on th,
	.on td {
		background: var(--sheet);
	}
	@media (pointer: coarse) {
		.knob,
		th button {
			min-height: 2.75rem;
		}
	}
</style>
