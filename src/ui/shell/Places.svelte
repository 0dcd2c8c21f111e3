<script lang="ts">
	import { shellPlacesText as say } from '$words/screens/shell';
	import { PLACES, PLACE_NAMES, type PlaceName } from '../shared/places';

	/** The places of the work, in its order; on a phone at the bottom, under the thumb. */
	interface Props {
		place: PlaceName;
		ongo: (place: PlaceName) => void;
	}

	let { place, ongo }: Props = $props();
</script>

<nav aria-label={say.placesOfTheWork}>
	{#each PLACE_NAMES as one (one)}
		<button
			type="button"
			aria-current={one === place ? 'page' : undefined}
			onclick={() => ongo(one)}>{PLACES[one].words}</button
		>
	{/each}
</nav>

<style>
	nav {
		display: flex;
		gap: 0.1rem;
		align-self: stretch;
	}
	button {
		padding: 0 0.7rem;
		min-height: 1.75rem;
		color: var(--ink-2);
		border-bottom: 2px solid transparent;
		border-top: 2px solid transparent;
	}
	button:hover {
		color: var(--ink);
	}
	button[aria-current] {
		color: var(--ink);
		font-weight: 600;
		border-bottom-color: var(--focus);
	}
	@media (pointer: coarse) {
		button {
			min-height: 2.75rem;
		}
	}
	@media (max-width: 40rem) {
		nav {
			position: fixed;
			inset: auto 0 0 0;
			height: var(--places);
			padding-bottom: env(safe-area-inset-bottom);
			background: var(--sheet);
			border-top: 1px solid var(--rule);
			z-index: 20;
		}
		button {
			flex: 1;
			font-size: 1rem;
			border-bottom: 0;
			border-top: 3px solid transparent;
		}
		button[aria-current] {
			border-top-color: var(--focus);
		}
	}
</style>
