<script lang="ts">
	import { steppersText as say } from '$words/screens/card';
	import { commonText as common } from '$words/screens/common';
	import { focalsOf } from '$core/optics/zoom';
	import { asItIs } from '$core/advice/turnedOut';
	import { comfortIsoOf } from '$core/light/exposure';
	import { nextShutter } from '$core/light/dials';
	import { isoWords, powerWords, shutterWords, wordsOfEv } from '$words/light';
	import Length from '../fields/Length.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import { byName, indexByName } from '../shared/byName';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import { count, distance, fromUnits, rounded, smallLength, toUnits } from '$words/numbers';
	import type { CardView } from './card.svelte';
	import StepRow from './StepRow.svelte';

	/** It turned out different: distance, depth of the group, rows, lens, light. */
	let { card }: { card: CardView } = $props();

	const units = $derived(settings.units);
	const now = $derived(card.now);
	const planned = $derived(asItIs(card.planned));
	const lens = $derived(card.shot.lens);
	const focals = $derived(focalsOf(lens, card.planned.camera.focalMm));
	const wider = $derived(focals.findLast((focalMm) => focalMm < now.focalMm - 0.5));
	const longer = $derived(focals.find((focalMm) => focalMm > now.focalMm + 0.5));
	/** The planned lens, and the others of the kit. */
	const lenses = $derived([
		card.planned.lens,
		...card.lenses.toSpliced(Number(indexByName(card.lenses, card.planned.lens) || Infinity), 1)
	]);

	/** What is found this near to a whole step counts as one. */
	const NEARLY_A_STEP = 0.05;
	/** The next step of a length in the units one reads, m. */
	function stepped(metres: number, by: number, step: number): number {
		const value = toUnits(metres, units);
		const steps = value / step;
		const next =
			by > 0 ? Math.floor(steps + NEARLY_A_STEP) + 1 : Math.ceil(steps - NEARLY_A_STEP) - 1;
		return fromUnits(next * step, units);
	}
	const nearStep = $derived(units === 'm' ? 0.1 : 0.25);
	const depthStep = $derived(units === 'm' ? 0.1 : 0.5);
	/** Where the lens is set to: from the sensor mark; over the ground while nothing is focused on. */
	const fromM = $derived(card.solution?.plan.focus?.fromSensorM ?? now.distanceM);
	const plannedFromM = $derived(card.plannedPlan?.focus?.fromSensorM ?? planned.distanceM);
	const nearest = $derived(lens.closestFocusM + 0.05);
	const FARTHEST_M = 200;
	const newGesture = () => crypto.randomUUID();

	const MOST_ROWS = 12;
	const MOST_PEOPLE = 60;
	/** As many people come or go as stand in a row. */
	function changeRows(by: 1 | -1) {
		const people = now.people + by * Math.max(1, Math.round(now.people / now.rows));
		card.differ({ rows: now.rows + by, people, depthM: undefined });
	}
	const changePeople = (people: number, gesture?: string) =>
		card.differ({ people: Math.round(people), rows: Math.min(now.rows, people) }, gesture);

	const chooseLens = (place: string) =>
		card.differ({ lens: place === '0' ? undefined : lenses[Number(place)], focalMm: undefined });
	const other = (text: string, was: string) => (text === was ? '' : was);
	const ev = (ev100: number | null) => (ev100 === null ? '' : say.ev(rounded(ev100, 1)));
	const flash = $derived(card.shot.light?.mode === 'flash' ? card.shot.light : null);
	const plannedFlashM = $derived(
		card.planned.light?.mode === 'flash' ? card.planned.light.distanceM : 0
	);
	const power = $derived(card.solution?.plan.exposure?.flashPower ?? null);
	const iso = $derived(card.solution?.plan.exposure?.iso ?? 100);
	const body = $derived(card.shot.body);
	const comfortIso = $derived(comfortIsoOf(body));
	const shutterS = $derived(card.solution?.plan.exposure?.shutterS ?? null);
	const slower = $derived(shutterS === null ? null : nextShutter(shutterS, 'slower'));
	const faster = $derived(shutterS === null ? null : nextShutter(shutterS, 'faster'));
	const plannedShutter = $derived(
		card.plannedExposure ? shutterWords(card.plannedExposure.shutterS) : ''
	);
	/** Where stepping begins while nothing is known of the light. */
	const START_EV = 9;
</script>

<section aria-label={say.itTurnedOutDifferently}>
	<h2>{say.itTurnedOutDifferently}</h2>
	<StepRow
		label={say.fromTheSensorMark}
		planned={other(distance(fromM, units), distance(plannedFromM, units))}
		less="nearer"
		more="farther"
		onless={fromM - fromUnits(nearStep, units) > nearest
			? () => card.focusFrom(stepped(fromM, -1, nearStep))
			: null}
		onmore={fromM < FARTHEST_M ? () => card.focusFrom(stepped(fromM, 1, nearStep)) : null}
	>
		<Length
			label={say.distanceFromTheSensorMark}
			quiet
			value={fromM}
			low={nearest}
			high={FARTHEST_M}
			digits={2}
			onchange={(metres, gesture) => card.focusFrom(metres, gesture)}
			{newGesture}
		/>
	</StepRow>
	{#if planned.rows > 1 || now.rows > 1}
		<StepRow
			label={say.frontToBack}
			value={smallLength(now.depthM, units)}
			planned={other(smallLength(now.depthM, units), smallLength(planned.depthM, units))}
			less="shallower"
			more="deeper"
			onless={now.rows > 1 && now.depthM > fromUnits(depthStep, units)
				? () => card.differ({ depthM: stepped(now.depthM, -1, depthStep) })
				: null}
			onmore={now.rows > 1 && now.depthM < 20
				? () => card.differ({ depthM: stepped(now.depthM, 1, depthStep) })
				: null}
		/>
	{/if}
	{#if now.people > 0}
		<StepRow
			label={now.people === 1 ? 'person' : 'people'}
			planned={other(count(now.people), count(planned.people))}
			less="fewer"
			more="more"
			onless={now.people > 1 ? () => changePeople(now.people - 1) : null}
			onmore={now.people < MOST_PEOPLE ? () => changePeople(now.people + 1) : null}
		>
			<NumberField
				label={say.howManyPeople}
				quiet
				value={now.people}
				low={1}
				high={MOST_PEOPLE}
				digits={0}
				onchange={changePeople}
				{newGesture}
			/>
		</StepRow>
		<StepRow
			label={say.rows}
			value={count(now.rows)}
			planned={other(count(now.rows), count(planned.rows))}
			less="fewer"
			more="more"
			onless={now.rows > 1 ? () => changeRows(-1) : null}
			onmore={now.rows < Math.min(MOST_ROWS, now.people) && now.people < MOST_PEOPLE
				? () => changeRows(1)
				: null}
		/>
	{/if}
	{#if focals.length > 1}
		<StepRow
			label={common.focalLength}
			value="{Math.round(now.focalMm)} mm"
			planned={other(say.mm(Math.round(now.focalMm)), say.mm(Math.round(planned.focalMm)))}
			less="wider"
			more="longer"
			onless={wider === undefined ? null : () => card.differ({ focalMm: wider })}
			onmore={longer === undefined ? null : () => card.differ({ focalMm: longer })}
		/>
	{/if}
	{#if flash}
		<StepRow
			label={say.flashToThem}
			value={distance(flash.distanceM, units)}
			planned={other(distance(flash.distanceM, units), distance(plannedFlashM, units))}
			less="nearer"
			more="farther"
			onless={flash.distanceM - fromUnits(nearStep, units) > 0.1
				? () => card.differ({ flashDistanceM: stepped(flash.distanceM, -1, nearStep) })
				: null}
			onmore={flash.distanceM < 50
				? () => card.differ({ flashDistanceM: stepped(flash.distanceM, 1, nearStep) })
				: null}
		/>
		{#if power !== null}
			<StepRow
				label={say.flashPowerByTheIso}
				value="{powerWords(power)}, {isoWords(iso)}"
				planned={other(powerWords(power), powerWords(card.plannedExposure?.flashPower ?? power))}
				less="less"
				more="more"
				onless={iso * 2 <= body.iso[1] ? () => card.differ({ iso: iso * 2 }) : null}
				onmore={iso / 2 >= body.iso[0] ? () => card.differ({ iso: iso / 2 }) : null}
			/>
		{/if}
	{:else}
		<StepRow
			label={common.light}
			value={now.ev100 === null ? common.notKnown : `${wordsOfEv(now.ev100)}, ${ev(now.ev100)}`}
			planned={other(ev(now.ev100), ev(planned.ev100))}
			less="darker"
			more="brighter"
			onless={(now.ev100 ?? START_EV) > -6
				? () => card.differ({ ev100: (now.ev100 ?? START_EV + 1) - 1 })
				: null}
			onmore={(now.ev100 ?? START_EV) < 20
				? () => card.differ({ ev100: (now.ev100 ?? START_EV - 1) + 1 })
				: null}
		/>
	{/if}
	{#if shutterS !== null && !flash}
		<StepRow
			label={common.shutter}
			value={shutterWords(shutterS)}
			planned={other(shutterWords(shutterS), plannedShutter)}
			less="slower"
			more="faster"
			onless={slower === null ? null : () => card.differ({ shutterS: slower })}
			onmore={faster === null || faster < body.fastestShutterS
				? null
				: () => card.differ({ shutterS: faster })}
		/>
		<StepRow
			label={common.highestIsoYouLike}
			value={String(comfortIso)}
			planned={other(String(comfortIso), String(comfortIsoOf(card.planned.body)))}
			less="lower"
			more="higher"
			onless={comfortIso / 2 < body.iso[0]
				? null
				: () => card.differ({ comfortIso: Math.round(comfortIso / 2) })}
			onmore={comfortIso * 2 > body.iso[1]
				? null
				: () => card.differ({ comfortIso: comfortIso * 2 })}
		/>
	{/if}
	<div class="lens">
		<Pick
			label={common.lens}
			options={byName(lenses)}
			value={indexByName(lenses, lens)}
			onchoose={chooseLens}
		/>
	</div>
	{#if card.isDifferent}
		<div class="decide">
			<button class="knob" type="button" onclick={() => card.backToPlan()}
				>{say.backToThePlan}</button
			>
			<button class="knob accept" type="button" onclick={() => card.accept()}
				>{say.makeItThePlan}</button
			>
		</div>
	{/if}
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
	}
	h2 {
		font-size: 1.05rem;
	}
	.lens {
		padding: 0.5rem 0;
	}
	.decide {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
		padding: 0.4rem 0;
	}
	.decide .knob {
		min-height: 3rem;
		font-size: 1rem;
	}
	.accept {
		background: var(--ink);
		border-color: var(--ink);
		color: var(--sheet);
	}
	.accept:hover:not(:disabled) {
		background: var(--ink-2);
	}
</style>
