<script lang="ts">
	import { peopleMatrixText as say } from '$words/screens/review/place';
	import { absentWords, faceMark, faceWords, fewestWords, othersWords } from '$words/review';
	import type { Judged } from './view/group';
	import type { ReviewView } from './view/review.svelte';

	/** A row a person, a column a frame: who is sharp with open eyes where; and the fewest frames that hold everybody. */
	let { view }: { view: ReviewView } = $props();
	const set = $derived(view.set);
	const columns = $derived(
		view.files.flatMap((file): Judged[] => {
			const judged = view.judged.get(file.id);
			return judged ? [judged] : [];
		})
	);
	const numbers = $derived(new Map(view.files.map(({ id }, i) => [id, i + 1])));
	const numberOf = ({ file }: Judged): number => numbers.get(file.id) ?? 0;
	const inSet = $derived(new Set(set?.fewest ?? []));
	const inOrder = $derived(
		set
			? {
					...set,
					frames: set.frames,
					fewest: set.fewest.flatMap((index) => {
						const judged = columns.find((one) => one.index === index);
						return judged ? [numberOf(judged) - 1] : [];
					})
				}
			: null
	);
	const tone = (mark: string) =>
		mark === '●' ? 'is-sharp' : mark === '○' || mark === '✕' ? 'is-soft' : 'is-marginal';
</script>

{#if set && inOrder}
	<p>
		<strong>{fewestWords(inOrder)}</strong>
		{absentWords(inOrder)}
		{othersWords(inOrder)}
	</p>
	<!-- what scrolls must be reached by keyboard -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" role="group" aria-label={say.peopleAndFrames} tabindex="0">
		<table>
			<thead>
				<tr>
					<th scope="col"><span class="sr-only">{say.person}</span></th>
					{#each columns as one (one.file.id)}
						<th
							scope="col"
							class:held={inSet.has(one.index)}
							class:now={one.file.id === view.file?.id}
						>
							<button
								type="button"
								aria-label={say.lookAtFrame(numberOf(one))}
								onclick={() => view.look(one.file.id)}>{numberOf(one)}</button
							>
						</th>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each view.present as i (i)}
					{@const person = set.people[i]}
					<tr class:free={!person?.counts}>
						<!-- marked without a change of its width: the whole table would be laid out anew -->
						<th scope="row" class:on={i === view.whom}>
							<button
								type="button"
								aria-current={i === view.whom ? 'true' : undefined}
								onclick={() => (view.person = i)}><bdi>{person?.name}</bdi></button
							>
						</th>
						{#each columns as one (one.file.id)}
							{@const face = one.reviewed.faces[i] ?? null}
							{@const mark = faceMark(face)}
							{@const words = faceWords(face)}
							<!-- one element a cell: there are thousands -->
							<td
								class={tone(mark)}
								class:now={one.file.id === view.file?.id}
								title={words}
								aria-label={words}>{mark}</td
							>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<p class="legend">
		{say.sharpEyesOpenAStopShort}
	</p>
{/if}

<style>
	strong {
		font-weight: 600;
	}
	.scroll {
		overflow: auto;
		max-width: 100%;
		/* what happens elsewhere does not paint thousands of cells again */
		contain: content;
	}
	table {
		border-collapse: collapse;
	}
	th,
	td {
		padding: 0;
		text-align: center;
		min-width: 1.9rem;
		height: 1.6rem;
	}
	th[scope='row'] {
		text-align: left;
		position: sticky;
		left: 0;
		background: var(--sheet);
		font-weight: 400;
		white-space: nowrap;
	}
	th button {
		min-height: 1.6rem;
		min-width: 1.9rem;
		padding: 0 0.4rem;
		text-align: inherit;
	}
	.on {
		box-shadow: inset 3px 0 0 var(--focus);
	}
	/* there are no shadows in the colours of the system */
	@media (forced-colors: active) {
		.on {
			outline: 2px solid;
			outline-offset: -2px;
		}
	}
	.free {
		opacity: 0.7;
	}
	.now {
		background: var(--paper);
	}
	.held button {
		font-weight: 700;
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	tr + tr td,
	tr + tr th {
		border-top: 1px solid var(--rule);
	}
	.legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	@media (pointer: coarse) {
		th button {
			min-height: 2.75rem;
			min-width: 2.75rem;
		}
	}
</style>
