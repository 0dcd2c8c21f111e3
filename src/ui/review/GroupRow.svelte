<script lang="ts">
	import { groupRowText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
	import { FRAMES_DRAGGED } from '../frames/handedFiles.svelte';
	import { judging } from '../../workers/judging';
	import { Asking } from '../working/asking.svelte';
	import type { Group } from './view/group';
	import type { ReviewView } from './view/review.svelte';

	/** A shot and its frames, judged together whenever one more is measured. */
	let { view, group, onput }: { view: ReviewView; group: Group; onput: (groupId: string) => void } =
		$props();

	/** More may be measured in a moment. */
	const REST_MS = 250;
	/** While others are being measured, so many more, as a share, are worth judging all of them again. */
	const REJUDGE_GROWTH = 0.25;
	const measured = $derived(group.files.flatMap(({ measured }) => measured ?? []));
	// what was said of a frame changes nothing of how it is judged
	let known: { key: string; frames: typeof measured } = { key: '', frames: [] };
	const frames = $derived.by(() => {
		const key = group.files
			.map(({ id, measured }) => (measured ? `${id} ${measured.pointed.length}` : ''))
			.join(' ');
		const grown = measured.length - known.frames.length;
		const isSoonMore =
			view.home.isMeasuring && grown > 0 && grown < known.frames.length * REJUDGE_GROWTH;
		if (key !== known.key && !isSoonMore) known = { key, frames: measured };
		return known.frames;
	});
	const question = $derived(
		frames.length > 0 ? { frames, shot: group.shot, bodies: view.bodies } : null
	);
	const asking = new Asking(judging, 'set', () => question, REST_MS);
	$effect(() => {
		if (asking.answer) view.sets.set(group.id, asking.answer);
	});
	const set = $derived(view.sets.get(group.id));
	const good = $derived(set?.frames.filter(({ isGood }) => isGood).length ?? 0);
	const isTold = $derived(set?.frames.some((frame) => frame.isTold) ?? false);
	let isOver = $state(false);
</script>

<li
	ondragover={(event) => {
		if (!event.dataTransfer?.types.includes(FRAMES_DRAGGED)) return;
		event.preventDefault();
		event.stopPropagation();
		isOver = true;
	}}
	ondragleave={() => (isOver = false)}
	ondrop={(event) => {
		if (!event.dataTransfer?.types.includes(FRAMES_DRAGGED)) return;
		event.preventDefault();
		event.stopPropagation();
		isOver = false;
		onput(group.id);
	}}
>
	<button
		type="button"
		class:over={isOver}
		aria-current={view.group?.id === group.id ? 'true' : undefined}
		onclick={() => view.open(group.id)}
	>
		<bdi>{group.title}</bdi>
		<span
			>{group.files.length === 0
				? say.noneYet
				: `${group.files.length} · ${!set ? '…' : isTold ? say.good(good) : say.nobodyFound}`}</span
		>
	</button>
</li>
{#if asking.problem}
	<li role="alert">
		{asking.problem}
		<button class="knob" type="button" onclick={() => asking.again()}>{common.tryAgain}</button>
	</li>
{/if}

<style>
	button:not(.knob) {
		width: 100%;
		display: flex;
		justify-content: space-between;
		gap: 0.5rem;
		text-align: left;
		padding: 0.35rem 0.5rem;
		border-left: 3px solid transparent;
	}
	button:not(.knob):hover {
		background: var(--paper);
	}
	button[aria-current] {
		border-left-color: var(--focus);
		font-weight: 600;
	}
	.over {
		outline: 2px dashed var(--focus);
	}
	span {
		color: var(--ink-2);
		font-weight: 400;
		white-space: nowrap;
	}
	bdi {
		overflow-wrap: anywhere;
	}
	@media (pointer: coarse) {
		button:not(.knob) {
			min-height: 2.75rem;
		}
	}
</style>
