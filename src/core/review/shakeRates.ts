import type { Rate } from '../numeric/rayleigh';
import { LEAST_STREAK_PX } from '../measure/spread';
import { conditionsOf } from '../odds/conditions';
import { ASSUMED } from '../tables/spreads';
import type { SetOfShot } from './setOfShot';
import type { ReviewedFrame } from './reviewSet';

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
