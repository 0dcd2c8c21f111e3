<script lang="ts">
	import { eyePieceText as say } from '$words/screens/review/looking';
	import { pieceOf } from '../../frames/pictures';

	/** A piece of a file around a place, pixel by pixel. */
	interface Props {
		file: File | null;
		x: number;
		y: number;
		label: string;
	}

	let { file, x, y, label }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();
	let widthCss = $state(0);
	const HEIGHT_CSS = 120;

	$effect(() => {
		const target = canvas;
		if (!file || !target || widthCss === 0) return;
		const piece = {
			x,
			y,
			widthPx: Math.round(widthCss * devicePixelRatio),
			heightPx: Math.round(HEIGHT_CSS * devicePixelRatio)
		};
		// of another frame than before nothing stays: what is asked for may take a moment
		target.width = piece.widthPx;
		target.height = piece.heightPx;
		let isOver = false;
		pieceOf(file, piece).then(
			(bitmap) => {
				if (bitmap && !isOver) target.getContext('2d')?.drawImage(bitmap, 0, 0);
			},
			() => undefined
		);
		return () => (isOver = true);
	});
</script>

<div class="piece" bind:clientWidth={widthCss} style:height="{HEIGHT_CSS}px">
	{#if file}<canvas bind:this={canvas} aria-label={label}></canvas>{:else}<span
			>{say.chooseTheFileAgainToSee}</span
		>{/if}
</div>

<style>
	.piece {
		overflow: hidden;
		background: var(--paper);
		display: grid;
		place-items: center;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	span {
		padding: 0.3rem;
		text-align: center;
	}
	canvas {
		width: 100%;
		height: 100%;
		image-rendering: pixelated;
	}
</style>
