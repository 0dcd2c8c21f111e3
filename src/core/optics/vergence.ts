/** Points at the lens or behind it count as this near: their blur is huge but finite. */
const NEAREST_M = 1e-3;

/**
 * Vergence: one over depth. Blur is linear in it, so the sharp zone is a symmetric interval of it
 * and the best focus is that interval's middle.
 *
 * @param depthM depth along the optical axis, m
 * @returns 1/m, 0 at infinity
 */
export function vergence(depthM: number): number {
	return 1 / Math.max(depthM, NEAREST_M);
}

/** The depth of a vergence, m; Infinity at a vergence of 0 and beyond. */
export function depthOfVergence(perM: number): number {
	return perM > 0 ? 1 / perM : Infinity;
}
