import type { Build } from '../tables/heads';
import { isHuman } from '../tables/heads';

/** How well the sizes of a face tell its distance (section 10 of the model). */

/** Eyes of adults 63 mm apart, standard deviation 3.6: Dodgson, 2004 (from memory); of others as a share. */
const EYES_SHARE = 3.6 / 63;
/** Animals differ more (common practice, no source). */
const ANIMAL_SHARE = 0.15;
/** An iris is 11.7 mm across, standard deviation 0.5 (from memory), whoever's it is. */
const IRIS_MM = 11.7;
const IRIS_SHARE = 0.5 / 11.7;
/** A smaller one is measured too badly, px. */
const LEAST_IRIS_PX = 24;

/** A depth and how far off it may be, both in m. */
export interface UnsureDepth {
	readonly depthM: number;
	readonly sigmaM: number;
}

/**
 * The depth of a head by all that tells it: the size of the head, the width of the iris where it is large
 * enough, weighted by inverse variance; and the pixels' own share, added as squares.
 *
 * @param fittedM     depth by the head's size
 * @param pixelSigmaM what the pixels leave open of it
 * @param irisPx      width of the iris; null where it was not found
 */
export function depthByRulers(
	build: Build,
	fittedM: number,
	pixelSigmaM: number,
	irisPx: number | null,
	focalPx: number
): UnsureDepth {
	const share = isHuman(build) ? EYES_SHARE : ANIMAL_SHARE;
	if (!isHuman(build) || irisPx === null || irisPx < LEAST_IRIS_PX) {
		return { depthM: fittedM, sigmaM: Math.hypot(share * fittedM, pixelSigmaM) };
	}
	const byIrisM = (focalPx * IRIS_MM) / irisPx / 1000;
	const [a, b] = [1 / share ** 2, 1 / IRIS_SHARE ** 2];
	const depthM = (a * fittedM + b * byIrisM) / (a + b);
	return { depthM, sigmaM: Math.hypot(depthM / Math.sqrt(a + b), pixelSigmaM) };
}
