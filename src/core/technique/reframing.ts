import type { CameraPoint } from '../geometry/camera';
import { RULES } from '../tables/rules';

/**
 * Lock and reframe: the lens is focused on the eye in the middle of the frame, then the camera is
 * swung until the eye stands where it is composed. It turns about an axis behind the entrance pupil.
 */

/** How far that axis lies behind the pupil, m: turning the wrists, or the upper body. */
export const SWING_M = { wrists: RULES.wristSwingM, body: RULES.bodySwingM } as const;

/**
 * How far the plane of focus falls behind the eye: sqrt((D+p)² + X² + Y²) - p - D. Source: the
 * geometry of the swing; with p = 0 it is the usual "cosine error".
 *
 * @param eye the eye in the final frame
 * @returns m
 */
export function reframeErrorM({ depthM, rightM, upM }: CameraPoint, swingM: number): number {
	return Math.hypot(depthM + swingM, rightM, upM) - swingM - depthM;
}
