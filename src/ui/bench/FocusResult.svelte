<script lang="ts">
	import { focusResultText as say } from '$words/screens/bench/place';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import { pxPerMmOf } from '$core/bench/apertureSeries';
	import { focusBias, focusTry, settingOfNoBias } from '$core/bench/focusScale';
	import type { MeasuredChart } from '$core/bench/measuredChart';
	import { focusUnitMm } from '$core/odds/conditions';
	import type { Body } from '$core/format/shot';
	import { withAssumed } from '$core/tables/spreads';
	import { biasWords, TRY_PROBLEM_WORDS } from '$words/bench';
	import { fineLength } from '$words/numbers';
	import type { KitLens } from '$data/store/database';
	import { useKit } from '../kit/kit.svelte';
	import { letOddsUse } from '../kit/letOddsUse';
	import type { Session } from '../keeping/session.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import { settings } from '../shared/settings.svelte';
	import { CORRECTED } from './parts/bench.svelte';
	import OwnGear from './OwnGear.svelte';

	/** Whether the lens focuses in front or behind, by how much, and which correction mends it. */
	interface Props {
		frames: readonly MeasuredChart[];
		entry: KitLens;
		body: Body;
		session: Session;
	}

	let { frames, entry, body, session }: Props = $props();
	const kit = useKit();
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));
	/** With fewer tries the spread is not told. */
	const LEAST_TRIES = 6;

	const tried = $derived(
		frames.map((frame) => {
			const { focalMm } = frame.facts;
			const pxPerMm = pxPerMmOf(frame, bodies);
			return focalMm && pxPerMm
				? { frame, reading: focusTry(frame, focalMm, pxPerMm) }
				: { frame, reading: { ok: false, problem: 'no-focal' } as const };
		})
	);
	const bias = $derived(
		focusBias(tried.flatMap(({ reading }) => (reading.ok ? [reading.try] : [])))
	);
	const failed = $derived(
		tried.flatMap(({ frame, reading }) =>
			reading.ok ? [] : [{ name: frame.name, words: TRY_PROBLEM_WORDS[reading.problem] }]
		)
	);

	let setting = $state(0);
	const noted = $derived(CORRECTED.get(entry.lens.name) ?? []);
	const zero = $derived(settingOfNoBias(noted));
	function note() {
		if (!bias) return;
		const others = noted.filter((one) => one.setting !== setting);
		const all = [...others, { setting, biasMm: bias.biasMm }];
		CORRECTED.set(
			entry.lens.name,
			all.toSorted((a, b) => a.setting - b.setting)
		);
	}

	const known = $derived(kit.contents.spreads.lensBias?.[entry.lens.name]);
	const isUsed = $derived(known !== undefined && known.biasMm === bias?.biasMm);
	function use() {
		if (!bias) return;
		const unit = focusUnitMm({ lens: entry.lens, body }, entry.lens.focalMm[0]);
		const { biasMm, spreadMm, tries } = bias;
		const frames = tries.length;
		const value = withAssumed('middlePoint', spreadMm / unit, frames);
		letOddsUse(kit, session.bench, say.theLenssFocusWasMeasured, {
			spreads: frames >= LEAST_TRIES ? { middlePoint: { value, frames } } : {},
			lensBias: { [entry.lens.name]: { biasMm, frames } }
		});
	}
</script>

{#if bias}
	<p role="status"><strong>{biasWords(bias, settings.units)}</strong></p>
	{#if bias.tries.length > 1}
		<ul>
			{#each bias.tries as { name, offMm }, i (i)}
				<li>
					<bdi>{name}</bdi>: {fineLength(offMm, settings.units)}
					{offMm < 0 ? 'behind' : common.inFront}
				</li>
			{/each}
		</ul>
	{/if}
	<OwnGear {frames}>
		<Button size="xs" disabled={isUsed} onclick={use}
			>{isUsed ? common.theOddsUseIt : common.useItForTheOdds}</Button
		>
	</OwnGear>
	<h3>{say.theBodysOwnCorrection}</h3>
	<p>
		{say.ifTheBodyCanCorrectA}
	</p>
	<div class="row">
		<NumberField
			label={say.thisSeriesWasShotAtSetting}
			value={setting}
			low={-50}
			high={50}
			digits={0}
			onchange={(value) => (setting = Math.round(value))}
			newGesture={() => ''}
		/>
		<button class="knob" type="button" onclick={note}>{say.noteThisSeries}</button>
	</div>
	{#if noted.length > 0}
		<p role="status">
			{say.noted(
				noted.map((one) => one.setting).join(', '),
				zero === null ? say.oneMoreSettingAndFocalisCan : say.setTheBodyTo(Math.round(zero))
			)}
		</p>
	{/if}
{/if}
{#if failed.length > 0}
	<details open={!bias}>
		<summary>{say.couldNotBeUsed(failed.length)}</summary>
		<ul>
			{#each failed as { name, words }, i (i)}<li><bdi>{name}</bdi>: {words}</li>{/each}
		</ul>
	</details>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: end;
	}
	@media (pointer: coarse) {
		button,
		summary {
			min-height: 2.75rem;
			align-content: center;
		}
	}
</style>
