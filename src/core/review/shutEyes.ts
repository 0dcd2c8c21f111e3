import type { MeasuredFace } from '../format/review';

/**
 * Whether eyes are shut: height over width of the lids' opening against that person's own in the set (Soukupova
 * and Cech, "Real-time eye blink detection using facial landmarks", 2016, from memory).
 */

/** Open so little of what is usual for somebody, eyes are shut. */
const SHUT_SHARE = 0.72;
/** For somebody seen once: an eye open less than this is shut, whoever it is. */
const SHUT_ALONE = 0.27;
/** The usual is what three of four frames reach: one who blinks often still has it. */
const USUAL_QUANTILE = 0.75;
/** Fewer frames do not show what is usual for somebody. */
const LEAST_FRAMES = 3;

/** How far both eyes are open, height over width. */
export const opennessOf = ({ left, right }: Pick<MeasuredFace, 'left' | 'right'>): number =>
	(left.openness + right.openness) / 2;

/** For each frame of one person whether their eyes are shut; not where nobody knows how far they are open. */
export function areShut(openness: readonly (number | null)[]): boolean[] {
	const known = openness.filter((one) => one !== null);
	const least = known.length < LEAST_FRAMES ? SHUT_ALONE : SHUT_SHARE * usualOf(known);
	return openness.map((one) => one !== null && one < least);
}

/** An eye less like an open one than this is shut; the bound is lower where nobody knows what is usual. */
export const SHUT_LIKENESS = 0.78;
const UNLIKE_ALONE = 0.6;
/** Where even the usual is no more like it, what lies behind a profile is looked at rather than the eye. */
const LEAST_USUAL = 0.85;

/**
 * For each frame of one person whether the eye that was pointed at in another one is shut: by how like what the lids leave open
 * is to an open one (measured on practice frames); not where nobody knows.
 */
export function areUnlike(likeness: readonly (number | null)[]): boolean[] {
	const known = likeness.filter((one) => one !== null);
	const isUsual = usualOf(known) >= LEAST_USUAL;
	const least = known.length < LEAST_FRAMES ? UNLIKE_ALONE : isUsual ? SHUT_LIKENESS : -1;
	return likeness.map((one) => one !== null && one < least);
}

/** What three of four reach. */
function usualOf(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	return sorted[Math.min(sorted.length - 1, Math.floor(USUAL_QUANTILE * sorted.length))] ?? 0;
}
