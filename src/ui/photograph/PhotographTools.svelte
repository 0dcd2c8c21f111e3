<script lang="ts">
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import { saveBlob } from '../browser/saving';
	import Menu from '../shared/Menu.svelte';
	import type { KeptPhotograph } from './keptPhotograph.svelte';

	/** The photograph that was kept with a shot: shown over the picture, saved as a file, forgotten. */
	let { photograph }: { photograph: KeptPhotograph } = $props();

	let isOpen = $state(false);
</script>

<Menu text="photograph ▾" bind:isOpen>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			photograph.isShown = !photograph.isShown;
		}}>{photograph.isShown ? 'Hide it' : 'Show it over the picture'}</DropdownItem
	>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			if (photograph.jpeg) saveBlob('photograph.jpg', photograph.jpeg);
		}}>Save it as a file</DropdownItem
	>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			void photograph.forget();
		}}>Forget it</DropdownItem
	>
</Menu>
