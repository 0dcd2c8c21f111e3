<script lang="ts">
	import { decimal } from '$words/numbers';
	import { eyesInStepText as say } from '$words/screens/review/looking';
	import { commonText as common } from '$words/screens/common';
	import { blurPx } from '$core/measure/spread';
	import { faceMark, inFocusWords, settingsWords, partOf } from '$words/review';
	import EyePiece from './EyePiece.svelte';
	import type { ReviewView } from '../view/review.svelte';

	/** The same eye from several frames, a pixel of the file on a pixel of the screen. */
	let { view }: { view: ReviewView } = $props();
	const COUNTS = [2, 3, 4, 6];
	const name = $derived(view.set?.people[view.whom]?.name ?? '');
	const side = $derived(view.side);
	/** Who is looked at, where their eye may be tapped: no face was found, or it is an animal’s. */
	const offered = $derived(
		view.pointing.offered.find(({ id }) => id === view.set?.people[view.whom]?.id)
	);
</script>

<section class="eyes" aria-label={say.theSameEyeSideBySide}>
	<div class="head">
		<h3><bdi>{partOf(view.set?.people[view.whom], side) || say.sideBySide}</bdi>, 100 %</h3>
		<span class="knobs">
			<button
				class="knob"
				type="button"
				onclick={() => view.stepPerson(-1)}
				aria-label={say.theFaceBefore}>‹</button
			>
			<button
				class="knob"
				type="button"
				onclick={() => view.stepPerson(1)}
				aria-label={say.theNextFace}>›</button
			>
			<label class="count">
				<span class="sr-only">{say.framesSideBySide}</span>
				<select
					class="typed"
					value={String(view.sideBySide)}
					onchange={(event) => (view.sideBySide = Number(event.currentTarget.value))}
				>
					{#each COUNTS as count (count)}<option value={String(count)}>{say.frames(count)}</option
						>{/each}
				</select>
			</label>
		</span>
	</div>
	<ul class="row">
		<!-- by place, so that nothing is made anew, and its width asked for, whenever another stands there -->
		{#each view.compared as one, i (i)}
			{@const face = one.reviewed.faces[view.whom]}
			{@const blur = face?.blurs[side]}
			<li class:now={i === 0}>
				{#if face}
					<EyePiece
						file={one.file.file}
						x={face.face[side].x}
						y={face.face[side].y}
						label={say.sEye(one.file.name, name)}
					/>
				{:else}
					<p>{say.notFoundHere}</p>
				{/if}
				{#if i === 0 && offered && !face?.isPointed}
					<p>
						<button class="knob" type="button" onclick={() => view.pointing.begin(offered.id)}
							><span>{common.tap} <bdi>{name}</bdi>{common.sEye}</span></button
						>
					</p>
				{/if}
				<button type="button" class="words" onclick={() => view.look(one.file.id)}>
					<strong
						>{i === 0
							? say.thisFrame
							: say.frame(view.files.findIndex(({ id }) => id === one.file.id) + 1)}
						{faceMark(face ?? null)}</strong
					>
					<span>{blur ? say.pxOfBlur(decimal(blurPx(blur), 1)) : common.cannotTell}</span>
					{#if view.set && one.reviewed.inFocus}
						<span>{say.on} <bdi>{inFocusWords(one.reviewed, view.set)}</bdi></span>
					{/if}
					<span>{settingsWords(one.reviewed.frame)}</span>
				</button>
			</li>
		{/each}
	</ul>
</section>

<style>
	.eyes {
		min-width: 0;
		overflow: auto;
	}
	.head,
	.knobs {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: 0.3rem;
	}
	h3 {
		font-size: 0.95rem;
	}
	.row {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
		gap: 0.5rem;
		margin-top: 0.3rem;
	}
	li {
		min-width: 0;
		border: 1px solid var(--rule);
		background: var(--sheet);
	}
	li > p {
		padding: 0.4rem;
	}
	.now {
		border-color: var(--ink);
	}
	.words {
		display: flex;
		flex-direction: column;
		text-align: left;
		padding: 0.2rem 0.4rem;
		font-size: 0.8125rem;
		width: 100%;
		color: var(--ink-2);
	}
	strong {
		color: var(--ink);
	}
	@media (max-width: 40rem) {
		.row {
			grid-template-columns: 1fr;
		}
		li:not(.now) {
			display: none;
		}
	}
</style>
