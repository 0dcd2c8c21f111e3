import type { Lens } from '../format/shot';
import { RULES } from '../tables/rules';

/**
 * The f-number scale. Exact values are 2^(i/6): a third of a stop is a factor of 2^(1/6), a stop the
 * square root of two. Engraved values are the usual rounded ones (ISO 517 for the whole stops,
 * from memory; the thirds as engraved, common practice).
 */

/** Engraved thirds from i = -3 (0.7) on. */
const NOMINAL = [
	0.7, 0.8, 0.9, 1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1,
	8, 9, 10, 11, 13, 14, 16, 18, 20, 22, 25, 29, 32, 36, 40, 45, 51, 57, 64
] as const;
const FIRST_INDEX = -3;

/** Exact f-number of the i-th third of a stop; 0 is f/1. */
export function fNumberOfThird(index: number): number {
	return 2 ** (index / 6);
}

/** Third of a stop nearest to an f-number, in stops. */
function nearestThird(fNumber: number): number {
	return Math.round(6 * Math.log2(fNumber));
}

/**
 * The nominal f-number, as it is engraved on a lens: the nearest third of a stop. Source: ISO 517 (from memory).
 *
 * @returns one of 1, 1.1, 1.2, 1.4 …; two significant digits beyond the engraved series
 * @example nominalFNumber(5.0397) // 5
 */
export function nominalFNumber(fNumber: number): number {
	const index = nearestThird(fNumber);
	return NOMINAL[index - FIRST_INDEX] ?? Number(fNumberOfThird(index).toPrecision(2));
}

/**
 * Stops from one f-number to another; positive when the second lets in less light.
 * @example stopsBetween(2.8, 4) // about 1
 */
export function stopsBetween(from: number, to: number): number {
	return 2 * Math.log2(to / from);
}

/** Factor in f-number, and so in blur, of a number of stops. */
export function factorOfStops(stops: number): number {
	return 2 ** (stops / 2);
}

/** Widest f-number of a lens at a focal length, linear between the ends of a zoom. */
export function widestFNumber(lens: Lens, focalMm: number): number {
	const [short, long] = lens.focalMm;
	const [atShort, atLong] = lens.widestFNumber;
	return long > short
		? atShort + ((atLong - atShort) * (focalMm - short)) / (long - short)
		: atShort;
}

/** Whether a lens has no other f-number than its widest, as a telephone's. */
export const hasFixedAperture = ({
	widestFNumber: [short, long],
	smallestFNumber
}: Lens): boolean => smallestFNumber <= Math.min(short, long) * (1 + 1e-9);

/**
 * All rungs of a lens at a focal length, exact f-numbers in third stops, widest first: from the
 * first that is not much below the widest to the last not much above the smallest (section 3). A lens whose whole range
 * falls between two thirds gets the nearest one.
 */
export function ladderOf(lens: Lens, focalMm: number): number[] {
	const widest = widestFNumber(lens, focalMm);
	const first = Math.ceil(6 * Math.log2(RULES.ladderFromShare * widest));
	const last = Math.floor(6 * Math.log2(RULES.ladderToShare * lens.smallestFNumber));
	if (last < first) return [fNumberOfThird(nearestThird(widest))];
	return Array.from({ length: last - first + 1 }, (_, i) => fNumberOfThird(first + i));
}

/** Place on the ladder of the rung nearest to an f-number, in stops. */
export function nearestRung(ladder: readonly number[], fNumber: number): number {
	const away = ladder.map((rung) => Math.abs(stopsBetween(rung, fNumber)));
	return away.indexOf(Math.min(...away));
}
