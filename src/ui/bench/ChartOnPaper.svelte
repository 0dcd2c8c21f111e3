<script lang="ts">
	import { chartOnPaperText as say } from '$words/screens/bench/place';
	import { commonText as common } from '$words/screens/common';
	import type { ChartKind, ChartPaper } from '$core/bench/chart';
	import { CHECK_LENGTH_MM } from '$core/bench/chart';
	import { fineLength } from '$words/numbers';
	import { chartAsPdf } from '../../workers/cards';
	import { saveBlob } from '../browser/saving';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';

	/** The chart to print, and on which paper. */
	let { kind, paper = $bindable() }: { kind: ChartKind; paper: ChartPaper } = $props();
	const PAPER_OPTIONS = [
		{ value: 'a4', text: 'A4' },
		{ value: 'a3', text: 'A3' },
		{ value: 'letter', text: 'Letter' }
	] as const;
	let said = $state('');
	let isBusy = $state(false);

	async function save() {
		isBusy = true;
		said = '';
		try {
			const pdf = await chartAsPdf(kind, paper);
			saveBlob(`chart-${kind}-${paper}.pdf`, new Blob([pdf.slice()], { type: 'application/pdf' }));
			said = say.handedToTheBrowserTheLine(fineLength(CHECK_LENGTH_MM, settings.units));
		} catch (error) {
			said = say.theChartCouldNotBeMade(error instanceof Error ? error.message : 'unknown');
		} finally {
			isBusy = false;
		}
	}
</script>

<div class="row">
	<Pick
		label={common.paper}
		options={PAPER_OPTIONS}
		value={paper}
		onchoose={(to) => (paper = to)}
	/>
	<button class="knob" type="button" disabled={isBusy} onclick={() => void save()}
		>{say.theChartAsPdf}</button
	>
	{#if said}<span role="status">{said}</span>{/if}
</div>

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: end;
	}
	@media (pointer: coarse) {
		button {
			min-height: 2.75rem;
		}
	}
</style>
