import { lastHolding } from '../numeric/bisect';
import { fieldCurvatureFactor, type FocusedOptic } from './focus';
import { seenFrom, type CameraPose } from '../geometry/camera';
import { along, type Vec3 } from '../geometry/vector';

const NEAREST_M = 0.01;
const FARTHEST_M = 1000;
const WITHIN_M = 1e-9;

/**
 * Where the surface of focus crosses a horizontal or vertical slice of the world, seen as a line:
 * one point for each direction from a point of the slice, where the slice meets the surface.
 *
 * @param start      a point of the slice, near the camera
 * @param directions unit vectors within the slice
 * @returns the points in the order of the directions; directions that never meet it are left out
 */
export function focusCurve(
	pose: CameraPose,
	focus: FocusedOptic,
	start: Vec3,
	directions: readonly Vec3[]
): Vec3[] {
	return directions.flatMap((direction) => {
		/** Positive behind the surface, negative in front of it. */
		const behind = (reachM: number): number => {
			const { depthM, cosOffAxis } = seenFrom(pose, along(start, direction, reachM));
			return depthM - focus.planeM * fieldCurvatureFactor(focus.fieldCurvature, cosOffAxis);
		};
		if (behind(NEAREST_M) > 0 || behind(FARTHEST_M) < 0) return [];
		const isBehind = (reachM: number) => behind(reachM) >= 0;
		return [along(start, direction, lastHolding(isBehind, FARTHEST_M, NEAREST_M, WITHIN_M))];
	});
}
