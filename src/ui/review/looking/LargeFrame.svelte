<script lang="ts">
	import { largeFrameText as say } from '$words/screens/review/looking';
	import { commonText as common } from '$words/screens/common';
	import { faceMark, faceWords, partOf } from '$words/review';
	import PointingCross from '../../shared/PointingCross.svelte';
	import { largePicture, makeReady } from '../../frames/pictures';
	import type { ReviewView } from '../view/review.svelte';

	/** The frame that is looked at, whole, with everybody ringed; a ring chooses whom to look at. */
	let { view }: { view: ReviewView } = $props();
	let address = $state('');
	let problem = $state('');

	const { pointing } = $derived(view);
	const following = $derived(view.home.following);
	/** Whose eye is pointed at. */
	const whose = $derived(pointing.whose?.name);

	function point(across: number, down: number) {
		if (size) void pointing.point(across * size.widthPx, down * size.heightPx);
	}

	const file = $derived(view.file);
	const size = $derived(file?.measured ?? null);

	$effect(() => {
		const source = file?.file;
		problem = '';
		if (!source) {
			address = '';
			return;
		}
		let isOver = false;
		largePicture(source).then(
			(made) => {
				if (isOver) return;
				address = made ?? '';
				if (!made) problem = say.thisPictureCannotBeShown;
			},
			() => {
				if (!isOver) problem = say.thisPictureCannotBeShown;
			}
		);
		return () => (isOver = true);
	});

	/** The marks of more people are drawn smaller. */
	const MAX_LARGE_MARKS = 6;
	/** Whoever looks so long at something may go on from there. */
	const REST_MS = 300;
	$effect(() => {
		// frames still come, and one goes from person to person
		void view.whom;
		if (!address || view.next.length === 0) return;
		const resting = setTimeout(() => void ahead(), REST_MS);
		return () => clearTimeout(resting);
	});

	/** What may be looked at next is there when one goes on, with the eye that is looked at. */
	async function ahead() {
		const from = file?.id;
		// one after the other: each is opened once for both
		for (const next of view.next) {
			if (view.file?.id !== from) return;
			if (!next.file) continue;
			const face = view.judged.get(next.id)?.reviewed.faces[view.whom];
			await makeReady(next.file, face ? face.face[view.side] : null).catch(() => undefined);
		}
	}
</script>

<div class="pane large">
	{#if file && !file.file}
		<p>{say.wasMeasuredBeforeChooseItAgain(file.name)}</p>
	{:else if problem || file?.problem}
		<p role="alert">{problem || file?.problem}</p>
	{/if}
	<div
		class="picture"
		class:crowd={(view.set?.people.length ?? 0) > MAX_LARGE_MARKS}
		style:--shape={size ? size.widthPx / size.heightPx : 1.5}
	>
		{#if address}<img src={address} alt={file?.name ?? ''} />{/if}
		{#if pointing.isOn}
			<PointingCross
				label={whose ? say.tapSEye(whose) : say.tapWhatMatters}
				takesFocus
				onpoint={point}
			/>
		{/if}
		{#if view.now && size}
			{#each view.now.reviewed.faces as face, i (i)}
				{#if face}
					{@const { left, right, widthPx } = face.face}
					<button
						type="button"
						class="ring {face.isGood
							? 'is-sharp'
							: face.state === 'marginal'
								? 'is-marginal'
								: 'is-soft'}"
						class:on={i === view.whom}
						class:free={!view.set?.people[i]?.counts}
						style:left="{(50 * (left.x + right.x)) / size.widthPx}%"
						style:top="{(50 * (left.y + right.y)) / size.heightPx}%"
						style:width="{(140 * widthPx) / size.widthPx}%"
						aria-pressed={i === view.whom}
						aria-label="{view.set?.people[i]?.name ?? ''}: {faceWords(face)}"
						title="{view.set?.people[i]?.name ?? ''}: {faceWords(face)}"
						onclick={() => (view.person = i)}
						><span aria-hidden="true">{faceMark(face)}</span></button
					>
				{/if}
			{/each}
		{/if}
	</div>
	<div class="tools">
		<button
			class="knob"
			type="button"
			aria-pressed={pointing.isOn}
			disabled={!file?.file || !size || following.isBeginning}
			onclick={() => (pointing.isOn ? (pointing.isOn = false) : pointing.begin(null))}
		>
			{#if !pointing.isOn}{say.pointAtSomething}{:else if whose}<span
					>{common.tap} <bdi>{whose}</bdi>{common.sEye}</span
				>{:else}{say.tapWhatMatters2}{/if}
		</button>
		{#if pointing.isOn && pointing.offered.length > 0}
			<label>
				<span class="sr-only">{say.whatIsPointedAt}</span>
				<select
					class="typed"
					value={pointing.whose?.id ?? ''}
					onchange={(event) => pointing.begin(event.currentTarget.value || null)}
				>
					<option value="">{common.aThing}</option>
					{#each pointing.offered as { id, name } (id)}<option value={id}>{say.sEye(name)}</option
						>{/each}
				</select>
			</label>
		{:else if pointing.spots.length > 0}
			<button class="knob" type="button" onclick={() => pointing.forget()}
				><span>{common.forget} <bdi>{partOf(view.set?.people[view.whom], view.side)}</bdi></span
				></button
			>
		{/if}
		<span role="status">{following.isBusy ? say.followedThroughTheFrames : following.problem}</span>
	</div>
</div>

<style>
	.tools {
		position: absolute;
		left: 0.3rem;
		top: 0.3rem;
		display: flex;
		gap: 0.3rem;
		z-index: 3;
	}
	.large {
		display: grid;
		place-items: center;
		container-type: size;
		min-height: 12rem;
	}
	p {
		position: absolute;
		bottom: 0;
		padding: 0.5rem 1rem;
	}
	.picture {
		position: relative;
		aspect-ratio: var(--shape);
		width: min(100cqw, 100cqh * var(--shape));
	}
	img {
		width: 100%;
		height: 100%;
	}
	.ring {
		position: absolute;
		aspect-ratio: 1 / 1.15;
		min-width: 1.5rem;
		translate: -50% -46%;
		border: 2px solid currentColor;
		border-radius: 50%;
		box-shadow: 0 0 0 1px var(--sheet);
	}
	.ring.on {
		border-width: 4px;
	}
	/* who does not count */
	.ring.free {
		border-style: dashed;
	}
	.ring span {
		position: absolute;
		left: 50%;
		bottom: -0.75rem;
		translate: -50% 0;
		background: var(--sheet);
		border-radius: 50%;
		width: 1.2rem;
		line-height: 1.2rem;
		text-align: center;
	}
	.crowd .ring {
		min-width: 1rem;
	}
	.crowd .ring span {
		width: 0.85rem;
		line-height: 0.85rem;
		bottom: -0.5rem;
		font-size: 0.625rem;
	}
</style>
