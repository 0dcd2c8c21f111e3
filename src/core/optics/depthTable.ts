import type { Lens } from '../format/shot';
import { depthOfField } from './depthOfField';
import { nominalFNumber, ladderOf } from './fNumber';
import { focusAt } from './focus';

/** A lens's depth of field by f-number and distance, as tables are printed. */

interface Depth {
	/** Depth of field in front of and behind the plane of focus, m; Infinity where it does not end. */
	readonly beforeM: number;
	readonly behindM: number;
}

export interface DepthTable {
	/** As engraved, in whole stops from the widest. */
	readonly fNumbers: readonly number[];
	readonly rows: readonly { readonly distanceM: number; readonly depths: readonly Depth[] }[];
	/** Focused there the zone reaches to infinity, m, by f-number: f²/(N c) + f (Ray (from memory)). */
	readonly hyperfocalM: readonly number[];
}

/** Distances that are printed, m: in thirds of a doubling or so. */
const DISTANCES_M = [0.3, 0.5, 0.7, 1, 1.5, 2, 2.5, 3, 4, 5, 7, 10, 15, 20, 30] as const;

/** Rungs of a whole stop. */
const PER_STOP = 3;

/**
 * @param toleranceMm the largest blur that still counts as sharp
 */
export function depthTable(lens: Lens, focalMm: number, toleranceMm: number): DepthTable {
	const rungs = ladderOf(lens, focalMm).filter((_, i) => i % PER_STOP === 0);
	const optic = { focalMm, fieldCurvature: 0 };
	return {
		fNumbers: rungs.map(nominalFNumber),
		rows: DISTANCES_M.filter((distanceM) => distanceM >= lens.closestFocusM).map((distanceM) => ({
			distanceM,
			depths: rungs.map((fNumber) => {
				const { nearM, farM } = depthOfField(focusAt(optic, distanceM), fNumber, toleranceMm);
				return { beforeM: distanceM - nearM, behindM: farM - distanceM };
			})
		})),
		hyperfocalM: rungs.map((fNumber) => (focalMm ** 2 / (fNumber * toleranceMm) + focalMm) / 1000)
	};
}
