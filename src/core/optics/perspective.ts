import { RULES } from '../tables/rules';

/**
 * How a face reads depends on the distance alone: the nose stands 88 mm before the ears, 30 mm of
 * it before the eyes. Nose over ears = (d + 0.088) / (d - 0.030), against the same at 3 m, from
 * where faces read as usual.
 */

const noseOverEars = (distanceM: number) => (distanceM + 0.088) / (distanceM - 0.03);

/**
 * How much larger the nose stands against the ears than from the usual distance.
 *
 * @returns a share: 0.05 is 5% larger; negative is flatter; Infinity at the tip of the nose
 * @example nosePerspective(1) // 0.079
 */
export function nosePerspective(distanceM: number): number {
	return distanceM <= 0.03
		? Infinity
		: noseOverEars(distanceM) / noseOverEars(RULES.usualDistanceM) - 1;
}

export type Impression = 'flatter' | 'usual' | 'strong' | 'distorted';

/** Where one impression ends and the next begins: common practice, no source. */
const FLATTER_BELOW = -0.015;
export const STRONG_FROM = 0.04;
const DISTORTED_FROM = 0.12;

export function impressionOf(perspective: number): Impression {
	if (perspective < FLATTER_BELOW) return 'flatter';
	if (perspective < STRONG_FROM) return 'usual';
	return perspective < DISTORTED_FROM ? 'strong' : 'distorted';
}

/**
 * How much too wide a head is drawn off the axis, away from the middle: a small ball at an angle a is
 * imaged 1 / cos² a long and 1 / cos a high, so 1 / cos a too long (central projection, derived).
 *
 * @param cosOffAxis cosine of the angle off the axis
 * @returns a share: 0.25 is a quarter too wide
 * @example edgeStretch(Math.cos(0.6435)) // 0.25, the edge of 24 mm on full frame
 */
export const edgeStretch = (cosOffAxis: number): number => 1 / cosOffAxis - 1;
