import { vergenceErrorOf } from './blur';
import type { FocusedOptic } from './focus';
import { depthOfVergence, vergence } from './vergence';

/**
 * Depth of field on the axis: near and far limit of what is sharp, the interval of vergence around the focus in
 * which the blur disc stays within the tolerance. The same limits as the classical
 * near = s(H-f)/(H+s-2f), far = s(H-f)/(H-s) (Ray, Applied Photographic Optics, from memory), which
 * the tests check.
 *
 * @returns metres; `farM` is Infinity from a focus at the hyperfocal distance on, H = f²/(N c0) + f
 *
 * @example depthOfField(focusAt({ focalMm: 85, fieldCurvature: 0 }, 3), 2.8, 0.03) // { nearM: 2.902, farM: 3.105 }
 */
export function depthOfField(
	focus: FocusedOptic,
	fNumber: number,
	toleranceMm: number
): { nearM: number; farM: number } {
	const half = vergenceErrorOf(focus, fNumber, toleranceMm);
	const middle = vergence(focus.planeM);
	return { nearM: depthOfVergence(middle + half), farM: depthOfVergence(middle - half) };
}
