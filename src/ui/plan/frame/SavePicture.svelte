<script lang="ts">
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
		if (!isOpen) giveUp?.abort(new Error('given up'));
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
				problem = `The picture could not be saved: ${error instanceof Error ? error.message : 'unknown'}.`;
			}
		} finally {
			progress = null;
			giveUp = null;
		}
	}
</script>

<Modal title="Save the picture" bind:open={isOpen} size="xs">
	<div class="save">
		<p>
			This picture:
			<Named text={captionOf(solution, settings.units, true)} shot={plan.shot} />.
		</p>
		<fieldset>
			<legend>Beside it on one sheet, if you like</legend>
			{#each OTHERS as place, i (place)}
				<select aria-label="Choice {place + 1} of the sheet" bind:value={keys[i]}>
					<option value="">nothing</option>
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
			with names and the title of the shot
		</label>
		{#if progress}
			<progress max={progress.of} value={progress.picture - 1 + progress.share} aria-label="Drawing"
			></progress>
			<p>Drawing {progress.of > 1 ? `picture ${progress.picture} of ${progress.of}` : ''}…</p>
			<Button color="alternative" onclick={() => giveUp?.abort(new Error('given up'))}>Stop</Button>
		{:else}
			<Button onclick={save}>Save as PNG</Button>
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
	progress {
		width: 100%;
		accent-color: var(--sharp);
	}
	@media (pointer: coarse) {
		select,
		.names {
			min-height: 2.75rem;
		}
	}
</style>
