import type { ShutterLimits } from '../study/candidate';
import { RULES } from '../tables/rules';

/**
 * How slow the shutter may be for few, and for some, of the frames to be lost: quantiles of the slowest shutter that
 * saves each frame.
 *
 * @param slowest the slowest shutter that saves each frame, s, fastest first
 */
export function shutterLimitsOf(slowest: Float64Array): ShutterLimits {
	const frames = slowest.length;
	const losing = (share: number) =>
		Math.min(
			RULES.slowestByHandS,
			slowest[Math.min(frames - 1, Math.floor(share * frames))] as number
		);
	return {
		fewLostS: losing(RULES.fewLostShare),
		someLostS: losing(RULES.someLostShare),
		lossAt(shutterS) {
			let [low, high] = [0, frames];
			while (low < high) {
				const middle = (low + high) >> 1;
				if ((slowest[middle] as number) < shutterS) low = middle + 1;
				else high = middle;
			}
			return low / frames;
		}
	};
}
