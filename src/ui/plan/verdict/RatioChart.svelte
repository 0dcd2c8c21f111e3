<script lang="ts">
	import { faceRatios } from '$core/solve/ladder';
	import { engraved } from '$core/optics/fNumber';
	import type { Solution } from '$core/solve/solve';
	import { settings } from '../../shared/settings.svelte';

	/** Ratio against f-number, one line per face, with the focus as it is. Plotly comes on demand. */
	let { solution }: { solution: Solution } = $props();

	let box = $state<HTMLDivElement>();
	let failed = $state(false);

	const DASHES = ['solid', 'dash', 'dot', 'dashdot'] as const;

	/** Plotly reads some tags in its texts; a name is only a name. */
	const plainText = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

	const lines = $derived.by(() => {
		const { scene, pair, plan } = solution;
		if (!pair) return [];
		const fNumbers = plan.ladder.map(({ fNumberExact }) => fNumberExact);
		const atF1 = faceRatios(scene, { ...pair, fNumber: 1 });
		return [...atF1].map(([id, ratio]) => ({
			name: plainText(scene.shot.people.find((one) => one.id === id)?.name ?? id),
			x: fNumbers,
			y: fNumbers.map((fNumber) => Math.max(ratio / fNumber, 0.005))
		}));
	});

	$effect(() => {
		void settings.look;
		const node = box;
		const drawn = lines;
		const { plan } = solution;
		if (!node) return;
		let isGone = false;
		void import('plotly.js-strict-dist-min')
			.then(({ default: plotly }) => {
				if (isGone) return;
				const style = getComputedStyle(node);
				const colour = (name: string) => style.getPropertyValue(name).trim();
				const inks = ['--sharp', '--ink', '--focus', '--marginal', '--soft'].map(colour);
				const fNumbers = plan.ladder.map(({ fNumberExact }) => fNumberExact);
				const ticks = fNumbers.filter((_, i) => i % 3 === 0);
				return plotly.react(
					node,
					drawn.map((line, i) => ({
						...line,
						type: 'scatter',
						mode: 'lines',
						line: {
							width: 1.6,
							color: inks[i % inks.length],
							dash: DASHES[Math.floor(i / inks.length) % DASHES.length]
						},
						hovertemplate: '%{fullData.name}: %{y:.2f}<extra></extra>'
					})),
					{
						height: 300,
						margin: { l: 64, r: 10, t: 8, b: 40 },
						paper_bgcolor: 'transparent',
						plot_bgcolor: 'transparent',
						font: { family: style.fontFamily, color: colour('--ink'), size: 13 },
						xaxis: {
							type: 'log',
							title: { text: 'f-number' },
							tickvals: ticks,
							ticktext: ticks.map((f) => String(engraved(f))),
							gridcolor: colour('--rule'),
							range: [fNumbers[0], fNumbers.at(-1)].map((f) => Math.log10(f ?? 1))
						},
						yaxis: {
							dtick: 1,
							type: 'log',
							title: { text: 'blur over what is allowed' },
							gridcolor: colour('--rule')
						},
						showlegend: drawn.length > 1,
						shapes: [
							{
								type: 'line',
								xref: 'paper',
								x0: 0,
								x1: 1,
								y0: 1,
								y1: 1,
								line: { color: colour('--sharp'), width: 2, dash: 'dot' }
							},
							{
								type: 'line',
								yref: 'paper',
								y0: 0,
								y1: 1,
								x0: plan.fNumberExact ?? 1,
								x1: plan.fNumberExact ?? 1,
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
	<p>The chart could not be loaded; the ladder below the stage says the same.</p>
{:else}
	<div
		bind:this={box}
		class="chart"
		role="img"
		aria-label="Blur of each face over what is allowed, at every f-number. Under the dotted line at 1 a face is sharp."
	></div>
{/if}

<style>
	.chart {
		min-height: 300px;
	}
</style>
