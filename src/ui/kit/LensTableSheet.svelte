<script lang="ts">
	import { lensTableSheetText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import type { Lens } from '$core/format/shot';
	import { depthTable } from '$core/optics/depthTable';
	import { isZoom } from '$core/optics/zoom';
	import { toleranceMm } from '$core/sharpness/tolerance';
	import { lensTablePage, type LensTable } from '$files/out/lensTable';
	import { decimal, depthWords, distance, fStop } from '$words/numbers';
	import { tableAsPdf } from '../../workers/cards';
	import { printPage } from '../browser/printPage';
	import { fileName, saveBlob } from '../browser/saving';
	import { byName } from '../shared/byName';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import { useKit } from './kit.svelte';

	/** Depth before and behind by f-number and distance, to carry along on paper. */
	let { lens, isOpen = $bindable() }: { lens: Lens; isOpen: boolean } = $props();

	const kit = useKit();
	const units = $derived(settings.units);
	let ownFocalMm = $state<number | null>(null);
	const focalMm = $derived(ownFocalMm ?? lens.focalMm[0]);
	let standard = $state<'album' | 'screen' | 'pixel'>('screen');
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));
	let bodyPlace = $state('0');
	const body = $derived(bodies[Number(bodyPlace)] ?? bodies[0]);
	const STANDARDS = [
		{ value: 'album', text: common.smallPrint },
		{ value: 'screen', text: common.fullScreen },
		{ value: 'pixel', text: common.everyPixel }
	] as const;

	const table = $derived.by((): LensTable | null => {
		if (!body) return null;
		const tolerance = toleranceMm({ standard }, body.sensor);
		const found = depthTable(lens, focalMm, tolerance);
		const told = (metres: number) => depthWords(metres, units);
		const sharpFor = STANDARDS.find(({ value }) => value === standard)?.text ?? '';
		return {
			title: say.whatIsSharp(lens.name, isZoom(lens) ? say.atMm(Math.round(focalMm)) : ''),
			head: found.fNumbers.map(fStop),
			rows: [
				...found.rows.map(({ distanceM, depths }) => ({
					distance: distance(distanceM, units),
					cells: depths.map(({ beforeM, behindM }) => ({
						before: `− ${told(beforeM)}`,
						behind: `+ ${told(behindM)}`
					}))
				})),
				{
					distance: say.toInfinityFrom,
					cells: found.hyperfocalM.map((metres) => ({
						before: distance(metres, units),
						behind: ''
					}))
				}
			],
			notes: [
				say.nearerAndFartherThanWhatIs(sharpFor, body.name, decimal(tolerance, 4)),
				say.nearSHFHS
			]
		};
	});
	let isBusy = $state(false);
	let problem = $state('');
	async function save() {
		if (!table) return;
		isBusy = true;
		problem = '';
		try {
			const bytes = await tableAsPdf(table, units === 'ft' ? 'Letter' : 'A4');
			const blob = new Blob([new Uint8Array(bytes)], { type: 'application/pdf' });
			saveBlob(`${fileName(table.title)}.pdf`, blob);
		} catch {
			problem = say.thePdfCouldNotBeMade;
		}
		isBusy = false;
	}
</script>

<Modal title={say.tableOfThe(lens.name)} size="xl" bind:open={isOpen}>
	{#if table && body}
		<div class="stack">
			<div class="choices">
				<Choice
					label={common.sharpFor}
					options={STANDARDS}
					value={standard}
					onchoose={(next) => (standard = next)}
				/>
				<Pick
					quiet
					label={say.onWhichBody}
					options={byName(bodies)}
					value={bodyPlace}
					onchoose={(next) => (bodyPlace = next)}
				/>
				{#if isZoom(lens)}
					<NumberField
						quiet
						label={common.focalLength}
						unit="mm"
						value={focalMm}
						low={lens.focalMm[0]}
						high={lens.focalMm[1]}
						digits={0}
						onchange={(value) => (ownFocalMm = value)}
						newGesture={(kind) => kind}
					/>
				{/if}
				<button class="knob" type="button" disabled={isBusy} onclick={save}>{say.saveAsPdf}</button>
				<button
					class="knob"
					type="button"
					onclick={() => table && void printPage(lensTablePage(table))}>{say.print}</button
				>
			</div>
			{#if problem}<p role="alert">{problem}</p>{/if}
			<!-- wider than a phone: it scrolls by itself, by keys, too -->
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div class="wide" tabindex="0" role="region" aria-label={say.depthOfField}>
				<table>
					<thead>
						<tr>
							<th scope="col">{say.focusedAt}</th>
							{#each table.head as text, i (i)}<th scope="col">{text}</th>{/each}
						</tr>
					</thead>
					<tbody>
						{#each table.rows as { distance: at, cells } (at)}
							<tr>
								<th scope="row">{at}</th>
								{#each cells as { before, behind }, i (i)}<td>{before}<br />{behind}</td>{/each}
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			{#each table.notes as note, i (i)}<p class="note">{note}</p>{/each}
		</div>
	{/if}
</Modal>

<style>
	.choices {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem 0.8rem;
	}
	.wide {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		white-space: nowrap;
		font-variant-numeric: tabular-nums;
	}
	th,
	td {
		border-bottom: 1px solid var(--rule);
		padding: 0.15rem 0.8rem 0.15rem 0;
		text-align: left;
		line-height: 1.25;
	}
	.note {
		color: var(--ink-2);
	}
</style>
