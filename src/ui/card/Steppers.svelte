<script lang="ts">
	import { focalsOf } from '$core/optics/zoom';
	import { asItIs, mostRows } from '$core/advice/turnedOut';
	import { comfortIsoOf } from '$core/light/exposure';
	import { nextShutter } from '$core/light/dials';
	import { shutterWords, wordsOfEv } from '$words/light';
	import Pick from '../shared/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import { count, distance, smallLength, toUnits, fromUnits } from '$words/numbers';
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
	const lenses = $derived([
		...new Set([card.planned.lens.name, ...card.lenses.map(({ name }) => name)])
	]);

	/** The next step of a length in the units one reads, m. */
	function stepped(metres: number, by: number, step: number): number {
		const value = toUnits(metres, units);
		const next = by > 0 ? Math.floor(value / step + 1e-6) + 1 : Math.ceil(value / step - 1e-6) - 1;
		return fromUnits(next * step, units);
	}
	const distanceStep = $derived(units === 'm' ? (now.distanceM < 3 ? 0.1 : 0.5) : 1);
	const depthStep = $derived(units === 'm' ? 0.1 : 0.5);
	const nearest = $derived(lens.closestFocusM + 0.1);

	function chooseLens(name: string) {
		const found = [card.planned.lens, ...card.lenses].find((one) => one.name === name);
		card.differ({
			lens: found && name !== card.planned.lens.name ? found : undefined,
			focalMm: undefined
		});
	}
	const other = (text: string, was: string) => (text === was ? '' : was);
	const ev = (ev100: number | null) => (ev100 === null ? '' : `EV ${Number(ev100.toFixed(1))}`);
	const isFlash = $derived(card.planned.light?.mode === 'flash');
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

<section aria-label="It turned out different">
	<h2>It turned out different</h2>
	<StepRow
		label="distance"
		value={distance(now.distanceM, units)}
		planned={other(distance(now.distanceM, units), distance(planned.distanceM, units))}
		less="nearer"
		more="farther"
		onless={now.distanceM - fromUnits(distanceStep, units) > nearest
			? () => card.differ({ distanceM: stepped(now.distanceM, -1, distanceStep) })
			: null}
		onmore={now.distanceM < 200
			? () => card.differ({ distanceM: stepped(now.distanceM, 1, distanceStep) })
			: null}
	/>
	{#if planned.rows > 1 || now.rows > 1}
		<StepRow
			label="front to back"
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
	{#if mostRows(card.planned) > 1}
		<StepRow
			label="rows"
			value={count(now.rows)}
			planned={other(count(now.rows), count(planned.rows))}
			less="fewer"
			more="more"
			onless={now.rows > 1 ? () => card.differ({ rows: now.rows - 1, depthM: undefined }) : null}
			onmore={now.rows < Math.min(12, mostRows(card.planned))
				? () => card.differ({ rows: now.rows + 1, depthM: undefined })
				: null}
		/>
	{/if}
	{#if focals.length > 1}
		<StepRow
			label="focal length"
			value="{Math.round(now.focalMm)} mm"
			planned={other(`${Math.round(now.focalMm)} mm`, `${Math.round(planned.focalMm)} mm`)}
			less="wider"
			more="longer"
			onless={wider === undefined ? null : () => card.differ({ focalMm: wider })}
			onmore={longer === undefined ? null : () => card.differ({ focalMm: longer })}
		/>
	{/if}
	{#if !isFlash}
		<StepRow
			label="light"
			value={now.ev100 === null ? 'not known' : `${wordsOfEv(now.ev100)}, ${ev(now.ev100)}`}
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
	{#if shutterS !== null && !isFlash}
		<StepRow
			label="shutter"
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
			label="highest ISO you like"
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
			label="lens"
			options={lenses.map((value) => ({ value, text: value }))}
			value={lens.name}
			onchoose={chooseLens}
		/>
	</div>
	{#if card.isDifferent}
		<div class="decide">
			<button class="knob" type="button" onclick={() => card.backToPlan()}>Back to the plan</button>
			<button class="knob accept" type="button" onclick={() => card.accept()}
				>Make it the plan</button
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
