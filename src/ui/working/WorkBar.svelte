<script lang="ts">
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';

	/** How far long work has come: the one bar for all of it. */
	interface Props {
		/** Done, 0 to 1. */
		share: number;
		/** What is being done, for those who listen. */
		label: string;
	}

	let { share, label }: Props = $props();
	const percent = $derived(Math.round(100 * Math.min(1, share)));
</script>

<span class="bar">
	<Progressbar
		size="h-1.5"
		progress={percent}
		role="progressbar"
		aria-label={label}
		aria-valuenow={percent}
		aria-valuemin={0}
		aria-valuemax={100}
	/>
</span>

<style>
	.bar {
		display: block;
		flex: 1 1 8rem;
		min-width: 6rem;
	}
</style>
