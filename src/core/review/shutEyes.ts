import type { MeasuredFace } from '../format/review';

/**
 * Whether eyes are shut: height over width of the lids' opening against that person's own in the set (Soukupova
 * and Cech, "Real-time eye blink detection using facial landmarks", 2016, from memory).
 */

/** Open so little of what is usual for somebody, eyes are shut. */
const SHUT_SHARE = 0.72;
/** Of somebody seen once: open less than that, whoever it is. */
const SHUT_ALONE = 0.27;
/** The usual is what three of four frames reach: one who blinks often still has it. */
const USUAL = 0.75;
/** Fewer frames do not say what is usual. */
const LEAST_FRAMES = 3;

/** How far both eyes are open, height over width. */
export const opennessOf = ({ left, right }: Pick<MeasuredFace, 'left' | 'right'>): number =>
	(left.openness + right.openness) / 2;

/** For each frame of one person whether their eyes are shut. */
export function areShut(openness: readonly number[]): boolean[] {
	const sorted = openness.toSorted((a, b) => a - b);
	const usual = sorted[Math.min(sorted.length - 1, Math.floor(USUAL * sorted.length))] ?? 0;
	const least = sorted.length < LEAST_FRAMES ? SHUT_ALONE : SHUT_SHARE * usual;
	return openness.map((one) => one < least);
}
