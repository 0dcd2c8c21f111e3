<script lang="ts">
	import { wideSheetText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import { cameraPose } from '$core/geometry/camera';
	import { cropFactor } from '$core/optics/crop';
	import { framesInPicture, stitchingOf, wideShotOf } from '$core/study/wideShot';
	import { angleDeg, type WideView } from '$core/technique/stitching';
	import { nameOfId } from '$words/names';
	import {
		movingWords,
		pathWords,
		shellWords,
		stepWords,
		stitchProblemWords,
		stitchWords,
		WIDE_REMINDERS
	} from '$words/stitching';
	import { previewOf, wholeFrame } from '../../../preview/scene';
	import Amount from '../../fields/Amount.svelte';
	import Choice from '../../fields/Choice.svelte';
	import Picture from '../../picture/Picture.svelte';
	import { preview } from '../../picture/preview.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { devicePx } from '../../picture/size';
	import type { PlanView } from '../view/plan.svelte';

	/** A view wider than the lens, with the lens’s own shallow depth, from many frames. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	const take = $derived(plan.shown?.take ?? null);
	const view = $derived(shot.choices.wide ?? null);
	const stitching = $derived(take && view ? stitchingOf(take, view) : null);
	const stitch = $derived(stitching?.ok ? stitching.stitch : null);
	const wide = $derived(take && view && stitch ? wideShotOf(take, view, stitch) : null);
	const pose = $derived(wide && cameraPose(wide.shot.camera, wide.shot.body.sensor));
	const placed = $derived(take && wide && stitch ? framesInPicture(take, wide, stitch) : []);

	/** Views as one says them: what such a lens sees on full frame, level. */
	const LENSES_MM = [50, 35, 28, 24, 20] as const;
	const FULL_FRAME = { widthMm: 36, heightMm: 24 } as const;
	const sees = (mm: number) => ({
		acrossDeg: angleDeg(FULL_FRAME.widthMm, mm),
		downDeg: angleDeg(FULL_FRAME.heightMm, mm)
	});
	/** Longer than that on full frame the lens itself has it. */
	const shorter = $derived(
		LENSES_MM.filter((mm) => mm < 0.8 * shot.camera.focalMm * cropFactor(shot.body.sensor))
	);
	const options = $derived([
		{ value: '', text: say.oneFrame },
		...shorter.map((mm) => ({ value: String(mm), text: say.mm(mm) }))
	]);
	const chosen = $derived(
		view
			? String(shorter.find((mm) => Math.abs(sees(mm).acrossDeg - view.acrossDeg) < 0.05) ?? 'own')
			: ''
	);

	const put = (next: WideView | undefined, gesture?: string) =>
		plan.change({ ...shot, choices: { ...shot.choices, wide: next } }, gesture);
	function choose(value: string) {
		if (value === '') return put(undefined);
		put({ overlap: 1 / 3, mostFrames: 20, ...view, ...sees(Number(value)) });
	}
	const newGesture = (kind: string) => plan.newGesture(kind);

	let roomX = $state(1);
	/** As high as a picture may be in a window of a laptop. */
	const MOST_HIGH_PX = 330;
	const shape = $derived(pose ? pose.widthMm / pose.heightMm : 1.5);
	const width = $derived(Math.min(roomX, MOST_HIGH_PX * shape));
	const wish = $derived(
		wide && stitch && pose
			? {
					scene: previewOf(wide.shot),
					setting: { focus: wide.focus, fNumber: stitch.fNumber, blades: wide.shot.lens.blades },
					window: wholeFrame(pose),
					widthPx: devicePx(width),
					heightPx: devicePx(width / shape),
					showsDiffraction: false
				}
			: null
	);
	const points = (corners: readonly { readonly x: number; readonly y: number }[]) =>
		corners.map(({ x, y }) => `${100 * x},${100 * y}`).join(' ');
	const on = $derived(
		take?.candidate.personId ? nameOfId(shot, take.candidate.personId) : say.whatIsFocusedOn
	);
</script>

<div class="stack">
	<Choice label={say.theViewAt} {options} value={chosen} onchoose={choose} />
	{#if view}
		<div class="fields">
			<Amount
				of="shot.choices.wide.acrossDeg"
				label={say.across}
				value={view.acrossDeg}
				digits={0}
				onchange={(acrossDeg, gesture) => put({ ...view, acrossDeg }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.choices.wide.downDeg"
				label={say.upAndDown}
				value={view.downDeg}
				digits={0}
				onchange={(downDeg, gesture) => put({ ...view, downDeg }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.choices.wide.overlap"
				label={say.overlap}
				shownAs="percent"
				value={view.overlap}
				digits={0}
				onchange={(overlap, gesture) => put({ ...view, overlap }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.choices.wide.mostFrames"
				label={say.mostFramesYouWant}
				value={view.mostFrames}
				digits={0}
				onchange={(mostFrames, gesture) => put({ ...view, mostFrames }, gesture)}
				{newGesture}
			/>
		</div>
		<Choice
			label={common.camera}
			options={[
				{ value: 'landscape', text: say.level },
				{ value: 'portrait', text: say.upright }
			]}
			value={shot.camera.orientation}
			onchoose={(orientation) => plan.change({ ...shot, camera: { ...shot.camera, orientation } })}
		/>
		{#if !take}
			<p role="status">{say.thereIsNothingToFocusOn}</p>
		{:else if stitching && !stitching.ok}
			<p role="alert" class="is-soft">{stitchProblemWords(stitching, view.mostFrames)}</p>
		{:else if stitch && wide}
			<p role="status"><strong>{stitchWords(stitch)}</strong> {stepWords(stitch)}</p>
			<div class="room" bind:clientWidth={roomX}>
				<div class="picture" style:width="{width}px" style:height="{width / shape}px">
					{#if wish && preview.why === null}
						<Picture name="wide" rank={0} {wish} label={say.theFinishedPictureWithItsReal} />
					{/if}
					<svg
						viewBox="0 0 100 100"
						preserveAspectRatio="none"
						role="img"
						aria-label={say.theFramesAndTheWayThrough(pathWords(stitch, on))}
					>
						{#each placed as { corners }, i (i)}
							<polygon class:first={i === 0} points={points(corners)} />
						{/each}
						<polyline points={points(placed.map(({ middle }) => middle))} />
					</svg>
					{#each placed as { middle }, i (i)}
						<span class="number" style:left="{100 * middle.x}%" style:top="{100 * middle.y}%"
							>{i + 1}</span
						>
					{/each}
				</div>
			</div>
			{#if preview.why !== null}<p class="note">{say.theFramesOnly(preview.why)}</p>{/if}
			<p>{shellWords(wide, units)}</p>
			{#if movingWords(take)}<p class="is-marginal">{movingWords(take)}</p>{/if}
			<ul>
				{#each WIDE_REMINDERS as reminder, i (i)}<li>{reminder}</li>{/each}
			</ul>
		{/if}
	{:else}
		<p class="note">
			{say.manyFramesAroundTheFacePut}
		</p>
	{/if}
</div>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(7.5rem, 1fr));
		gap: 0.5rem 0.8rem;
		align-items: end;
	}
	.picture {
		position: relative;
		background: var(--paper);
		margin: 0 auto;
		overflow: hidden;
	}
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	polygon {
		fill: none;
		stroke: var(--sheet);
		stroke-width: 1;
		stroke-opacity: 0.7;
		vector-effect: non-scaling-stroke;
	}
	polygon.first {
		stroke: var(--focus);
		stroke-width: 2;
		stroke-opacity: 1;
	}
	polyline {
		fill: none;
		stroke: var(--focus);
		stroke-width: 1.5;
		stroke-dasharray: 5 3;
		vector-effect: non-scaling-stroke;
	}
	.number {
		position: absolute;
		translate: -50% -50%;
		background: var(--sheet);
		border-radius: 50%;
		min-width: 1.35rem;
		line-height: 1.35rem;
		text-align: center;
		font-size: 0.8rem;
		font-weight: 600;
	}
	.note {
		color: var(--ink-2);
	}
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
</style>
