<script lang="ts">
	import { tryItText as say } from '$words/screens/welcome';
	import { commonText as common } from '$words/screens/common';
	import { setUp } from '$core/arrange/setUp';
	import type { Shot, Thing } from '$core/format/shot';
	import { chanceOf } from '$core/odds/chanceOf';
	import { nominalFNumber, nearestRung } from '$core/optics/fNumber';
	import { solutionOf, solve } from '$core/study/plan';
	import { ASSUMED } from '$core/tables/spreads';
	import { blankShot } from '$data/blankShot';
	import { LENSES } from '$data/kit';
	import { verdictWords } from '$words/day';
	import { distance, fStop } from '$words/numbers';
	import SmallFrame from '../drawing/SmallFrame.svelte';
	import { drawableOf } from '../drawing/drawable';
	import { settings } from '../shared/settings.svelte';
	import SmallStage from '../drawing/SmallStage.svelte';

	/** The real thing in small: somebody is moved, the f-number is turned, and the answer and the picture follow. */

	const NAMES = ['Mira', 'Teo', 'Aino'] as const;
	const BACK_PERSON = 2;
	const { shot: begun } = setUp(blankShot(say.tryIt), LENSES.portrait85, [2, 1], 'waist-up');
	const frontM = begun.people[0]?.eyeMidpoint.z ?? 0;
	const lanterns: Thing = {
		id: 'lanterns',
		label: 'lantern string',
		position: { x: 0, y: 2.1, z: frontM + 4 },
		widthM: 5,
		heightM: 0.4,
		detailMm: 90,
		intent: 'dissolved',
		look: 'lights'
	};
	const start: Shot = {
		...begun,
		light: { mode: 'ambient', ev100: 10 },
		people: begun.people.map((one, i) => ({ ...one, name: NAMES[i] ?? one.name })),
		things: [lanterns]
	};
	const BEGUN_M = 0.3;
	const LEAST_M = 0.15;
	const MOST_M = 3;

	let behindM = $state(BEGUN_M);
	/** A rung of the ladder; null: as Focalis has it. */
	let rung = $state<number | null>(null);

	const shot = $derived<Shot>({
		...start,
		people: start.people.map((one, i) =>
			i === BACK_PERSON ? { ...one, eyeMidpoint: { ...one.eyeMidpoint, z: frontM + behindM } } : one
		)
	});
	const chance = chanceOf(ASSUMED);
	const chosen = $derived(solve(shot, chance));
	const rungs = $derived(chosen.study.rungs.map(({ fNumber }) => fNumber));
	const picked = $derived(nearestRung(rungs, chosen.take?.fNumber ?? 0));
	const solution = $derived.by(() => {
		const fNumberExact = rung === null ? undefined : rungs[rung];
		if (fNumberExact === undefined) return chosen;
		return solutionOf(chosen.study, chosen.study.at(fNumberExact));
	});
	const shownFNumber = $derived(nominalFNumber(solution.take?.fNumber ?? 0));
	const words = $derived(verdictWords(solution, settings.units));

	let stageX = $state(320);
	/** How far somebody goes by a pixel of the stage, m. */
	const M_PER_PX = 0.012;
	let from: { readonly x: number; readonly behindM: number } | null = null;
	function take(event: PointerEvent & { currentTarget: HTMLElement }) {
		from = { x: event.clientX, behindM };
		event.currentTarget.setPointerCapture(event.pointerId);
	}
	function move(event: PointerEvent) {
		if (!from) return;
		const next = from.behindM + (event.clientX - from.x) * M_PER_PX;
		behindM = Math.min(MOST_M, Math.max(LEAST_M, next));
	}
</script>

<section aria-label={say.tryIt}>
	<p class="verdict" aria-live="polite">{words}</p>
	<div class="picture">
		<SmallFrame drawable={drawableOf(solution)} label={say.thePictureWithARingAround} />
	</div>
	<div
		class="stage"
		role="presentation"
		bind:clientWidth={stageX}
		onpointerdown={take}
		onpointermove={move}
		onpointerup={() => (from = null)}
		onpointercancel={() => (from = null)}
	>
		<SmallStage {shot} widthPx={stageX} heightPx={110} />
	</div>
	<div class="hands">
		<label>
			<span>{say.standsBehindTheOthers(NAMES[BACK_PERSON], distance(behindM, settings.units))}</span
			>
			<input type="range" min={LEAST_M} max={MOST_M} step="0.05" bind:value={behindM} />
		</label>
		<label>
			<span
				>{rung === null
					? say.chosenByFocalis(fStop(shownFNumber))
					: say.chosenByYou(fStop(shownFNumber))}</span
			>
			<input
				type="range"
				min="0"
				max={rungs.length - 1}
				step="1"
				value={rung ?? picked}
				aria-valuetext={fStop(shownFNumber)}
				oninput={(event) => (rung = Number(event.currentTarget.value))}
			/>
		</label>
		<button class="knob" type="button" disabled={rung === null} onclick={() => (rung = null)}
			>{common.letFocalisChoose}</button
		>
	</div>
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
		gap: 0.6rem;
	}
	.verdict {
		font-weight: 600;
		min-height: 2.9rem;
	}
	.picture {
		aspect-ratio: 3 / 2;
		max-height: 52vh;
	}
	.stage {
		touch-action: pan-y;
		user-select: none;
		cursor: ew-resize;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	.hands {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
		gap: 0.3rem 1rem;
		align-items: end;
	}
	label {
		display: flex;
		flex-direction: column;
		font-size: 0.875rem;
	}
	input {
		width: 100%;
		accent-color: var(--focus);
		min-height: 1.75rem;
	}
	@media (pointer: coarse) {
		input,
		.knob {
			min-height: 2.75rem;
		}
	}
	@media (max-width: 56rem) {
		.hands {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
