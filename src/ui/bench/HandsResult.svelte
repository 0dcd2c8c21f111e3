<script lang="ts">
	import { handsResultText as say } from '$words/screens/bench/place';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import { pxPerMmOf } from '$core/bench/apertureSeries';
	import { handsOf, heldShare, type ChartMeasurement } from '$core/bench/hands';
	import type { MeasuredChart } from '$core/bench/measuredChart';
	import type { Body, Lens } from '$core/format/shot';
	import { stabilisedStops } from '$core/light/shutterFloor';
	import { shakeUnitMmPerS } from '$core/odds/conditions';
	import { toleranceMm } from '$core/sharpness/tolerance';
	import { withAssumed } from '$core/tables/spreads';
	import { steadyShutterWords, HANDS_PROBLEM_WORDS } from '$words/bench';
	import { shutterWords } from '$words/light';
	import { decimal, fineLength } from '$words/numbers';
	import { useKit } from '../kit/kit.svelte';
	import { letOddsUse } from '../kit/letOddsUse';
	import type { Session } from '../keeping/session.svelte';
	import { settings } from '../shared/settings.svelte';
	import OwnGear from './OwnGear.svelte';

	/** How steady the hands are, at which shutter, and how far the body sways. */
	interface Props {
		frames: readonly MeasuredChart[];
		body: Body;
		lens: Lens;
		session: Session;
	}

	let { frames, body, lens, session }: Props = $props();
	const kit = useKit();
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));

	const focalMm = $derived(frames[0]?.facts.focalMm ?? null);
	const reading = $derived.by(() => {
		const pxPerMm = frames[0] ? pxPerMmOf(frames[0], bodies) : null;
		return focalMm && pxPerMm
			? handsOf(frames, focalMm, pxPerMm)
			: ({ ok: false, problem: 'no-focal' } as const);
	});
	const hands = $derived(reading.ok ? reading.hands : null);
	const shake = $derived(hands?.shakeMmPerS ?? null);
	const swayMm = $derived(hands?.swayMm ?? null);

	/** Full stops that one shoots by hand at, one over these. */
	const SHUTTERS = [1000, 500, 250, 125, 60, 30, 15, 8, 4];
	/** The share of frames that counts as holding a shutter. */
	const HELD_SHARE = 0.8;
	const allowedMm = $derived(toleranceMm({ standard: 'screen' }, body.sensor));
	const slowest = $derived.by(() => {
		if (!shake) return null;
		const held = SHUTTERS.findLast((n) => heldShare(shake.value, 1 / n, allowedMm) >= HELD_SHARE);
		return held ? 1 / held : null;
	});
	const unit = $derived(
		shakeUnitMmPerS(body.sensor, focalMm ?? lens.focalMm[0], stabilisedStops(body, lens))
	);
	const blended = (key: 'shake' | 'handheldMm', value: number, frames: number) => ({
		value: withAssumed(key, value, frames),
		frames
	});
	const found = $derived({
		...(shake ? { shake: blended('shake', shake.value / unit, shake.count) } : {}),
		...(swayMm ? { handheldMm: blended('handheldMm', swayMm.value, swayMm.count) } : {})
	});
	const isUsed = $derived(
		Object.entries(found).every(
			([key, { value }]) => Math.abs(kit.contents.spreads[key as 'shake'] - value) < 1e-9
		)
	);
	const within = ({ low, high }: ChartMeasurement, words: (value: number) => string) =>
		say.toInNineteenCasesOutOf(words(low), words(high));
	const times = (mmPerS: number) => `${decimal(mmPerS / unit, 2)} ×`;
	const sway = (mm: number) => fineLength(mm, settings.units);
</script>

{#if !reading.ok}
	<p role="status"><strong>{HANDS_PROBLEM_WORDS[reading.problem]}</strong></p>
{:else if hands}
	<p role="status">
		<strong>
			{#if slowest && hands.shakeMmPerS}
				{steadyShutterWords(
					focalMm ?? 0,
					slowest,
					heldShare(hands.shakeMmPerS.value, slowest, allowedMm)
				)}
			{:else if hands.shakeMmPerS}
				{say.atNoShutterDownTo1}
			{:else}
				{say.noShakeCouldBeSeenShoot}
			{/if}
		</strong>
	</p>
	{#if shake}
		<p>
			{say.shakeWhatASmallPrintTolerates(times(shake.value), within(shake, times))}
		</p>
	{/if}
	{#if swayMm}
		<p>
			{say.youSwayForwardAndBack(sway(swayMm.value), within(swayMm, sway))}
		</p>
	{/if}
	<details>
		<summary>{say.frameByFrame}</summary>
		<ul>
			{#each hands.frames as { name, shutterS, streakPx }, i (i)}
				<li><bdi>{name}</bdi>{say.movedPx(shutterWords(shutterS), decimal(streakPx, 1))}</li>
			{/each}
		</ul>
	</details>
	<OwnGear {frames}>
		<Button
			size="xs"
			disabled={isUsed}
			onclick={() => letOddsUse(kit, session.bench, say.theHandsWereMeasured, { spreads: found })}
			>{isUsed ? common.theOddsUseIt : common.useItForTheOdds}</Button
		>
	</OwnGear>
{/if}

<style>
	@media (pointer: coarse) {
		summary {
			min-height: 2.75rem;
			align-content: center;
		}
	}
</style>
