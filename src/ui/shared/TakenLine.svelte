<script lang="ts">
	import { takenLineText as say } from '$words/screens/shared';
	import type { TakenSettings } from '$core/format/job';
	import { takenWords } from '$words/light';

	/** What was really used when a shot was taken, and what was noted. */
	let { taken }: { taken: TakenSettings } = $props();
	const words = $derived(takenWords(taken));
</script>

{#if words || taken.note}
	<p class="taken">
		{#if words}{say.takenWith(words)}{/if}
		{#if taken.note}<em>“<bdi>{taken.note}</bdi>”</em>{/if}
	</p>
{/if}

<style>
	.taken {
		color: var(--ink-2);
	}
</style>
