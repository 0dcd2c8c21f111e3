<script lang="ts">
	import { lookingText as say } from '$words/screens/files/in';
	import { commonText as common } from '$words/screens/common';
	import type { Openings } from './openings.svelte';

	/** A file is being looked at: said where that takes longer than a blink. */
	let { openings }: { openings: Openings } = $props();
	const share = $derived(openings.work.share);
</script>

{#if share !== null}
	<div class="looking" role="status">
		<span>{say.lookingAt} <bdi>{openings.name}</bdi>, {Math.round(100 * share)} %</span>
		<button class="knob" type="button" onclick={() => openings.giveUp()}>{common.stop}</button>
	</div>
{/if}

<style>
	.looking {
		position: fixed;
		inset: auto 0 calc(var(--places, 0rem) + 1rem);
		z-index: 50;
		width: fit-content;
		max-width: calc(100vw - 2rem);
		margin: 0 auto;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.8rem;
		padding: 0.5rem 0.9rem;
		background: var(--paper);
		border: 1px solid var(--edge);
		animation: appear 0s 0.3s both;
	}
	@keyframes appear {
		from {
			visibility: hidden;
		}
	}
</style>
