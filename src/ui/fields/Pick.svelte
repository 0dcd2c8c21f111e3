<script lang="ts" generics="T extends string">
	import Select from 'flowbite-svelte/Select.svelte';

	/** One of several words, from a list. */
	interface Props {
		label: string;
		options: readonly { readonly value: T; readonly text: string }[];
		value: T;
		onchoose: (value: T) => void;
		/** The label is only for those who listen. */
		quiet?: boolean;
	}

	let { label, options, value, onchoose, quiet = false }: Props = $props();
	const id = $props.id();
	const items = $derived(options.map((option) => ({ value: option.value, name: option.text })));
</script>

<div class="pick">
	<label for={id} class={quiet ? 'sr-only' : ''}>{label}</label>
	<Select
		{id}
		{items}
		placeholder=""
		bind:value={() => value, (next) => next !== undefined && next !== value && onchoose(next as T)}
		classes={{
			select:
				'py-0 ps-1.5 pe-0.5 min-h-7 pointer-coarse:min-h-11 leading-tight border-[var(--edge)]'
		}}
	/>
</div>

<style>
	.pick {
		display: flex;
		flex-direction: column;
		gap: 0.1rem;
		min-width: 0;
	}
	label {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
</style>
