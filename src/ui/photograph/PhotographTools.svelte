<script lang="ts">
	import { photographToolsText as say } from '$words/screens/photograph';
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import { saveBlob } from '../browser/saving';
	import Menu from '../shared/Menu.svelte';
	import type { KeptPhotograph } from './keptPhotograph.svelte';

	/** The photograph that was kept with a shot: shown over the picture, saved as a file, forgotten. */
	let { photograph }: { photograph: KeptPhotograph } = $props();

	let isOpen = $state(false);
</script>

<Menu text={say.photograph} bind:isOpen>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			photograph.isShown = !photograph.isShown;
		}}>{photograph.isShown ? say.hideIt : say.showItOverThePicture}</DropdownItem
	>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			if (photograph.jpeg) saveBlob('photograph.jpg', photograph.jpeg);
		}}>{say.saveItAsAFile}</DropdownItem
	>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			void photograph.forget();
		}}>{say.forgetIt}</DropdownItem
	>
</Menu>
