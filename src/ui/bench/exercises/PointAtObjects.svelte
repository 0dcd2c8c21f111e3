<script lang="ts">
	import { OBJECTS } from '$core/exercises/exercise';
	import { largePicture } from '../../review/pictures';
	import type { ExerciseRun } from './exerciseRun.svelte';

	/** The objects are tapped once, in one frame; they are found in the others. */
	let { run }: { run: ExerciseRun } = $props();

	const following = $derived(run.home.following);
	let address = $state('');
	const file = $derived(run.files.find((one) => one.file) ?? null);
	const size = $derived(file?.measured ?? null);
	const WHERE: Readonly<Record<(typeof OBJECTS)[number], string>> = {
		first: 'the first object, the nearest',
		second: 'the second, in the middle',
		third: 'the third, the farthest'
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

	/** Where the keyboard points, as shares of the picture; arrows move it, with Shift by little. */
	let across = $state(0.5);
	let down = $state(0.5);
	const STEP = { usual: 0.02, little: 0.004 } as const;
	const WAYS: Readonly<Record<string, readonly [right: number, down: number]>> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	const within = (share: number) => Math.min(1, Math.max(0, share));
	function move(event: KeyboardEvent) {
		const way = WAYS[event.key];
		if (!way) return;
		event.preventDefault();
		const step = event.shiftKey ? STEP.little : STEP.usual;
		across = within(across + step * way[0]);
		down = within(down + step * way[1]);
	}

	function tap(event: MouseEvent) {
		if (!file || !size) return;
		if (event.detail > 0) {
			const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
			across = within((event.clientX - box.left) / box.width);
			down = within((event.clientY - box.top) / box.height);
		}
		void run.point(file, across * size.widthPx, down * size.heightPx);
	}
</script>

{#if run.files.length > 0 && !file}
	<p>These frames were measured before. Choose them again to see them.</p>
{:else if file && size}
	<div class="row">
		<p role="status">
			{#if run.nextObject}Tap {WHERE[run.nextObject]}: on an edge or some detail of it.{:else if following.isBusy}Looked
				for in the other frames…{:else}All three are followed through the frames.{/if}
		</p>
		{#if run.nextObject !== 'first'}
			<button class="knob" type="button" onclick={() => run.unpoint()}>Point anew</button>
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
		{#if run.nextObject && !following.isBeginning}
			<button type="button" class="over" onclick={tap} onkeydown={move}
				><span class="sr-only">Tap {WHERE[run.nextObject]}; arrows move the cross</span><span
					class="cross"
					aria-hidden="true"
					style:left="{100 * across}%"
					style:top="{100 * down}%">+</span
				></button
			>
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
	.over {
		position: absolute;
		inset: 0;
		cursor: crosshair;
	}
	.cross {
		display: none;
		position: absolute;
		translate: -50% -50%;
		font-size: 1.6rem;
		line-height: 1;
		color: var(--focus);
		text-shadow: 0 0 3px var(--sheet);
	}
	.over:focus-visible .cross {
		display: block;
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
