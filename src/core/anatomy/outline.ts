import { seenFrom, sensorPoint, type CameraPose } from '../geometry/camera';
import { dot, scale, type Vec3 } from '../geometry/vector';
import type { Offset } from '../tables/landmarks';
import { headPoint, type Head } from './head';

/** The outline of a head: an ellipsoid seen as an ellipse. */

export interface Outline {
	readonly x: number;
	readonly y: number;
	/** Half axes; the first lies at `angleDeg` from the x axis. */
	readonly rx: number;
	readonly ry: number;
	readonly angleDeg: number;
}

/** Two numbers of a drawing. */
export interface Flat {
	readonly x: number;
	readonly y: number;
}

/** The half axes of a head's ellipsoid as vectors of the world, m. */
function halfAxes(head: Head, [left, up, out]: Offset): readonly [Vec3, Vec3, Vec3] {
	return [scale(head.left, left / 1000), scale(head.up, up / 1000), scale(head.out, out / 1000)];
}

/**
 * The ellipse that three half axes of an ellipsoid make when drawn flat: its matrix is the sum of
 * the outer products of their pictures.
 */
function ellipseOf(centre: Flat, axes: readonly Flat[]): Outline {
	let xx = 0;
	let xy = 0;
	let yy = 0;
	for (const { x, y } of axes) {
		xx += x * x;
		xy += x * y;
		yy += y * y;
	}
	const middle = (xx + yy) / 2;
	const spread = Math.hypot((xx - yy) / 2, xy);
	return {
		...centre,
		rx: Math.sqrt(middle + spread),
		ry: Math.sqrt(Math.max(0, middle - spread)),
		angleDeg: (Math.atan2(2 * xy, xx - yy) / 2) * (180 / Math.PI)
	};
}

/** A head's outline drawn without perspective, as from far above or from the side. */
export function flatOutline(head: Head, draw: (direction: Vec3) => Flat): Outline {
	const { skullCentre, skullHalfAxes } = head.measures;
	return ellipseOf(draw(headPoint(head, skullCentre)), halfAxes(head, skullHalfAxes).map(draw));
}

/**
 * The outline of an ellipsoid of a head in the picture, mm on the sensor from its centre, y down.
 * Perspective is taken at the ellipsoid's centre: good to a few per cent of the head.
 *
 * @returns null behind the camera
 */
export function pictureOutline(
	pose: CameraPose,
	head: Head,
	centre: Offset,
	half: Offset,
	imageMm: number
): Outline | null {
	const seen = seenFrom(pose, headPoint(head, centre));
	if (seen.depthM * 1000 <= pose.focalMm) return null;
	const magnification = imageMm / seen.depthM;
	const draw = (v: Vec3): Flat => ({
		x: dot(v, pose.right) * magnification,
		y: -dot(v, pose.up) * magnification
	});
	return ellipseOf(sensorPoint(seen, imageMm), halfAxes(head, half).map(draw));
}
