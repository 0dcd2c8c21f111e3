<script lang="ts">
	import { outSheetText as say } from '$words/screens/review/out';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { zipped } from '$files/out/zip';
	import { sheetAsPdf } from '../../../workers/cards';
	import { fileName, saveBlob, savedWords, saveText, writeFile } from '../../browser/saving';
	import Choice from '../../fields/Choice.svelte';
	import { contactSheetOf, sidecarsOf, tableOf, withSidecar, type SidecarRefusal } from './out';
	import type { ReviewView } from '../view/review.svelte';
	import { sheetPicture } from './sheetPicture';

	/** What goes out: sidecars, the table, contact sheets. */
	let {
		view,
		title,
		open = $bindable()
	}: { view: ReviewView; title: string; open: boolean } = $props();

	const PAPERS = [
		{ value: 'A4', text: 'A4' },
		{ value: 'Letter', text: 'Letter' }
	] as const;
	const EXISTING = [
		{ value: 'merge', text: say.mergeWithThem },
		{ value: 'leave', text: say.leaveThemAsTheyAre }
	] as const;
	const PROBLEMS: Readonly<Record<SidecarRefusal, string>> = {
		unsure: say.itsSidecarMayBeAnotherFrames,
		'too-large': say.farTooLargeForASidecar,
		'declares-entities': say.itDeclaresEntitiesWhichNoSidecar,
		'too-many-parts': say.itHasFarTooManyParts,
		broken: say.itCannotBeRead
	};
	let paper = $state<'A4' | 'Letter'>('A4');
	let existing = $state<'merge' | 'leave' | null>(null);
	let said = $state('');
	let refused = $state<readonly string[]>([]);
	let isBusy = $state(false);
	const there = $derived(withSidecar(view));
	const name = $derived(fileName(title));

	async function run(work: () => Promise<string>) {
		isBusy = true;
		said = '';
		refused = [];
		try {
			said = await work();
		} catch (error) {
			said = say.itWasNotSaved(error instanceof Error ? error.message : 'unknown');
		} finally {
			isBusy = false;
		}
	}

	const sidecars = () =>
		run(async () => {
			const made = await sidecarsOf(view, existing ?? 'leave');
			refused = made.refused.map(({ name, problem }) => say.leftAlone(name, PROBLEMS[problem]));
			if (made.files.length === 0) return say.thereIsNoSidecarToWrite;
			const zip = `${name}-sidecars.zip`;
			return savedWords(await writeFile(zip, () => zipped(made.files)), zip);
		});

	const table = () =>
		run(async () => {
			saveText(`${name}-frames.csv`, tableOf(view), 'text/csv');
			return savedWords('handed', `${name}-frames.csv`);
		});

	const sheet = (kind: 'pdf' | 'png') =>
		run(async () => {
			const { group } = view;
			if (!group) return say.thereIsNoShot;
			const made = await contactSheetOf(view, group);
			if (!made.favourite && made.frames.length === 0) return say.chooseTheFramesAgainToPrint;
			const file = `${fileName(group.title)}-sheet.${kind}`;
			if (kind === 'png') saveBlob(file, await sheetPicture(made));
			else {
				const bytes = await sheetAsPdf(made, paper);
				saveBlob(file, new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' }));
			}
			return savedWords('handed', file);
		});
</script>

<Modal title={say.saveFromReview} size="lg" bind:open>
	<div class="stack">
		<section>
			<h3>{say.sidecarsXmp}</h3>
			<p>
				{say.aSmallFileBesideEachFrame}
			</p>
			{#if there.length > 0}
				<p>
					{say.ofTheseFramesASidecarAlready(
						there.length,
						there.length === 1 ? 'has' : 'have',
						there.length === 1 ? 'it' : 'them'
					)}
				</p>
				<Choice
					label={say.sidecarsThatAreThere}
					quiet
					options={EXISTING}
					value={existing ?? ('' as 'merge')}
					onchoose={(to) => (existing = to)}
				/>
			{:else}
				<p>
					{say.chooseTheFramesWithTheirFolder}
				</p>
			{/if}
			<Button
				size="xs"
				disabled={isBusy || (there.length > 0 && existing === null)}
				onclick={sidecars}>{say.saveTheSidecars}</Button
			>
		</section>
		<section>
			<h3>{say.tableCsv}</h3>
			<p>
				{say.everythingThatWasMeasuredWithMarks}
			</p>
			<Button size="xs" disabled={isBusy} onclick={table}>{say.saveTheTable}</Button>
		</section>
		<section>
			<h3>{say.contactSheetOf}<bdi>{view.group?.title ?? ''}</bdi>”</h3>
			<p>
				{say.eachFrameHasACaptionThat}
			</p>
			<div class="row">
				<Choice
					label={common.paper}
					options={PAPERS}
					value={paper}
					onchoose={(to) => (paper = to)}
				/>
				<Button size="xs" disabled={isBusy} onclick={() => sheet('pdf')}>{common.asPdf}</Button>
				<Button size="xs" disabled={isBusy} color="light" onclick={() => sheet('png')}
					>{common.asPicture}</Button
				>
			</div>
		</section>
		<p role="status">{isBusy ? common.beingMade : said}</p>
		{#if refused.length > 0}
			<ul role="alert">
				{#each refused as one, i (i)}<li>{one}</li>{/each}
			</ul>
		{/if}
	</div>
</Modal>

<style>
	section {
		display: flex;
		flex-direction: column;
		align-items: flex-start;
		gap: 0.35rem;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
		align-items: end;
	}
</style>
