<script lang="ts">
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
		{ value: 'merge', text: 'merge with them' },
		{ value: 'leave', text: 'leave them as they are' }
	] as const;
	const PROBLEMS: Readonly<Record<SidecarRefusal, string>> = {
		unsure: 'its sidecar may be another frame’s; choose the frames with their folders',
		'too-large': 'far too large for a sidecar',
		'declares-entities': 'it declares entities, which no sidecar needs',
		'too-many-parts': 'it has far too many parts',
		broken: 'it cannot be read'
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
			said = `It was not saved: ${error instanceof Error ? error.message : 'unknown'}.`;
		} finally {
			isBusy = false;
		}
	}

	const sidecars = () =>
		run(async () => {
			const made = await sidecarsOf(view, existing ?? 'leave');
			refused = made.refused.map(
				({ name, problem }) => `${name}: ${PROBLEMS[problem]}; left alone`
			);
			if (made.files.length === 0) return 'There is no sidecar to write.';
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
			if (!group) return 'There is no shot.';
			const made = await contactSheetOf(view, group);
			if (!made.favourite && made.frames.length === 0)
				return 'Choose the frames again to print them.';
			const file = `${fileName(group.title)}-sheet.${kind}`;
			if (kind === 'png') saveBlob(file, await sheetPicture(made));
			else {
				const bytes = await sheetAsPdf(made, paper);
				saveBlob(file, new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' }));
			}
			return savedWords('handed', file);
		});
</script>

<Modal title="Out of Review" size="lg" bind:open>
	<div class="stack">
		<section>
			<h3>Sidecars (XMP)</h3>
			<p>
				A small file beside each frame, as other programs read it: keep is four stars, maybe two,
				drop is rejected, the favourite has five; and what is in focus. Your frames are not touched.
			</p>
			{#if there.length > 0}
				<p>
					{there.length} of these frames {there.length === 1 ? 'has' : 'have'} a sidecar already. What
					shall become of {there.length === 1 ? 'it' : 'them'}?
				</p>
				<Choice
					label="Sidecars that are there"
					quiet
					options={EXISTING}
					value={existing ?? ('' as 'merge')}
					onchoose={(to) => (existing = to)}
				/>
			{:else}
				<p>
					Choose the frames with their folder, and sidecars that are there are merged instead of
					replaced.
				</p>
			{/if}
			<Button
				size="xs"
				disabled={isBusy || (there.length > 0 && existing === null)}
				onclick={sidecars}>Save the sidecars</Button
			>
		</section>
		<section>
			<h3>Table (CSV)</h3>
			<p>
				Everything that was measured, a row for each face of each frame, with marks and notes: the
				log.
			</p>
			<Button size="xs" disabled={isBusy} onclick={table}>Save the table</Button>
		</section>
		<section>
			<h3>Contact sheet of “<bdi>{view.group?.title ?? ''}</bdi>”</h3>
			<p>
				Each frame captioned by what is in focus; the favourite, or else the first good one, is
				large; dropped ones stay out.
			</p>
			<div class="row">
				<Choice label="Paper" options={PAPERS} value={paper} onchoose={(to) => (paper = to)} />
				<Button size="xs" disabled={isBusy} onclick={() => sheet('pdf')}>As PDF</Button>
				<Button size="xs" disabled={isBusy} color="light" onclick={() => sheet('png')}
					>As picture</Button
				>
			</div>
		</section>
		<p role="status">{isBusy ? 'Being made…' : said}</p>
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
