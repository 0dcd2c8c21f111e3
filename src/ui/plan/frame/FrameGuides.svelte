<script lang="ts">
	/** What may lie over the picture: thirds, a margin, the point focused on, who is cut. */
	interface Props {
		/** Sides of the sensor as held, mm. */
		width: number;
		height: number;
		mmPerPx: number;
		/** The point focused on, as shares of width and height. */
		point: { readonly x: number; readonly y: number } | null;
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

	let { width, height, mmPerPx, point, hasThirds, hasMargin, cuts }: Props = $props();

	/** What a print or a frame may cut off: as much of each side. */
	const MARGIN = 0.05;
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
		x={-width * (0.5 - MARGIN)}
		y={-height * (0.5 - MARGIN)}
		width={width * (1 - 2 * MARGIN)}
		height={height * (1 - 2 * MARGIN)}
	/>
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
	<text class="cut" text-anchor="middle" font-size={11 * mmPerPx} {x} {y}>{name} cut</text>
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
	.margin {
		stroke-dasharray: 6 4;
	}
</style>
