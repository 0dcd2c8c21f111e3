<script lang="ts">
	import { pointAtObjectsText as say } from '$words/screens/bench/exercises';
	import { OBJECTS } from '$core/exercises/exercise';
	import { largePicture } from '../../frames/pictures';
	import PointingCross from '../../shared/PointingCross.svelte';
	import type { ExerciseRun } from './exerciseRun.svelte';

	/** The objects are tapped once, in one frame; they are found in the others. */
	let { run }: { run: ExerciseRun } = $props();

	const following = $derived(run.home.following);
	let address = $state('');
	const file = $derived(run.files.find((one) => one.file) ?? null);
	const size = $derived(file?.measured ?? null);
	const WHERE: Readonly<Record<(typeof OBJECTS)[number], string>> = {
		first: say.theFirstObjectTheNearest,
		second: say.theSecondInTheMiddle,
		third: say.theThirdTheFarthest
	};

	$effect(() => {
		const source = file?.file;
		let isOver = false;
		address = '';
		if (!source) return;
		largePicture(source).then(
			(made) => {
				if (!isOver) address = made ?? '';
			},
			() => undefined
		);
		return () => (isOver = true);
	});

	function point(across: number, down: number) {
		if (file && size) void run.point(file, across * size.widthPx, down * size.heightPx);
	}
</script>

{#if run.files.length > 0 && !file}
	<p>{say.theseFramesWereMeasuredBefore}</p>
{:else if file && size}
	<div class="row">
		<p role="status">
			{#if run.nextObject}{say.tapOnAnEdgeOrSome(
					WHERE[run.nextObject]
				)}{:else if following.isBusy}{say.lookingForItInTheOther}{:else}{say.allThreeAreFollowedThroughThe}{/if}
		</p>
		{#if run.nextObject !== 'first'}
			<button class="knob" type="button" onclick={() => run.unpoint()}>{say.pointAgain}</button>
		{/if}
	</div>
	<div class="picture" style:--shape={size.widthPx / size.heightPx}>
		{#if address}<img src={address} alt={file.name} />{/if}
		{#each size.pointed as spot (spot.id)}
			<span
				class="mark"
				style:left="{(100 * spot.x) / size.widthPx}%"
				style:top="{(100 * spot.y) / size.heightPx}%"
				>{OBJECTS.findIndex((id) => id === spot.id) + 1}</span
			>
		{/each}
		{#if run.nextObject}
			<PointingCross
				label={say.tap(WHERE[run.nextObject])}
				isWaiting={following.isBeginning}
				onpoint={point}
			/>
		{/if}
	</div>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
	.picture {
		position: relative;
		aspect-ratio: var(--shape);
		width: min(100%, calc(24rem * var(--shape)));
		background: var(--paper);
	}
	img {
		width: 100%;
		height: 100%;
	}
	.mark {
		position: absolute;
		translate: -50% -50%;
		background: var(--sheet);
		border: 2px solid var(--focus);
		border-radius: 50%;
		width: 1.5rem;
		line-height: 1.25rem;
		text-align: center;
		font-weight: 600;
	}
</style>
