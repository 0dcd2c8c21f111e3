import { LEAST_STREAK_PX } from '../measure/spread';
import { conditionsOf } from '../odds/conditions';
import { ASSUMED } from '../tables/spreads';
import type { SetOfShot } from './learn';
import type { ReviewedFrame } from './reviewSet';

/** How fast a picture shook, or that it shook less than could be seen. */
export interface Rate {
	readonly rate: number;
	readonly isLess: boolean;
}

/** Fewer that were seen decide nothing. */
const LEAST_SEEN = 3;

/**
 * The scale of Rayleigh's distribution that makes the rates likeliest, those that are only known to be less included
 * (left-censored maximum likelihood); null where too few were seen. By bisection of the slope.
 */
export function rayleighScale(rates: readonly Rate[]): number | null {
	const seen = rates.filter(({ isLess }) => !isLess);
	if (seen.length < LEAST_SEEN) return null;
	const squares = seen.reduce((sum, { rate }) => sum + rate * rate, 0);
	// the derivative of the log likelihood by the square of the scale, times its square
	const slope = (square: number) =>
		squares / 2 -
		seen.length * square -
		rates
			.filter(({ isLess }) => isLess)
			.reduce((sum, { rate }) => {
				const half = (rate * rate) / 2;
				return sum + half / Math.expm1(half / square);
			}, 0);
	let [low, high] = [0, squares / seen.length];
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (slope(middle) > 0) low = middle;
		else high = middle;
	}
	return Math.sqrt(high);
}

/** How fast the picture shook on the sensor in each frame, against what is allowed at one over the focal length. */
export function shakeRates({ shot, set, take, handling }: SetOfShot): Rate[] {
	const { sensor } = shot.body;
	const { shakeMmPerS } = conditionsOf(take.scene, take.candidate, handling, ASSUMED);
	const perS = shakeMmPerS / ASSUMED.shake;
	// on a tripod nothing shakes
	if (perS === 0) return [];
	return set.frames.flatMap((reviewed) => {
		const { shutterS } = reviewed.frame.facts;
		const streakPx = commonStreakPx(reviewed);
		if (!shutterS || streakPx === null) return [];
		const { widthPx, heightPx } = reviewed.frame;
		const mm = (px: number) => (px * sensor.widthMm) / Math.max(widthPx, heightPx);
		const isLess = streakPx === 0;
		return [{ rate: mm(isLess ? LEAST_STREAK_PX : streakPx) / shutterS / perS, isLess }];
	});
}

/** The streak that everybody in a frame has: the least of them, since people move besides. Null where nobody is known. */
function commonStreakPx({ faces }: ReviewedFrame): number | null {
	const streaks = faces.flatMap((face) => face?.blurs[face.near]?.streakPx ?? []);
	return streaks.length === 0 ? null : Math.min(...streaks);
}
