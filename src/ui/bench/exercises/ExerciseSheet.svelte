<script lang="ts">
	import { exerciseSheetText as say } from '$words/screens/bench/exercises';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import type { ExerciseReading } from '$core/exercises/reading';
	import type { Sheet } from '$files/out/paper/contactSheet';
	import { exerciseCaption } from '$words/exercises';
	import { sheetAsPdf } from '../../../workers/cards';
	import { fileName, saveBlob, savedWords } from '../../browser/saving';
	import type { IntakeFile } from '../../frames/intakeFile';
	import { FAVOURITE_PX, SHEET_PX, sheetFrame } from '../../review/out/out';
	import { sheetPicture } from '../../review/out/sheetPicture';
	import { settings } from '../../shared/settings.svelte';

	/** The best three on one sheet: one large, two small, each captioned by what was focused on. */
	interface Props {
		title: string;
		reading: ExerciseReading;
		files: readonly IntakeFile[];
	}

	let { title, reading, files }: Props = $props();
	let said = $state('');
	let isBusy = $state(false);
	/** A sheet holds one to three frames. */
	const MOST_FRAMES = 3;
	const shown = $derived(reading.best.slice(0, MOST_FRAMES));
	const canBeMade = $derived(shown.some((i) => files[i]?.file));

	async function sheet(): Promise<Sheet> {
		const [favourite, ...others] = await Promise.all(
			shown.map((index, i) => {
				const file = files[index] as IntakeFile;
				const caption = exerciseCaption(reading, index, settings.units);
				return sheetFrame(file, i === 0 ? FAVOURITE_PX : SHEET_PX, caption);
			})
		);
		const frames = others.filter((one) => one !== null);
		return { title, favourite: favourite ?? null, frames, columns: 2 };
	}

	async function save(kind: 'pdf' | 'png') {
		isBusy = true;
		try {
			const name = `${fileName(title)}.${kind}`;
			const made = await sheet();
			if (kind === 'png') saveBlob(name, await sheetPicture(made));
			else {
				const bytes = await sheetAsPdf(made, settings.units === 'ft' ? 'Letter' : 'A4');
				saveBlob(name, new Blob([bytes.slice()], { type: 'application/pdf' }));
			}
			said = savedWords('handed', name);
		} catch (error) {
			said = say.itWasNotSaved(error instanceof Error ? error.message : 'unknown');
		} finally {
			isBusy = false;
		}
	}
</script>

{#if canBeMade}
	<div class="row">
		<span>{say.theBestOnOneSheet(shown.length === 1 ? 'frame' : say.frames(shown.length))}</span>
		<Button size="xs" disabled={isBusy} onclick={() => save('pdf')}>{common.asPdf}</Button>
		<Button size="xs" color="light" disabled={isBusy} onclick={() => save('png')}
			>{common.asPicture}</Button
		>
		<span role="status">{isBusy ? common.beingMade : said}</span>
	</div>
{:else if shown.length > 0}
	<p class="note">{say.chooseTheFramesAgainToMake}</p>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
	.note {
		color: var(--ink-2);
	}
	@media (pointer: coarse) {
		.row :global(button) {
			min-height: 2.75rem;
		}
	}
</style>
