<script lang="ts">
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
	/** Fewer tries say little of how they spread. */
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
		letOddsUse(kit, session.bench, 'the lens’s focus was measured', {
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
					{offMm < 0 ? 'behind' : 'in front'}
				</li>
			{/each}
		</ul>
	{/if}
	<OwnGear {frames}>
		<Button size="xs" disabled={isUsed} onclick={use}
			>{isUsed ? 'The odds use it' : 'Use it for the odds'}</Button
		>
	</OwnGear>
	<h3>The body’s own correction</h3>
	<p>
		If the body can correct a lens in steps: shoot the scale at two settings or more, and note each
		series here.
	</p>
	<div class="row">
		<NumberField
			label="this series was shot at setting"
			value={setting}
			low={-50}
			high={50}
			digits={0}
			onchange={(value) => (setting = Math.round(value))}
			newGesture={() => ''}
		/>
		<button class="knob" type="button" onclick={note}>Note this series</button>
	</div>
	{#if noted.length > 0}
		<p role="status">
			Noted: {noted.map((one) => one.setting).join(', ')}.
			{zero === null
				? 'One more setting, and the one that brings it to zero is known.'
				: `Set the body to ${Math.round(zero)}.`}
		</p>
	{/if}
{/if}
{#if failed.length > 0}
	<details open={!bias}>
		<summary>{failed.length} say nothing</summary>
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
