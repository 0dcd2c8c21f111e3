<script lang="ts">
	import { frameStripText as say } from '$words/screens/review/looking';
	import { commonText as common } from '$words/screens/common';
	import { FRAMES_DRAGGED } from '../../frames/handedFiles.svelte';
	import { faceMark, frameWords, inFocusWords } from '$words/review';
	import { STATE_MARKS } from '$words/states';
	import type { IntakeFile } from '../../frames/intakeFile';
	import type { ReviewView } from '../view/review.svelte';
	import { whenIdle } from '../../browser/whenIdle';
	import SmallPicture from '../../frames/SmallPicture.svelte';

	/** The frames of a shot in a row: each with its worst face, shut eyes, what is in focus, and its mark. */
	let { view }: { view: ReviewView } = $props();
	let list = $state<HTMLElement>();

	const MARKS = { keep: '✓', maybe: '~', drop: '×' } as const;

	function told(file: IntakeFile) {
		const judged = view.judged.get(file.id);
		const { set } = view;
		if (!judged || !set) return { state: '…', isShut: false, focus: '', words: say.notMeasuredYet };
		const { reviewed } = judged;
		const isShut = reviewed.faces.some((face, i) => set.people[i]?.counts && face?.isShut);
		// of eyes that are shut no blur is known, and that they are shut is said beside
		const untold = !reviewed.isTold ? faceMark(null) : isShut ? '' : '?';
		return {
			state: reviewed.isGood
				? STATE_MARKS.sharp
				: reviewed.worst
					? STATE_MARKS[reviewed.worst]
					: untold,
			isShut,
			focus: inFocusWords(reviewed, set),
			words: frameWords(reviewed, set)
		};
	}

	const fileId = $derived(view.file?.id);
	/** How many are made at once; the next follow when the page is idle, as hundreds would freeze it. */
	const AT_ONCE = 12;
	let made = $state(AT_ONCE);
	const shown = $derived(
		view.files.slice(0, Math.max(made, view.files.findIndex(({ id }) => id === fileId) + 1))
	);
	$effect(() => {
		if (shown.length < view.files.length) return whenIdle(() => (made = shown.length + AT_ONCE));
		return undefined;
	});
	$effect(() => {
		const id = fileId;
		const at = [...(list?.children ?? [])].find((one) => (one as HTMLElement).dataset['id'] === id);
		at?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
	});
</script>

<ol class="strip" aria-label={common.frames} bind:this={list}>
	{#each shown as file, i (file.id)}
		{@const { state, isShut, focus, words } = told(file)}
		{@const { mark, isFavourite } = file.judgement}
		<li data-id={file.id}>
			<button
				type="button"
				class:dropped={mark === 'drop'}
				aria-pressed={file.id === view.file?.id}
				aria-label="{file.name}: {words}{focus ? say.inFocus(focus) : ''}{mark
					? say.marked(mark)
					: ''}"
				title={words}
				draggable="true"
				ondragstart={(event) => {
					view.look(file.id);
					event.dataTransfer?.setData(FRAMES_DRAGGED, file.id);
					// the drag has begun before anything moves
					requestAnimationFrame(() => (view.isDragging = true));
				}}
				ondragend={() => (view.isDragging = false)}
				onclick={() => view.look(file.id)}
			>
				<SmallPicture file={file.file} />
				<span class="line" aria-hidden="true">
					<span class="number">{i + 1}</span>
					<span class={state === '●' ? 'is-sharp' : state === '○' ? 'is-soft' : 'is-marginal'}
						>{state}</span
					>
					{#if isShut}<span class="is-soft">✕</span>{/if}
					{#if mark}<span class="mark">{MARKS[mark]}</span>{/if}
					{#if isFavourite}<span class="mark">★</span>{/if}
				</span>
				<span class="focus" aria-hidden="true"><bdi>{focus}</bdi></span>
			</button>
		</li>
	{/each}
</ol>

<style>
	.strip {
		display: flex;
		gap: 0.35rem;
		overflow-x: auto;
		padding: 0.2rem 0.2rem 0.4rem;
		flex: none;
	}
	li {
		flex: none;
		content-visibility: auto;
		contain-intrinsic-size: 7.2rem 7.6rem;
	}
	button {
		display: flex;
		flex-direction: column;
		width: 7.2rem;
		border: 1px solid var(--edge);
		border-radius: 3px;
		background: var(--sheet);
		color: var(--ink);
		font-size: 0.8125rem;
		text-align: left;
	}
	button[aria-pressed='true'] {
		outline: 2px solid var(--ink);
		/* what lies outside is not painted */
		outline-offset: -2px;
	}
	.dropped :global(img) {
		opacity: 0.35;
	}
	.line {
		display: flex;
		gap: 0.35rem;
		padding: 0.1rem 0.3rem 0;
	}
	.number {
		color: var(--ink-2);
	}
	.mark {
		margin-left: auto;
		font-weight: 700;
	}
	.mark + .mark {
		margin-left: 0;
	}
	.focus {
		padding: 0 0.3rem 0.15rem;
		color: var(--ink-2);
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
		min-height: 1.2rem;
	}
</style>
