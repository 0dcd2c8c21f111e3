<script lang="ts">
	import type { DrawnThing } from '../../drawing/frameScene';

	/** A thing where it projects, with a hint of what it is. */
	interface Props {
		thing: DrawnThing;
		mmPerPx: number;
		/** False over a rendered picture, which shows it already. */
		isDrawn: boolean;
		hasLabel: boolean;
	}

	let { thing, mmPerPx, isDrawn, hasLabel }: Props = $props();

	const lamps = $derived(
		Math.max(2, Math.min(16, Math.round(thing.width / Math.max(thing.height, 0.01))))
	);
	const stripes = [0.15, 0.38, 0.61, 0.84];
</script>

<g class="thing {thing.look}" role="presentation">
	{#if !isDrawn}
		<!-- the picture underneath shows it -->
	{:else if thing.look === 'lights'}
		{#each { length: lamps } as _, i (i)}
			<circle
				cx={thing.x + (thing.width * (i + 0.5)) / lamps}
				cy={thing.y + thing.height * (0.5 + 0.3 * Math.cos((i * Math.PI) / 2))}
				r={Math.max(thing.height * 0.16, 2 * mmPerPx)}
			/>
		{/each}
	{:else if thing.look === 'object'}
		<ellipse
			cx={thing.x + thing.width / 2}
			cy={thing.y + thing.height / 2}
			rx={thing.width / 2}
			ry={thing.height / 2}
		/>
	{:else}
		<rect x={thing.x} y={thing.y} width={thing.width} height={thing.height} />
		{#if thing.look === 'bars' || thing.look === 'window'}
			{#each stripes as share (share)}
				<line
					x1={thing.x + thing.width * share}
					x2={thing.x + thing.width * share}
					y1={thing.y + thing.height * 0.15}
					y2={thing.y + thing.height * 0.85}
				/>
			{/each}
		{/if}
	{/if}
	{#if hasLabel || isDrawn}
		<text
			x={thing.x + thing.width / 2}
			y={thing.y + thing.height + 11 * mmPerPx}
			font-size={11 * mmPerPx}
			text-anchor="middle"
			>{thing.met === false ? '△' : '▲'} {thing.label}{thing.seen && `, ${thing.seen}`}</text
		>
	{/if}
</g>

<style>
	rect,
	ellipse {
		fill: color-mix(in srgb, var(--ink-2) 35%, var(--sheet));
		stroke: var(--ink-2);
		stroke-width: 1px;
		vector-effect: non-scaling-stroke;
	}
	.object ellipse {
		fill: color-mix(in srgb, var(--marginal) 55%, var(--sheet));
	}
	.foliage rect {
		fill: color-mix(in srgb, var(--sharp) 30%, var(--sheet));
	}
	.lights circle {
		fill: color-mix(in srgb, var(--marginal) 55%, var(--sheet));
	}
	line {
		stroke: var(--ink-2);
		stroke-width: 1.5px;
		vector-effect: non-scaling-stroke;
	}
	text {
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 3px;
		vector-effect: non-scaling-stroke;
	}
</style>
