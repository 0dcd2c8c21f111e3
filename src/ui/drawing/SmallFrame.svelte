<script lang="ts">
	import { wholeFrame } from '../../preview/scene';
	import { wishOf, type Drawable } from './drawable';
	import { GROUND, RING } from '$files/out/printed';
	import Picture from '../picture/Picture.svelte';
	import { preview } from '../picture/preview.svelte';
	import { keeping } from '../picture/reuse';
	import { devicePx, fitted } from '../picture/size';
	import { frameShapes } from './frameShapes';

	/** The frame, the face to focus on ringed: with its real blur, or drawn while that is on its way or cannot be had. */
	let { drawable, label }: { drawable: Drawable; label: string } = $props();

	const id = $props.id();
	const frame = $derived(frameShapes(drawable));
	const { width, height } = $derived(frame);
	let roomX = $state(1);
	let roomY = $state(1);
	const size = $derived(fitted(roomX, roomY, width / height));
	const wish = $derived.by(
		keeping(() => {
			const window = wholeFrame(drawable.scene.pose);
			return wishOf(drawable, window, devicePx(size.width), devicePx(size.height));
		})
	);
	let samples = $state(0);
	const isDrawn = $derived(preview.why !== null || samples === 0);
</script>

<div class="room" bind:clientWidth={roomX} bind:clientHeight={roomY}>
	<div class="sheet" style:width="{size.width}px" style:height="{size.height}px">
		{#if preview.why === null && roomX > 1}
			<div class="picture" aria-hidden="true">
				<Picture name="card" {wish} label="" ondrawn={(count) => (samples = count)} />
			</div>
		{/if}
		<svg viewBox="{-width / 2} {-height / 2} {width} {height}" role="img" aria-label={label}>
			<clipPath {id}><rect x={-width / 2} y={-height / 2} {width} {height} /></clipPath>
			<g clip-path="url(#{id})">
				{#if isDrawn}<rect x={-width / 2} y={-height / 2} {width} {height} fill={GROUND} />{/if}
				{#each isDrawn ? frame.shapes : [] as shape, i (i)}
					{#if shape.kind === 'path'}
						<path d={shape.d} fill={shape.fill} stroke={shape.stroke} stroke-width={width / 300} />
					{:else if shape.kind === 'ellipse'}
						<ellipse
							rx={shape.rx}
							ry={shape.ry}
							fill={shape.fill}
							transform="translate({shape.x} {shape.y}) rotate({shape.angleDeg})"
						/>
					{:else}
						<rect {...shape} />
					{/if}
				{/each}
				{#if frame.ring}
					{@const { x, y, radius } = frame.ring}
					<circle cx={x} cy={y} r={radius} fill="none" stroke="#fffdf8" stroke-width={width / 75} />
					<circle cx={x} cy={y} r={radius} fill="none" stroke={RING} stroke-width={width / 130} />
				{/if}
			</g>
		</svg>
	</div>
</div>

<style>
	.room {
		height: 100%;
	}
	.sheet {
		position: relative;
		border: 1px solid var(--ink);
		box-sizing: border-box;
	}
	.picture,
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	:global([data-look='night']) .sheet {
		filter: brightness(0.75);
	}
</style>
