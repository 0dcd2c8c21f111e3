<script lang="ts">
	import { framingSheetText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import type { FigurePart } from '$core/anatomy/figure';
	import { imageDistanceMm } from '$core/geometry/thinLens';
	import { impressionOf, nosePerspective } from '$core/optics/perspective';
	import { backgroundWidthM, frameEdgesOf, faceShare } from '$core/arrange/edges';
	import {
		aimed,
		frameByFocal,
		frameByPlace,
		type Framing,
		type FramingResult
	} from '$core/arrange/framing';
	import { heldDownTo, PART_OF_MARK } from '$core/arrange/held';
	import { cameraPose, seenFrom } from '$core/geometry/camera';
	import {
		equivalentWords,
		framingProblemText,
		framedPartWords,
		PART_OPTIONS
	} from '$words/framing';
	import { isZoom } from '$core/optics/zoom';
	import Choice from '../../fields/Choice.svelte';
	import Named from '../../shared/Named.svelte';
	import NumberField from '../../fields/NumberField.svelte';
	import Pick from '../../fields/Pick.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { decimal, distance, shareInWords } from '$words/numbers';
	import { nameOfId, namesOf } from '$words/names';
	import type { PlanView } from '../view/plan.svelte';
	import { RULES } from '$core/tables/rules';

	/** How large people stand in the picture, and moving the camera or the zoom until they do. */
	let { plan }: { plan: PlanView } = $props();

	const EVERYONE = 'everyone';

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	/** What is chosen to be framed; until then what the frame holds. */
	let chosen = $state<FigurePart | null>(null);
	let who = $state(EVERYONE);
	let marginPercent = $state(100 * settings.framing.margin);
	let refusal = $state('');
	let isWide = $state(false);

	const people = $derived([
		{ value: EVERYONE, text: say.everyone },
		...shot.people.map(({ id, name }) => ({ value: id, text: name }))
	]);
	const pose = $derived(cameraPose(shot.camera, shot.body.sensor));
	const nearest = $derived(
		shot.people
			.filter(({ need }) => need !== 'free')
			.map((person) => ({ person, seen: seenFrom(pose, person.eyeMidpoint) }))
			.filter(({ seen }) => seen.depthM > 0)
			.toSorted((a, b) => a.seen.distanceM - b.seen.distanceM)[0]
	);
	const held = $derived(nearest ? heldDownTo(shot, nearest.person) : null);
	const part = $derived(chosen ?? (held ? PART_OF_MARK[held] : 'head-and-shoulders'));
	const framing = $derived<Framing>({
		part,
		personIds: shot.people.some(({ id }) => id === who) ? [who] : [],
		margin: marginPercent / 100
	});
	const zooms = $derived(isZoom(shot.lens));

	function take(result: FramingResult) {
		refusal = result.ok
			? result.isLoose
				? say.evenAtMmThereIsMore(shot.lens.focalMm[1])
				: ''
			: framingProblemText(result.problem, units);
		if (!result.ok) return;
		plan.change({ ...shot, camera: result.camera });
		settings.set({ framing: { part, margin: framing.margin } });
	}

	const equivalent = $derived(equivalentWords(shot));
	const edges = $derived(frameEdgesOf(shot));
	const focus = $derived(plan.shown?.plan.focus ?? null);
	const farthestM = $derived(
		Math.max(
			...shot.things.map(({ position }) => seenFrom(pose, position).depthM),
			(focus?.depthM ?? 3) + 10
		)
	);
	const names = (ids: readonly string[]) =>
		namesOf(
			ids.map((id) => {
				const isThing = shot.things.some((one) => one.id === id);
				return `${isThing ? 'the ' : ''}${nameOfId(shot, id)}`;
			}),
			6
		);
	const percent = (share: number) => `${Math.round(share * 100)} %`;
	const READS = {
		flatter: say.aLittleFlatterThanUsual,
		usual: common.asUsual,
		strong: say.strongTheNoseLargeTheEars,
		distorted: say.distortedStepBack
	} as const;
	function perspectiveWords(distanceM: number): string {
		const share = nosePerspective(distanceM);
		const by = decimal(Math.abs(share * 100), share * 100 > -0.95 && share * 100 < 0.95 ? 1 : 0);
		const compared =
			share >= 0 ? say.theNosePercentLargerAgainstThe(by) : say.theNosePercentSmaller(by);
		return say.thanFromWhereFacesLookAs(
			READS[impressionOf(share)],
			compared,
			distance(RULES.usualDistanceM, units)
		);
	}
</script>

<div class="stack">
	<Choice
		label={common.show}
		options={PART_OPTIONS}
		value={part}
		onchoose={(next) => (chosen = next)}
	/>
	<div class="pairs">
		<Pick
			label={say.of}
			options={people}
			value={framing.personIds[0] ?? EVERYONE}
			onchoose={(next) => (who = next)}
		/>
		<NumberField
			label={say.roomAtEveryEdge}
			unit="%"
			value={marginPercent}
			low={0}
			high={40}
			digits={0}
			onchange={(value) => (marginPercent = value)}
			newGesture={(kind) => plan.newGesture(kind)}
		/>
	</div>
	<div class="actions">
		<button class="knob" type="button" onclick={() => take(frameByPlace(shot, framing))}
			>{say.moveTheCamera}</button
		>
		<button
			class="knob"
			type="button"
			disabled={!zooms}
			title={zooms ? undefined : say.thisLensDoesNotZoom}
			onclick={() => take(frameByFocal(shot, framing))}>{say.zoomFromHere}</button
		>
		<button
			class="knob"
			type="button"
			disabled={shot.people.length === 0}
			onclick={() => take({ ok: true, camera: aimed(shot, shot.camera, framing), isLoose: false })}
			>{say.onlyTurnTheCamera}</button
		>
		<label>
			<input
				type="checkbox"
				checked={settings.keepsAimed}
				onchange={(event) => settings.set({ keepsAimed: event.currentTarget.checked })}
			/>
			{say.keepItTurnedToPeopleWho}
		</label>
	</div>
	{#if refusal}<p class="refusal" role="alert">{refusal}</p>{/if}

	<dl>
		{#if equivalent}
			<dt>{common.lens}</dt>
			<dd>{equivalent}</dd>
		{/if}
		{#if nearest}
			<dt>{say.nearestFace}</dt>
			<dd>
				<bdi>{nearest.person.name}</bdi>{say.awayTheFaceFillsOfThe(
					held ? `${framedPartWords(held)}, ` : '',
					distance(nearest.seen.distanceM, units),
					shareInWords(faceShare(pose, nearest.person))
				)}
			</dd>
			<dt>{say.itLooks}</dt>
			<dd>{perspectiveWords(nearest.seen.distanceM)}</dd>
		{/if}
		{#if focus}
			<dt>{say.focusDistance}</dt>
			<dd>{say.fromTheSensorMark(distance(focus.fromSensorM, units))}</dd>
		{/if}
		{#if edges}
			<dt>{say.roomAtTheEdges}</dt>
			<dd>
				{say.leftRightAboveBelowTheFaces(
					percent(edges.room.left),
					percent(edges.room.right),
					percent(edges.room.top),
					percent(edges.room.bottom)
				)}
			</dd>
			{#if edges.cutIds.length > 0}
				<dt>{say.cut}</dt>
				<dd class="is-soft"><Named text={names(edges.cutIds)} {shot} /></dd>
			{/if}
			{#if edges.nearlyIds.length > 0}
				<dt>{say.atTheEdge}</dt>
				<dd class="is-marginal"><Named text={names(edges.nearlyIds)} {shot} /></dd>
			{/if}
		{/if}
		<dt>{common.background}</dt>
		<dd>
			{say.wideAway(
				distance(
					backgroundWidthM(
						pose,
						farthestM,
						imageDistanceMm(pose.focalMm, focus?.planeM ?? farthestM)
					),
					units
				),
				distance(farthestM, units)
			)}
		</dd>
	</dl>
	<details
		open={shot.choices.wide !== undefined}
		ontoggle={(event) => (isWide = event.currentTarget.open)}
	>
		<summary>{say.wideAndShallowManyFramesPut}</summary>
		{#if isWide}
			{#await import('./WideSheet.svelte') then { default: WideSheet }}
				<WideSheet {plan} />
			{/await}
		{/if}
	</details>
</div>

<style>
	.actions {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 1.75rem;
	}
	.refusal {
		color: var(--soft);
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.25rem 1rem;
		border-top: 1px solid var(--rule);
		padding-top: 0.6rem;
	}
	dt {
		color: var(--ink-2);
	}
	details {
		border-top: 1px solid var(--rule);
		padding-top: 0.6rem;
	}
	summary {
		min-height: 1.75rem;
		font-weight: 600;
	}
	@media (pointer: coarse) {
		summary {
			min-height: 2.75rem;
			align-content: center;
		}
	}
</style>
