<script lang="ts">
	import { fNumberChartText as say } from '$words/screens/drawing';
	import { commonText as common } from '$words/screens/common';
	import { nominalFNumber } from '$core/optics/fNumber';
	import { settings } from '../shared/settings.svelte';
	import { namesBelow } from './chartNames';

	/** Lines over the f-numbers of the ladder. Plotly comes on demand. */
	interface Props {
		lines: readonly { readonly name: string; readonly y: readonly number[] }[];
		/** The rungs of the ladder, exact, and the one that is shown. */
		fNumbers: readonly number[];
		shownFNumber: number | null;
		yaxis: Readonly<Record<string, unknown>>;
		/** A dotted line across. */
		level: number;
		/** How a value reads when pointed at, in Plotly's own notation. */
		format: string;
		/** What the chart shows, for those who listen. */
		label: string;
		/** Where else the result can be read: "the ladder below the stage". */
		elsewhere: string;
	}

	let { lines, fNumbers, shownFNumber, yaxis, level, format, label, elsewhere }: Props = $props();

	let box = $state<HTMLDivElement>();
	let failed = $state(false);

	const HEIGHT_PX = 300;
	const besides = { left: 64, right: 10 };
	/** Up to this many f-numbers are all labelled. */
	const MOST_LABELLED = 10;
	const DASHES = ['solid', 'dash', 'dot', 'dashdot'] as const;

	/** Plotly reads some tags in its texts; a name is only a name. */
	const plainText = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

	$effect(() => {
		void settings.look;
		const node = box;
		const drawn = lines;
		const shown = shownFNumber;
		const [rungs, axis, across, hover] = [[...fNumbers], yaxis, level, format];
		if (!node) return;
		let isGone = false;
		void import('plotly.js-basic-dist-min')
			.then(({ default: plotly }) => {
				if (isGone) return;
				const style = getComputedStyle(node);
				const colour = (name: string) => style.getPropertyValue(name).trim();
				const inks = ['--sharp', '--ink', '--focus', '--marginal', '--soft'].map(colour);
				const names = drawn.map(({ name }) => name);
				const below = namesBelow(names, node.clientWidth, besides.left + besides.right);
				const ticks = rungs.filter((_, i) => rungs.length <= MOST_LABELLED || i % 3 === 0);
				return plotly.react(
					node,
					drawn.map((line, i) => ({
						name: plainText(line.name),
						x: rungs,
						y: [...line.y],
						type: 'scatter',
						mode: 'lines',
						line: {
							width: 1.6,
							color: inks[i % inks.length],
							dash: DASHES[Math.floor(i / inks.length) % DASHES.length]
						},
						hovertemplate: `%{fullData.name}: %{y:${hover}}<extra></extra>`
					})),
					{
						height: HEIGHT_PX + (below?.heightPx ?? 0),
						margin: { l: besides.left, r: besides.right, t: 8, b: 40 },
						paper_bgcolor: 'transparent',
						plot_bgcolor: 'transparent',
						font: { family: style.fontFamily, color: colour('--ink'), size: 13 },
						xaxis: {
							type: 'log',
							title: { text: common.fNumber, standoff: 6 },
							tickvals: ticks,
							ticktext: ticks.map((f) => String(nominalFNumber(f))),
							gridcolor: colour('--rule'),
							range: [rungs[0], rungs.at(-1)].map((f) => Math.log10(f ?? 1))
						},
						// a little away from the lines
						yaxis: {
							...axis,
							gridcolor: colour('--rule'),
							ticks: 'outside',
							tickcolor: 'transparent'
						},
						showlegend: drawn.length > 1,
						legend: below ? { orientation: 'h', y: -0.26 } : {},
						shapes: [
							{
								type: 'line',
								xref: 'paper',
								x0: 0,
								x1: 1,
								y0: across,
								y1: across,
								line: { color: colour('--sharp'), width: 2, dash: 'dot' }
							},
							{
								type: 'line',
								yref: 'paper',
								y0: 0,
								y1: 1,
								x0: shown ?? 1,
								x1: shown ?? 1,
								line: { color: colour('--focus'), width: 2 }
							}
						]
					},
					{ displayModeBar: false, responsive: true }
				);
			})
			.catch(() => (failed = true));
		return () => (isGone = true);
	});
</script>

{#if failed}
	<p>{say.theChartCouldNotBeLoaded(elsewhere)}</p>
{:else}
	<div bind:this={box} class="chart" role="img" aria-label={label}></div>
{/if}

<style>
	.chart {
		min-height: 300px;
	}
</style>
