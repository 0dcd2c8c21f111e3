<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { MeasuredChart } from '$core/bench/measuredChart';

	/** What is done with a result of one's own gear; of the practice camera there is nothing to keep, and it is said. */
	let { frames, children }: { frames: readonly MeasuredChart[]; children: Snippet } = $props();
</script>

{#if frames.some(({ facts }) => facts.isPractice)}
	<p class="note">
		The practice camera took these: they say nothing of your own gear, so nothing of it is kept.
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
