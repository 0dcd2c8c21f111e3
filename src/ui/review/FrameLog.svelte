<script lang="ts">
	import { frameLogText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
	import { nominalFNumber } from '$core/optics/fNumber';
	import { nominalIso } from '$core/light/dials';
	import { shutterWords } from '$words/light';
	import { fStop, rounded } from '$words/numbers';
	import { clippedWords, inFocusWords } from '$words/review';
	import type { ReviewView } from './view/review.svelte';

	/** The log of a shot: in order, what was focused on, with which settings, kept or not, and a note. */
	let { view }: { view: ReviewView } = $props();
</script>

<!-- what scrolls must be reached by keyboard -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="scroll" role="group" aria-label={say.theLog} tabindex="0">
	<table>
		<thead>
			<tr>
				{#each ['', common.inFocus, 'f-number', 'shutter', 'ISO', 'mm', 'white', 'mark', 'note'] as head, i (i)}
					<th scope="col"
						>{head}{#if !head}<span class="sr-only">{say.frame}</span>{/if}</th
					>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each view.files as file, i (file.id)}
				{@const judged = view.judged.get(file.id)}
				{@const facts = file.measured?.facts ?? {}}
				<tr class:now={file.id === view.file?.id}>
					<th scope="row"
						><button
							type="button"
							onclick={() => view.look(file.id)}
							aria-label={say.lookAtFrame(i + 1)}>{i + 1}</button
						></th
					>
					<td><bdi>{judged && view.set ? inFocusWords(judged.reviewed, view.set) : ''}</bdi></td>
					<td>{facts.fNumber === undefined ? '' : fStop(nominalFNumber(facts.fNumber))}</td>
					<td>{facts.shutterS === undefined ? '' : shutterWords(facts.shutterS)}</td>
					<td>{facts.iso === undefined ? '' : nominalIso(facts.iso)}</td>
					<td>{facts.focalMm === undefined ? '' : rounded(facts.focalMm, 1)}</td>
					<td
						>{clippedWords(
							Math.max(0, ...(judged?.reviewed.faces.map((face) => face?.face.clipped ?? 0) ?? []))
						)}</td
					>
					<td>{file.judgement.mark ?? ''}{file.judgement.isFavourite ? ' ★' : ''}</td>
					<td>
						<input
							class="typed"
							type="text"
							maxlength="400"
							aria-label={say.noteOnFrame(i + 1)}
							value={file.judgement.note}
							onchange={(event) => view.note(file.id, event.currentTarget.value)}
						/>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		overflow: auto;
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th,
	td {
		text-align: left;
		padding: 0.1rem 0.5rem 0.1rem 0;
		white-space: nowrap;
		border-top: 1px solid var(--rule);
	}
	thead th {
		border: 0;
		font-weight: 400;
		color: var(--ink-2);
	}
	th button {
		min-width: 1.9rem;
		min-height: 1.6rem;
	}
	.now {
		background: var(--paper);
	}
	.typed {
		min-width: 9rem;
		width: 100%;
	}
	@media (pointer: coarse) {
		th button {
			min-height: 2.75rem;
			min-width: 2.75rem;
		}
	}
</style>
