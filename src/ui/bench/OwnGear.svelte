<script lang="ts">
	import { ownGearText as say } from '$words/screens/bench/place';
	import type { Snippet } from 'svelte';
	import type { MeasuredChart } from '$core/bench/measuredChart';

	/** What is done with a result of one's own gear; of the practice camera there is nothing to keep, and it is said. */
	let { frames, children }: { frames: readonly MeasuredChart[]; children: Snippet } = $props();
</script>

{#if frames.some(({ facts }) => facts.isPractice)}
	<p class="note">
		{say.thePracticeCameraTookTheseThey}
	</p>
{:else}
	<div class="row">{@render children()}</div>
{/if}

<style>
	.note {
		color: var(--ink-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
	}
</style>
