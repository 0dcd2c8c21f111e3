<script lang="ts">
	import { tourNoteText as say } from '$words/screens/welcome';
	import { commonText as common } from '$words/screens/common';
	import { tour } from './tour.svelte';

	/** The tour: a note at the edge that covers no answer. */
	const SENTENCES = [
		say.theAnswerIsAtTheTop,
		say.dragPeopleThingsAndTheCamera,
		say.theFrameShowsThePictureWith,
		say.belowIsEveryFNumberPoint
	] as const;
</script>

{#if tour.step !== null}
	<aside aria-label={say.tour}>
		<p role="status">{say.of(tour.step + 1, SENTENCES.length, SENTENCES[tour.step] ?? '')}</p>
		<div>
			<button class="knob" type="button" onclick={() => tour.next(SENTENCES.length)}
				>{tour.step + 1 < SENTENCES.length ? say.next : common.done}</button
			>
			{#if tour.step + 1 < SENTENCES.length}
				<button class="knob" type="button" onclick={() => tour.end()}>{say.skipTheTour}</button>
			{/if}
		</div>
	</aside>
{/if}

<style>
	aside {
		position: fixed;
		left: 1.25rem;
		bottom: 0.8rem;
		z-index: 20;
		max-width: min(34rem, calc(100vw - 2.5rem));
		background: var(--sheet);
		border: 1px solid var(--ink);
		border-left: 4px solid var(--focus);
		box-shadow: 0 6px 24px rgb(0 0 0 / 0.25);
		padding: 0.6rem 0.8rem;
		display: flex;
		flex-direction: column;
		gap: 0.4rem;
	}
	div {
		display: flex;
		gap: 0.5rem;
	}
	@media (max-width: 45rem) {
		aside {
			bottom: calc(var(--places, 0) + 0.5rem);
		}
	}
	@media (pointer: coarse) {
		.knob {
			min-height: 2.75rem;
		}
	}
</style>
