<script lang="ts">
	import type { Delivery } from '../../preview/engine';
	import { preview, type Wish } from './preview.svelte';

	/** A rendered picture that becomes better and better while nothing changes. */
	interface Props {
		/** Names the view among all on the screen. */
		name: string;
		wish: Wish;
		/** The lowest is drawn first. */
		rank?: number;
		label: string;
		ondrawn?: (samples: number) => void;
	}

	let { name, wish, rank = 1, label, ondrawn }: Props = $props();

	let canvas = $state<HTMLCanvasElement>();
	let samples = $state(0);
	let isSettled = $state(false);

	function show({ bitmap, samples: count, isSettled: settled }: Delivery) {
		const context = canvas?.getContext('2d');
		if (canvas && context) {
			if (canvas.width !== bitmap.width) canvas.width = bitmap.width;
			if (canvas.height !== bitmap.height) canvas.height = bitmap.height;
			context.drawImage(bitmap, 0, 0);
		}
		bitmap.close();
		samples = count;
		isSettled = settled;
		ondrawn?.(count);
	}

	$effect(() => {
		isSettled = false;
		return preview.want(name, rank, wish, show);
	});
</script>

<div role="img" aria-label={label} data-samples={samples} data-settled={isSettled}>
	<canvas bind:this={canvas} class:empty={samples === 0}></canvas>
</div>

<style>
	div,
	canvas {
		display: block;
		width: 100%;
		height: 100%;
	}
	.empty {
		visibility: hidden;
	}
</style>
