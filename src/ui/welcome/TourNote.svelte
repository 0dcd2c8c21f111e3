<script lang="ts">
	import { tour } from './tour.svelte';

	/** The tour: a note at the edge that covers no answer. */
	const SENTENCES = [
		'On top stands the answer: whom to focus on, and how to set the camera. “why” has the reasons.',
		'Drag people, things and the camera on the stage: everything follows at once.',
		'The frame shows the picture with its real blur: click a face to focus there.',
		'Below is every f-number: pass over one to see it, click to lock it. Card is to carry along; Review says how it came out.'
	] as const;
</script>

{#if tour.step !== null}
	<aside aria-label="Tour">
		<p role="status">{tour.step + 1} of {SENTENCES.length}: {SENTENCES[tour.step]}</p>
		<div>
			<button class="knob" type="button" onclick={() => tour.next(SENTENCES.length)}
				>{tour.step + 1 < SENTENCES.length ? 'Next' : 'Done'}</button
			>
			{#if tour.step + 1 < SENTENCES.length}
				<button class="knob" type="button" onclick={() => tour.end()}>Skip the tour</button>
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
