<script lang="ts">
	import { lightSheetText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../../fields/Amount.svelte';
	import type { Shot } from '$core/format/shot';
	import { isoWords } from '$words/light';
	import { ev100Of } from '$core/light/ev';
	import { usualFlash } from '$core/light/usualFlash';
	import { LIGHT_WORDS } from '$words/light';
	import { reasonText } from '$words/reasons';
	import { settings } from '../../shared/settings.svelte';
	import Choice from '../../fields/Choice.svelte';
	import Named from '../../shared/Named.svelte';
	import Pick from '../../fields/Pick.svelte';
	import FlashFields from './FlashFields.svelte';
	import SunFields from './SunFields.svelte';
	import LightLimits from './LightLimits.svelte';
	import { fStop } from '$words/numbers';
	import type { PlanView } from '../view/plan.svelte';
	import { exposureWords, wordsOfEv } from '$words/light';

	/** How much light there is, or which flash, and what may give. */
	let { plan }: { plan: PlanView } = $props();

	type Light = NonNullable<Shot['light']>;
	const shot = $derived(plan.shot);
	const light = $derived(shot.light ?? null);
	const newGesture = (kind: string) => plan.newGesture(kind);

	function set(next: Light | null, gesture?: string) {
		const { shot } = plan;
		plan.change({ ...shot, light: next ?? undefined }, gesture);
	}

	const MODES = [
		{ value: 'unknown', text: common.notKnown },
		{ value: 'ambient', text: say.theLightThatIsThere },
		{ value: 'flash', text: say.flash }
	] as const;
	type Mode = (typeof MODES)[number]['value'];

	function chooseMode(mode: Mode) {
		const ev100 = light?.mode === 'flash' ? light.ambientEv100 : (light?.ev100 ?? 12);
		if (mode === 'unknown') set(null);
		else if (mode === 'ambient') set({ mode, ev100 });
		else set(usualFlash(ev100, 3));
	}

	/** The light of the room, whichever mode it is for. */
	const ev100 = $derived(light?.mode === 'flash' ? light.ambientEv100 : (light?.ev100 ?? 12));
	function setEv(next: number, gesture?: string) {
		if (light?.mode === 'flash') set({ ...light, ambientEv100: next }, gesture);
		else set({ mode: 'ambient', ev100: next }, gesture);
	}
	const WORDS = LIGHT_WORDS.map(({ words }) => ({ value: words as string, text: words as string }));

	let metered = $state({ fNumber: 4, shutterS: 1 / 125, iso: 400 });
	function meter(change: Partial<typeof metered>, gesture: string) {
		metered = { ...metered, ...change };
		setEv(ev100Of(metered), gesture);
	}

	const isoRule = $derived(shot.choices.isoRule);
	const isoRises = $derived(
		isoRule === 'rises' || (isoRule === undefined && light?.mode !== 'flash')
	);
	const heldIso = $derived(typeof isoRule === 'number' ? isoRule : shot.body.iso[0]);
	function chooseIso(next: 'rises' | number, gesture?: string) {
		plan.change({ ...shot, choices: { ...shot.choices, isoRule: next } }, gesture);
	}

	const told = $derived(
		(plan.shown?.plan.reasons ?? [])
			.filter(({ topic }) => topic === 'light')
			.map((reason) => reasonText(reason, shot, settings.units))
	);
</script>

<div class="stack">
	<Choice
		label={common.light}
		quiet
		options={MODES}
		value={light?.mode ?? 'unknown'}
		onchoose={chooseMode}
	/>

	{#if light?.mode === 'flash'}
		<div class="pairs">
			<Amount
				of="shot.light.guideNumberM"
				label={say.guideNumberAtIso100}
				value={light.guideNumberM}
				digits={1}
				onchange={(guideNumberM, gesture) => set({ ...light, guideNumberM }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.light.distanceM"
				label={say.fromFlashToPeople}
				value={light.distanceM}
				onchange={(distanceM, gesture) => set({ ...light, distanceM }, gesture)}
				{newGesture}
			/>
		</div>
		<FlashFields {light} onchange={set} {newGesture} />
	{/if}

	{#if light}
		<h3>{light.mode === 'flash' ? say.theRoomLight : say.howBrightItIs}</h3>
		<div class="pairs">
			<Pick
				label={say.inWords}
				options={WORDS}
				value={wordsOfEv(ev100)}
				onchoose={(words) => setEv(LIGHT_WORDS.find((one) => one.words === words)?.ev100 ?? ev100)}
			/>
			<Amount
				of="shot.light.ev100"
				label={say.asEvAtIso100}
				value={ev100}
				step={1 / 3}
				digits={1}
				onchange={setEv}
				{newGesture}
			/>
		</div>
		<fieldset class="pairs three">
			<legend>{say.orAsACameraOrMeter}</legend>
			<Amount
				of="job.shots.taken.fNumber"
				label="f/"
				value={metered.fNumber}
				digits={1}
				onchange={(fNumber, gesture) => meter({ fNumber }, gesture)}
				{newGesture}
			/>
			<Amount
				of="job.shots.taken.shutterS"
				shownAs="one-over"
				label={common.n1Over}
				value={metered.shutterS}
				digits={1}
				onchange={(shutterS, gesture) => meter({ shutterS }, gesture)}
				{newGesture}
			/>
			<Amount
				of="job.shots.taken.iso"
				label={common.iso}
				value={metered.iso}
				digits={0}
				onchange={(iso, gesture) => meter({ iso }, gesture)}
				{newGesture}
			/>
		</fieldset>

		<h3>{say.whatMayChange}</h3>
		<div class="pairs">
			<Choice
				label={common.iso}
				options={[
					{ value: 'rises', text: say.mayRise },
					{ value: 'stays', text: say.stays }
				]}
				value={isoRises ? 'rises' : 'stays'}
				onchoose={(next) => chooseIso(next === 'rises' ? 'rises' : heldIso)}
			/>
			{#if !isoRises}
				<Amount
					of="shot.choices.isoRule"
					label={common.at}
					value={heldIso}
					digits={0}
					onchange={(iso, gesture) => chooseIso(iso, gesture)}
					{newGesture}
				/>
			{/if}
		</div>
		<LightLimits {plan} />
	{/if}

	<SunFields {plan} />

	<div class="result" role="status">
		{#if plan.shown?.plan.fNumber != null}
			<p class="numbers">
				{fStop(plan.shown.plan.fNumber)}{light
					? `, ${exposureWords(plan.shown.plan.exposure)}`
					: ''}
			</p>
		{/if}
		<ul>
			{#each told as text, i (i)}<li><Named {text} {shot} /></li>{/each}
		</ul>
		{#if light}
			<p class="body">
				{say.toFlashUpTo1Fastest(
					shot.body.name,
					isoWords(shot.body.iso[0]),
					shot.body.iso[1],
					Math.round(1 / shot.body.syncSpeedS),
					Math.round(1 / shot.body.fastestShutterS)
				)}
			</p>
		{/if}
	</div>
</div>

<style>
	.three {
		grid-template-columns: repeat(3, minmax(0, 1fr));
	}
	legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
		padding-bottom: 0.2rem;
	}
	.result {
		border-top: 1px solid var(--rule);
		padding-top: 0.6rem;
	}
	.numbers {
		font-family: var(--font-serif);
		font-size: 1.25rem;
		color: var(--focus);
	}
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
	.body {
		color: var(--ink-2);
	}
</style>
