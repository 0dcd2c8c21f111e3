import { degrees } from '$core/geometry/angle';
import type { FoundFace, FoundLandmark } from '$core/photograph/fitHead';
import type { FacePoints } from './mesh';
import type { PixelPlace } from './pyramid';

/** The core's landmarks of a face, from the points that the models found. */

/** Points of the surface: the tip of the nose lies between two, the hairline beyond the last two of the forehead. */
const NOSE_POINTS = [1, 4] as const;
const CHIN_POINT = 152;
const FOREHEAD = [10, 151] as const;

/** The right and the left edge of the face, before the ears. */
const EDGES = [234, 454] as const;

/** How well each is found, as a share of the distance between the eyes (measured on practice frames). */
const SHARES = { eye: 0.012, nose: 0.06, chin: 0.08, hairline: 0.1 };
/** And at best, px. */
const BEST_PX = 0.5;
/** How far off the turn may be (measured on practice frames). */
const TURN_SIGMA_DEG = 3;

/** Width of a face as it is seen, px. */
export function faceWidthPx({ surface }: FacePoints): number {
	const [right, left] = EDGES.map((i) => surface[i] as PixelPlace) as [PixelPlace, PixelPlace];
	return Math.hypot(right.x - left.x, right.y - left.y);
}

/** Landmarks in pixels from the middle of the picture, to the right and up; and the turn. */
export function faceOf(
	{ surface, leftIris, rightIris }: FacePoints,
	size: { readonly widthPx: number; readonly heightPx: number }
): FoundFace {
	const at = (i: number) => surface[i] as FacePoints['surface'][number];
	const between = (a: PixelPlace, b: PixelPlace, share: number): PixelPlace => ({
		x: a.x + (b.x - a.x) * share,
		y: a.y + (b.y - a.y) * share
	});
	const eyesPx = Math.hypot(leftIris.x - rightIris.x, leftIris.y - rightIris.y);
	const found = (landmark: FoundLandmark['landmark'], { x, y }: PixelPlace, share: number) => ({
		landmark,
		x: x - size.widthPx / 2,
		y: size.heightPx / 2 - y,
		sigmaPx: Math.hypot(BEST_PX, share * eyesPx)
	});
	const [right, left] = [at(EDGES[0]), at(EDGES[1])];
	const deg = degrees(Math.atan2(left.z - right.z, Math.hypot(left.x - right.x, left.y - right.y)));
	const landmarks = [
		found('left-eye', leftIris, SHARES.eye),
		found('right-eye', rightIris, SHARES.eye),
		found('nose-tip', between(at(NOSE_POINTS[0]), at(NOSE_POINTS[1]), 0.6), SHARES.nose),
		found('chin', at(CHIN_POINT), SHARES.chin),
		found('hairline', between(at(FOREHEAD[1]), at(FOREHEAD[0]), 2), SHARES.hairline)
	];
	return { landmarks, turn: { deg, sigmaDeg: TURN_SIGMA_DEG } };
}
