<script lang="ts">
	import Dropdown from 'flowbite-svelte/Dropdown.svelte';
	import type { Snippet } from 'svelte';

	/** A button that opens a list of things to do. */
	interface Props {
		/** What stands on the button. */
		text: string;
		/** What the list is called for those who listen; the text unless it says too little. */
		label?: string;
		isOpen: boolean;
		disabled?: boolean;
		/** The items: Flowbite's DropdownItem. */
		children: Snippet;
	}

	let { text, label = text, isOpen = $bindable(), disabled = false, children }: Props = $props();
</script>

<button
	class="knob"
	type="button"
	aria-haspopup="dialog"
	aria-expanded={isOpen}
	aria-label={label === text ? undefined : label}
	{disabled}>{text}</button
>
<Dropdown
	simple
	bind:isOpen
	triggerDelay={0}
	role="dialog"
	aria-label={label}
	class="z-30 border border-[var(--edge)]"
>
	{@render children()}
</Dropdown>
