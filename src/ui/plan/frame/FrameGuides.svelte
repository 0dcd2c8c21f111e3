<script lang="ts">
	import { frameGuidesText as say } from '$words/screens/plan/frame';
	/** What may lie over the picture: thirds, a margin, the point focused on, who is cut. */
	interface Props {
		/** Sides of the sensor as held, mm. */
		width: number;
		height: number;
		mmPerPx: number;
		/** The point focused on, as shares of width and height. */
		point: { readonly x: number; readonly y: number } | null;
		/** How far the body's focus points reach, and the nearest one to what is focused on. */
		focusPoints: {
			readonly width: number;
			readonly height: number;
			readonly nearest: { readonly x: number; readonly y: number } | null;
		} | null;
		hasThirds: boolean;
		hasMargin: boolean;
		/** Those whom the edge cuts, with a place for their name. */
		cuts: readonly {
			readonly id: string;
			readonly name: string;
			readonly x: number;
			readonly y: number;
		}[];
	}

	let { width, height, mmPerPx, point, focusPoints, hasThirds, hasMargin, cuts }: Props = $props();

	/** What a print or a frame may cut off: as much of each side. */
	const CROP_SHARE = 0.05;
</script>

{#if hasThirds}
	<path
		class="guide"
		role="presentation"
		d="M{-width / 6} {-height / 2}v{height}M{width / 6} {-height / 2}v{height}M{-width /
			2} {-height / 6}h{width}M{-width / 2} {height / 6}h{width}"
	/>
{/if}
{#if hasMargin}
	<rect
		class="guide margin"
		role="presentation"
		x={-width * (0.5 - CROP_SHARE)}
		y={-height * (0.5 - CROP_SHARE)}
		width={width * (1 - 2 * CROP_SHARE)}
		height={height * (1 - 2 * CROP_SHARE)}
	/>
{/if}
{#if focusPoints}
	<rect
		class="guide reach"
		role="presentation"
		x={(-width * focusPoints.width) / 2}
		y={(-height * focusPoints.height) / 2}
		width={width * focusPoints.width}
		height={height * focusPoints.height}
		rx={6 * mmPerPx}
	/>
	{#if focusPoints.nearest}
		{@const x = (focusPoints.nearest.x - 0.5) * width}
		{@const y = (focusPoints.nearest.y - 0.5) * height}
		{@const arm = 5 * mmPerPx}
		<path class="point" role="presentation" d="M{x - arm} {y}h{2 * arm}M{x} {y - arm}v{2 * arm}" />
	{/if}
{/if}
{#if point}
	<circle
		class="point"
		role="presentation"
		cx={(point.x - 0.5) * width}
		cy={(point.y - 0.5) * height}
		r={9 * mmPerPx}
	/>
{/if}
{#each cuts as { id, name, x, y } (id)}
	<text class="cut" text-anchor="middle" font-size={11 * mmPerPx} {x} {y}>{say.cut(name)}</text>
{/each}

<style>
	/* light over dark, so that it shows on anything */
	.guide {
		fill: none;
		stroke: #fffdf8;
		stroke-opacity: 0.75;
		stroke-width: 1px;
		vector-effect: non-scaling-stroke;
		filter: drop-shadow(0 0 1px #00000099);
		pointer-events: none;
	}
	.point {
		fill: none;
		stroke: var(--focus);
		stroke-width: 2.2px;
		vector-effect: non-scaling-stroke;
		pointer-events: none;
	}
	.cut {
		fill: var(--soft);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 3px;
		vector-effect: non-scaling-stroke;
		pointer-events: none;
	}
	.reach {
		stroke-dasharray: 1.5 4;
	}
	.margin {
		stroke-dasharray: 6 4;
	}
</style>
