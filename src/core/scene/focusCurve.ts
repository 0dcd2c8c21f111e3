import { bendFactor, type FocusedOptic } from '../optics/focus';
import { seenFrom, type CameraPose } from './camera';
import { along, type Vec3 } from './vector';

const NEAREST_M = 0.01;
const FARTHEST_M = 1000;

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
			return depthM - focus.planeM * bendFactor(focus.fieldBend, cosOffAxis);
		};
		let low = NEAREST_M;
		let high = FARTHEST_M;
		if (behind(low) > 0 || behind(high) < 0) return [];
		for (let i = 0; i < 45; i++) {
			const middle = (low + high) / 2;
			if (behind(middle) < 0) low = middle;
			else high = middle;
		}
		return [along(start, direction, high)];
	});
}
