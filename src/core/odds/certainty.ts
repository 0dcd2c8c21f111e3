/** How sure one can be of a share that was counted, and how many frames to take. */

/** Normal quantile of a two-sided 95%. */
const Z95 = 1.959963984540054;

export interface ShareInterval {
	readonly low: number;
	readonly high: number;
}

/**
 * The 95% interval of a share. Source: Wilson, "Probable inference", 1927.
 * @example wilson(8, 10) // { low: 0.490, high: 0.943 }
 */
export function wilson(hits: number, of: number): ShareInterval {
	if (of === 0) return { low: 0, high: 1 };
	const p = hits / of;
	const zz = (Z95 * Z95) / of;
	const middle = (p + zz / 2) / (1 + zz);
	const half = (Z95 * Math.sqrt((p * (1 - p)) / of + zz / (4 * of))) / (1 + zz);
	return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/**
 * Frames to take to be 95% sure of one keeper: ceil(ln 0.05 / ln(1 - p)).
 *
 * @param share chance p of a keeper in one frame
 * @returns 1 when every frame is one, null when none is
 */
export function framesFor95(share: number): number | null {
	if (share <= 0) return null;
	if (share >= 1) return 1;
	return Math.max(1, Math.ceil(Math.log(0.05) / Math.log(1 - share) - 1e-9));
}

/**
 * Chance that nobody of a group blinks in a frame: (1 - x t)^people, x blinks a second of t seconds
 * each. Source: Svenson and Barnes, "Blink-free photos, guaranteed", 2006 (from memory).
 */
export function nobodyBlinks(people: number, blinksPerS: number, blinkS: number): number {
	return (1 - blinksPerS * blinkS) ** people;
}
