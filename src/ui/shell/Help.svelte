<script lang="ts">
	import { helpText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { NUDGES, smallLength } from '$words/numbers';
	import { settings } from '../shared/settings.svelte';
	import Licences from './Licences.svelte';
	import ShortcutList from './ShortcutList.svelte';

	let { open = $bindable(false) }: { open?: boolean } = $props();

	const step = $derived(smallLength(NUDGES[settings.units].m, settings.units));
	const fineStep = $derived(smallLength(NUDGES[settings.units].fineM, settings.units));
	const KEYS = $derived([
		[say.ctrlZCtrlY, say.undoRedo],
		[say.ctrlOCtrlS, say.openAFileSaveTheShot],
		[say.onTheCard, say.leftAndRightGoFromShot],
		[say.inReview, say.leftAndRightGoFromFrame],
		[say.onTheHandleOfAShot, say.altWithUpOrDownMoves],
		[say.onTheStage, say.arrowsGoFromObjectToObject(step, fineStep)],
		[say.onThePicture, say.arrowsGoFromFaceToFace],
		[say.onTheEyes, say.enterOpensAFaceAtLarge],
		[say.onTheDivider, say.arrowsMoveIt],
		[say.onTheLadder, say.arrowsPreviewARungEnterLocks]
	] as const);
</script>

<Modal title={common.help} bind:open size="md">
	<div class="help">
		<p>
			{say.putPeopleWhereTheyWillStand}
		</p>
		<p>
			<span class="is-sharp">●</span>
			{say.sharp} <span class="is-marginal">◐</span>
			{common.aStopShort}
			<span class="is-soft">○</span>
			{say.softAThingIsAsIntended}
		</p>
		<dl>
			{#each KEYS as [keys, words], i (i)}
				<dt>{keys}</dt>
				<dd>{words}</dd>
			{/each}
		</dl>
		<ShortcutList />
		<p>
			{say.thePictureIsDrawnThroughThe}
		</p>
		<Licences />
		<p>
			{say.everythingIsKeptInThisBrowser}
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
