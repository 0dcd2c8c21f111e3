<script lang="ts">
	import { howToText as say } from '$words/screens/bench/parts';
	import type { Snippet } from 'svelte';

	/** How a bench or an exercise goes: what for, the steps, what goes wrong, and a drawing beside them. */
	interface Props {
		title: string;
		what: string;
		steps: readonly string[];
		mistakes: string;
		/** The drawing. */
		children: Snippet;
	}

	let { title, what, steps, mistakes, children }: Props = $props();
</script>

<h2>{title}</h2>
<p>{what}</p>
<div class="how">
	<div>
		<ol>
			{#each steps as step, i (i)}<li>{step}</li>{/each}
		</ol>
		<p class="note">{say.whatUsuallyGoesWrong(mistakes)}</p>
	</div>
	{@render children()}
</div>

<style>
	h2 {
		font-size: 1.3rem;
	}
	.how {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 15rem;
		gap: 1.2rem;
		align-items: start;
	}
	ol {
		list-style: decimal;
		padding-left: 1.3rem;
		display: flex;
		flex-direction: column;
		gap: 0.25rem;
	}
	.note {
		color: var(--ink-2);
		margin-top: 0.5rem;
	}
	@media (max-width: 48rem) {
		.how {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
