<script lang="ts">
	import { smallPictureText as say } from '$words/screens/frames';
	import { watchSight } from '../browser/sight';
	import { smallPicture } from './pictures';

	/** What is within this of what is seen is made, px. */
	const NEAR_PX = 200;

	/** A small picture of a file, made when it comes into sight; nothing where the file was not chosen again. */
	let { file }: { file: File | null } = $props();
	let place = $state<HTMLElement>();
	let address = $state('');

	$effect(() => {
		if (!file || !place) return;
		const wanted = file;
		let isOver = false;
		const stop = watchSight(
			place,
			(isIt) => {
				if (!isIt) return;
				stop();
				void smallPicture(wanted).then((made) => {
					if (!isOver) address = made;
				});
			},
			NEAR_PX
		);
		return () => {
			isOver = true;
			stop();
		};
	});
</script>

<span class="small" bind:this={place}>
	{#if address}<img src={address} alt="" draggable="false" />{:else if !file}<span
			>{say.chooseItAgainToSeeIt}</span
		>{/if}
</span>

<style>
	.small {
		height: 4.8rem;
		width: 100%;
		display: grid;
		place-items: center;
		background: var(--paper);
		overflow: hidden;
		color: var(--ink-2);
		font-size: 0.75rem;
		text-align: center;
	}
	img {
		width: 100%;
		height: 4.8rem;
		object-fit: contain;
	}
</style>
