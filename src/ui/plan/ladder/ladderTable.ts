import { ladderTableText as say } from '$words/screens/plan/ladder';
import { commonText as common } from '$words/screens/common';
import type { State } from '$core/format/plan';
import { shareOfBest, SOFT_SHARE, type MeasuredSharpness } from '$core/format/sharpness';
import { nominalFNumber } from '$core/optics/fNumber';
import { nominalIso } from '$core/light/dials';
import { shutterWords } from '$words/light';
import type { Exposure } from '$core/light/exposure';
import type { LightFlag } from '$core/format/plan';
import { rowName } from '$words/rows';
import { stateOf } from '$core/sharpness/state';
import { exposureOf } from '$core/study/light';
import type { Solution } from '$core/study/plan';
import { BACKGROUND_ID } from '$core/study/scene';
import { faceRatios, isDiffracted, thingResults } from '$core/study/take';
import { personName } from '$words/names';
import type { OddsTable } from '../../../workers/ports';
import { type ObjectRef } from '../../drawing/stageObjects';
import { oddsAt } from '../view/plan.svelte';
import { FLAG_WORDS } from '$words/light';

/** The ladder as a table: one column per f-number, one line per row of people and per thing. */

interface Column {
	readonly fNumber: number;
	readonly fNumberExact: number;
	readonly isPick: boolean;
	readonly isDiffracted: boolean;
}

export type Cell =
	| { readonly kind: 'faces'; readonly state: State; readonly held: number; readonly of: number }
	| { readonly kind: 'face'; readonly state: State; readonly ratio: number }
	| { readonly kind: 'thing'; readonly met: boolean; readonly state: string }
	| {
			readonly kind: 'number';
			readonly text: string;
			/** What is wrong with it, in words; empty when all is well. */
			readonly wrong: string;
	  };

interface Line {
	readonly key: string;
	readonly label: string;
	/** What selecting this line selects. */
	readonly ref: ObjectRef;
	readonly isSingle: boolean;
	/** One for each column; null where there is nothing to say. */
	readonly cells: readonly (Cell | null)[];
}

export interface LadderTable {
	readonly columns: readonly Column[];
	readonly lines: readonly Line[];
}

/**
 * @param opened    the row or person whose single faces are shown
 * @param sharpness of the lens, where it was measured on the bench
 */
export function ladderTable(
	solution: Solution,
	opened: ObjectRef | null,
	odds?: OddsTable | null,
	sharpness: MeasuredSharpness | null = null
): LadderTable {
	const { rungs, scene, shot, pick } = solution.study;
	const ratios = rungs.map(faceRatios);
	const things = rungs.map(thingResults);
	const columns = rungs.map((take) => ({
		fNumber: nominalFNumber(take.fNumber),
		fNumberExact: take.fNumber,
		isPick: take.fNumber === pick?.fNumber,
		isDiffracted: isDiffracted(take)
	}));

	const faceLine = (personId: string): Line => ({
		key: personId,
		label: personName(shot, personId),
		ref: { kind: 'person', id: personId },
		isSingle: true,
		cells: ratios.map((all) => {
			const ratio = all.get(personId);
			return ratio === undefined ? null : { kind: 'face', ratio, state: stateOf(ratio) };
		})
	});
	const rowLines = scene.rows.flatMap(({ members }, index): Line[] => {
		const ids = members.map(({ personId }) => personId);
		const [first] = ids;
		if (first === undefined) return [];
		if (ids.length === 1) {
			const place = rowName(index, scene.rows.length);
			const line = faceLine(first);
			return [{ ...line, isSingle: false, label: place ? `${place}: ${line.label}` : line.label }];
		}
		const isOpen = (opened?.kind === 'row' || opened?.kind === 'person') && ids.includes(opened.id);
		const singles = isOpen ? ids.map(faceLine) : [];
		const label = rowName(index, scene.rows.length) || 'everyone';
		const cells = ratios.map((all) => facesCell(ids.flatMap((id) => all.get(id) ?? [])));
		// singles come before, since the whole table is turned back row first
		return [
			...singles.toReversed(),
			{ key: `row ${first}`, label, ref: { kind: 'row', id: first }, isSingle: false, cells }
		];
	});
	const thingCells = (id: string): Line['cells'] =>
		things.map((all) => {
			const result = all.find((one) => one.id === id);
			if (!result || result.met === null) return null;
			return { kind: 'thing', met: result.met, state: result.state };
		});
	const thingLines = shot.things
		.filter(({ intent }) => intent !== 'any')
		.map(({ id, label }): Line => ({
			key: id,
			label,
			ref: { kind: 'thing', id },
			isSingle: false,
			cells: thingCells(id)
		}));
	const backgroundLine: Line[] = shot.background
		? [
				{
					key: BACKGROUND_ID,
					label: common.background,
					ref: { kind: 'camera', id: 'camera' },
					isSingle: false,
					cells: thingCells(BACKGROUND_ID)
				}
			]
		: [];
	const lines = [
		...rowLines.toReversed(),
		...thingLines,
		...backgroundLine,
		...lightLines(solution),
		...(sharpness ? [sharpnessLine(solution, sharpness)] : [])
	];
	// the line is there before its numbers are, so that nothing jumps while they are counted
	return { columns, lines: odds === undefined ? lines : [...lines, oddsLine(solution, odds)] };
}

/** What the lens gives of its best, in the centre, where that was measured. */
function sharpnessLine({ study: { rungs } }: Solution, sharpness: MeasuredSharpness): Line {
	return {
		key: 'sharpness',
		label: say.lensPercentOfItsBest,
		ref: { kind: 'camera', id: 'camera' },
		isSingle: false,
		cells: rungs.map(({ fNumber }) => {
			const share = shareOfBest(sharpness, fNumber);
			if (share === null) return null;
			const wrong = share < SOFT_SHARE ? say.theLensItselfIsSofterHere : '';
			return { kind: 'number', text: String(Math.round(100 * share)), wrong };
		})
	};
}

/** Good frames in a hundred. */
function oddsLine({ study: { rungs } }: Solution, odds: OddsTable | null): Line {
	return {
		key: 'odds',
		label: say.goodOf100Frames,
		ref: { kind: 'camera', id: 'camera' },
		isSingle: false,
		cells: rungs.map((take) => {
			// what was counted in many frames, else what the pick went by
			const share = oddsAt(odds, take.fNumber)?.share ?? take.candidate.chance.keeperShare(take);
			return { kind: 'number', text: String(Math.round(share * 100)), wrong: '' };
		})
	};
}

/** Shutter and ISO, with flash its power instead; nothing while nothing is known of the light. */
function lightLines({ study: { rungs, shot } }: Solution): Line[] {
	if (!shot.light) return [];
	const exposures = rungs.map(exposureOf);
	const line = (
		key: string,
		label: string,
		flags: readonly LightFlag[],
		words: (exposure: Exposure) => string
	): Line => ({
		key: `light ${key}`,
		label,
		ref: { kind: 'camera', id: 'camera' },
		isSingle: false,
		cells: exposures.map((exposure) => {
			if (!exposure) return null;
			const wrong = exposure.flags.filter((flag) => flags.includes(flag));
			return {
				kind: 'number',
				text: words(exposure),
				wrong: wrong.map((flag) => FLAG_WORDS[flag]).join(', ')
			};
		})
	});
	const iso = line('iso', 'ISO', ['iso-high', 'iso-above-comfort'], (one) =>
		String(nominalIso(one.iso))
	);
	if (shot.light.mode === 'flash') {
		const power = line(
			'power',
			say.flashPower1,
			['no-power', 'too-bright', 'sync', 'room-light'],
			({ flashPower }) => shortPower(flashPower ?? 1)
		);
		return [power, iso];
	}
	return [
		line('shutter', say.shutter1, ['too-bright', 'too-slow'], ({ shutterS }) =>
			shutterWords(shutterS).replace(/^1\//, '')
		),
		iso
	];
}

/** One over "8", "8+⅓". */
function shortPower(power: number): string {
	const thirds = Math.round(3 * Math.log2(power));
	if (thirds >= 0) return '1';
	const below = Math.floor(thirds / 3);
	return `${2 ** -below}${['', '+⅓', '+⅔'][thirds - 3 * below]}`;
}

function facesCell(ratios: readonly number[]): Cell | null {
	if (ratios.length === 0) return null;
	const held = ratios.filter((ratio) => ratio <= 1).length;
	return { kind: 'faces', state: stateOf(Math.max(...ratios)), held, of: ratios.length };
}
