<script lang="ts">
	import type { Shot } from '$core/format/shot';
	import { splitNames } from '$words/names';

	/** A sentence about a shot, its names set apart. */
	let { text, shot }: { text: string; shot: Shot } = $props();

	const names = $derived([
		...shot.people.map(({ name }) => name),
		...shot.things.map(({ label }) => label)
	]);
</script>

{#each splitNames(text, names) as part, i (i)}{#if part.isName}<bdi>{part.text}</bdi
		>{:else}{part.text}{/if}{/each}
