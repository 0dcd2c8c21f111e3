<script lang="ts">
	import type { Drawable } from '../plan/pictures';
	import { GROUND, RING } from '$files/out/printed';
	import { frameShapes } from './frameShapes';

	/** The frame in small, the face to focus on ringed. */
	let { drawable, label }: { drawable: Drawable; label: string } = $props();

	const id = $props.id();
	const frame = $derived(frameShapes(drawable));
	const { width, height } = $derived(frame);
</script>

<svg
	viewBox="{-width / 2} {-height / 2} {width} {height}"
	style:aspect-ratio="{width} / {height}"
	role="img"
	aria-label={label}
>
	<clipPath {id}><rect x={-width / 2} y={-height / 2} {width} {height} /></clipPath>
	<g clip-path="url(#{id})">
		<rect x={-width / 2} y={-height / 2} {width} {height} fill={GROUND} />
		{#each frame.shapes as shape, i (i)}
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

<style>
	svg {
		display: block;
		width: auto;
		height: 100%;
		max-width: 100%;
		border: 1px solid var(--ink);
	}
	:global([data-look='night']) svg {
		filter: brightness(0.75);
	}
</style>
