<script lang="ts">
	import WorkBar from '../../working/WorkBar.svelte';
	import { savePictureText as say } from '$words/screens/plan/frame';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { solve, type Solution } from '$core/study/plan';
	import { asksForSomething } from '$core/study/study';
	import { fileName, saveBlob } from '../../browser/saving';
	import Named from '../../shared/Named.svelte';
	import { settings } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import {
		alone,
		ALONE_PX,
		captionOf,
		drawPicture,
		pngOf,
		choiceSheet,
		sheetWish,
		textsOf,
		wholeWish
	} from '../../drawing/savedPicture';
	import { secondChoices } from './secondChoices';

	/** The picture as a PNG, alone or beside up to three other choices on one sheet. */
	let {
		plan,
		solution,
		isOpen = $bindable()
	}: { plan: PlanView; solution: Solution; isOpen: boolean } = $props();

	const OTHERS = [1, 2, 3] as const;
	let keys = $state<string[]>(['', '', '']);
	let hasNames = $state(false);
	let progress = $state<{
		readonly picture: number;
		readonly of: number;
		readonly share: number;
	} | null>(null);
	let problem = $state('');
	let giveUp: AbortController | null = null;

	const groups = $derived(secondChoices(solution, plan.before, plan.spreads));
	const all = $derived(groups.flatMap(({ choices }) => choices));

	$effect(() => {
		if (!isOpen) giveUp?.abort(new Error(common.givenUp));
	});

	async function save() {
		const others = keys.flatMap((key) => {
			const choice = all.find((one) => one.key === key);
			return choice && asksForSomething(choice.shot) ? solve(choice.shot, plan.chance) : [];
		});
		const solutions = [solution, ...others];
		const { units } = settings;
		const control = new AbortController();
		giveUp = control;
		problem = '';
		try {
			const bitmaps: ImageBitmap[] = [];
			for (const [i, one] of solutions.entries()) {
				const wish = others.length === 0 ? wholeWish(one, ALONE_PX) : sheetWish(one);
				const onprogress = (share: number) =>
					(progress = { picture: i + 1, of: solutions.length, share });
				onprogress(0);
				bitmaps.push(await drawPicture(wish, onprogress, control.signal));
			}
			const [first] = bitmaps;
			if (!first) return;
			const captions = solutions.map((one) => captionOf(one, units, hasNames));
			const canvas =
				others.length === 0
					? alone(first)
					: choiceSheet(bitmaps, captions, getComputedStyle(document.body).fontFamily);
			for (const bitmap of bitmaps) bitmap.close();
			const name = hasNames ? fileName(solution.study.shot.title) : 'picture';
			saveBlob(`${name}.png`, await pngOf(canvas, textsOf(solutions, units, hasNames)));
			isOpen = false;
		} catch (error) {
			if (!control.signal.aborted) {
				problem = say.thePictureCouldNotBeSaved(error instanceof Error ? error.message : 'unknown');
			}
		} finally {
			progress = null;
			giveUp = null;
		}
	}
</script>

<Modal title={say.saveThePicture} bind:open={isOpen} size="xs">
	<div class="save">
		<p>
			{say.thisPicture}
			<Named text={captionOf(solution, settings.units, true)} shot={plan.shot} />.
		</p>
		<fieldset>
			<legend>{say.besideItOnOneSheetIf}</legend>
			{#each OTHERS as place, i (place)}
				<select aria-label={say.choiceOfTheSheet(place + 1)} bind:value={keys[i]}>
					<option value="">{say.nothing}</option>
					{#each groups as { label, choices }, group (group)}
						<optgroup {label}>
							{#each choices as { key, label: text } (key)}<option value={key}>{text}</option
								>{/each}
						</optgroup>
					{/each}
				</select>
			{/each}
		</fieldset>
		<label class="names">
			<input type="checkbox" bind:checked={hasNames} />
			{say.withNamesAndTheTitleOf}
		</label>
		{#if progress}
			<WorkBar share={(progress.picture - 1 + progress.share) / progress.of} label={say.drawing} />
			<p>{say.drawing2(progress.of > 1 ? say.pictureOf(progress.picture, progress.of) : '')}</p>
			<Button color="alternative" onclick={() => giveUp?.abort(new Error(common.givenUp))}
				>{common.stop}</Button
			>
		{:else}
			<Button onclick={save}>{common.saveAsPng}</Button>
		{/if}
		{#if problem}<p class="is-soft" role="alert">{problem}</p>{/if}
	</div>
</Modal>

<style>
	.save,
	fieldset {
		display: flex;
		flex-direction: column;
		gap: 0.6rem;
		color: var(--ink);
	}
	fieldset {
		gap: 0.3rem;
	}
	legend {
		color: var(--ink-2);
	}
	select {
		min-height: 2.25rem;
		border: 1px solid var(--edge);
		border-radius: 3px;
		background-color: var(--sheet);
		color: var(--ink);
	}
	.names {
		display: flex;
		gap: 0.5rem;
		align-items: center;
		min-height: 2.25rem;
	}
	@media (pointer: coarse) {
		select,
		.names {
			min-height: 2.75rem;
		}
	}
</style>
