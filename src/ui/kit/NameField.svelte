<script lang="ts">
	import { commonText as common } from '$words/screens/common';
	/** The name of a body or lens; an empty one changes nothing. */
	let { name, onchange }: { name: string; onchange: (name: string) => void } = $props();

	const id = $props.id();
</script>

<p>
	<label for={id}>{common.name}</label>
	<input
		{id}
		type="text"
		maxlength={80}
		value={name}
		oninput={(event) => {
			const next = event.currentTarget.value.trim();
			if (next !== '') onchange(next);
		}}
		onblur={(event) => (event.currentTarget.value = name)}
	/>
</p>

<style>
	p {
		display: flex;
		flex-direction: column;
		gap: 0.1rem;
	}
	label {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	input {
		border: 1px solid var(--edge);
		border-radius: 3px;
		background: var(--sheet);
		padding: 0.2rem 0.5rem;
	}
</style>
