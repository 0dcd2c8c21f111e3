<script lang="ts">
	import { droppingText as say } from '$words/screens/files/in';
	import { FRAMES_DRAGGED } from '../../frames/handedFiles.svelte';
	import { droppedFiles } from '../../browser/folders';

	/** Files can be dropped anywhere on the window. */
	interface Props {
		ondrop: (files: readonly File[]) => void;
		/** A folder among them could not be read. */
		onfail: () => void;
	}

	let { ondrop, onfail }: Props = $props();
	let isDropping = $state(false);

	/** What is dragged from one place of the app to another is no file. */
	const hasFiles = ({ dataTransfer }: DragEvent) =>
		dataTransfer !== null &&
		dataTransfer.types.includes('Files') &&
		!dataTransfer.types.includes(FRAMES_DRAGGED);
</script>

<svelte:window
	ondragover={(event) => {
		if (!hasFiles(event)) return;
		event.preventDefault();
		isDropping = true;
	}}
	ondragleave={(event) => (isDropping &&= event.relatedTarget !== null)}
	ondrop={(event) => {
		if (!hasFiles(event)) return;
		event.preventDefault();
		isDropping = false;
		if (event.dataTransfer) void droppedFiles(event.dataTransfer).then(ondrop, onfail);
	}}
/>

{#if isDropping}<div class="drop" aria-hidden="true">{say.dropTheFileHere}</div>{/if}

<style>
	.drop {
		position: fixed;
		inset: 1rem;
		display: grid;
		place-items: center;
		border: 3px dashed var(--focus);
		background: color-mix(in srgb, var(--paper) 85%, transparent);
		font-family: var(--font-serif);
		font-size: 1.6rem;
		z-index: 50;
		pointer-events: none;
	}
</style>
