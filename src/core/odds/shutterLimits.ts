import { FEW_LOST, SOME_LOST, type ShutterLimits } from '../study/candidate';

/** No picture of people by hand is taken slower. Common practice, no source. */
const SLOWEST_S = 1 / 30;

/**
 * How slow the shutter may be for few, and for some, of the frames to be lost.
 *
 * @param slowest the slowest shutter that saves each frame, s, fastest first
 */
export function shutterLimitsOf(slowest: Float64Array): ShutterLimits {
	const frames = slowest.length;
	const losing = (share: number) =>
		Math.min(SLOWEST_S, slowest[Math.min(frames - 1, Math.floor(share * frames))] as number);
	return {
		fewLostS: losing(FEW_LOST),
		someLostS: losing(SOME_LOST),
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
