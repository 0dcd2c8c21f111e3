<script lang="ts">
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { NUDGES, smallLength } from '$words/numbers';
	import { settings } from '../shared/settings.svelte';
	import Licences from './Licences.svelte';
	import ShortcutList from './ShortcutList.svelte';

	let { open = $bindable(false) }: { open?: boolean } = $props();

	const step = $derived(smallLength(NUDGES[settings.units].m, settings.units));
	const fineStep = $derived(smallLength(NUDGES[settings.units].fineM, settings.units));
	const KEYS = $derived([
		['Ctrl Z, Ctrl Y', 'undo, redo'],
		['Ctrl O, Ctrl S', 'open a file, save the shot to a file'],
		['on the card', 'left and right go from shot to shot'],
		['in review', 'left and right go from frame to frame, up and down from face to face'],
		['on the handle of a shot of the day', 'Alt with up or down moves it in the order'],
		[
			'on the stage',
			`arrows go from object to object, Enter takes hold; then arrows move ${step} (Shift: ${fineStep}), comma and full stop turn, Enter lets go`
		],
		['on the picture', 'arrows go from face to face, Enter focuses there'],
		['on the eyes', 'Enter opens a face at large'],
		['on the divider', 'arrows move it'],
		['on the ladder', 'arrows look at a rung, Enter fixes or frees it']
	] as const);
</script>

<Modal title="Help" bind:open size="md">
	<div class="help">
		<p>
			Put people where they will stand, and read what to focus on and at which f-number. Drag
			anything on the stage; point at a rung of the ladder to look at it, click it to keep it.
		</p>
		<p>
			<span class="is-sharp">●</span> sharp <span class="is-marginal">◐</span> a stop short
			<span class="is-soft">○</span> soft ▲ a thing is as intended △ it is not ≈ the small opening softens
			everything
		</p>
		<dl>
			{#each KEYS as [keys, words], i (i)}
				<dt>{keys}</dt>
				<dd>{words}</dd>
			{/each}
		</dl>
		<ShortcutList />
		<p>
			The picture is drawn through the lens as it is set, so blur, discs of light and who hides whom
			are as they will be. The figures are invented; shake and motion are not drawn.
		</p>
		<Licences />
		<p>
			Everything is kept in this browser and sent nowhere. To give a shot to somebody, save it to a
			file; they drop the file on their window.
		</p>
	</div>
</Modal>

<style>
	.help {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		color: var(--ink);
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.2rem 1rem;
	}
	dt {
		font-weight: 600;
	}
</style>
