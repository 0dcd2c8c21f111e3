import type { MeasuredFace, MeasuredFrame, MeasuredSpot } from '$core/format/review';
import { edgeSpread } from '$core/measure/edgeSpread';
import { spectrumOf } from '$core/measure/spectrum';
import { REACH_OVER_EYES } from '$core/review/pointed';
import type { Patch } from '$core/measure/patch';
import type { SearchPauses } from './faces/findFaces';
import { faceOf, faceWidthPx } from './faces/landmarks';
import type { FacePoints } from './faces/mesh';
import { Pyramid, type PixelPlace } from './faces/pyramid';
import { clippedShare, patchAt } from './patch';
import type { OpenPicture } from './read/openPicture';
import { localMsOf } from './read/takenAt';
import { smaller } from './smallPicture';
import { STRIP_PX } from './strip';

/** Everything that is measured of a photograph that came home. The picture is given back. */

/** How far around a place is looked at, as shares of the distance between the eyes. */
const REACH = { eye: REACH_OVER_EYES, nose: 0.35, hair: 0.4 } as const;
/** More pixels across tell nothing more: of an eye, and of what is only compared with it. */
const MOST_PX = { eye: 256, rest: 96 } as const;
/** Pixels of the whole that are looked at for white: enough of them. */
const WHOLE_PX = 400;
/** Points of the surface: the tip of the nose, and the middle of the forehead's upper edge. */
const NOSE_TIP_POINT = 4;
const FOREHEAD_POINT = 10;
const BROW_POINT = 151;

/** What was measured of a picture, and the picture for a strip, which costs next to nothing once it is open. */
export interface MeasuredPicture {
	readonly measured: MeasuredFrame;
	readonly small: Blob;
}

/** With the faces as they were found. */
interface MeasuredFaces extends MeasuredPicture {
	readonly found: readonly FacePoints[];
}

const STRIP_QUALITY = 0.85;

/**
 * Measures a picture: every face's eyes, nose and hair.
 * @param find finds the faces
 */
export async function measureFrame(
	name: string,
	{ bitmap, facts }: OpenPicture,
	find: (pyramid: Pyramid) => Promise<readonly FacePoints[]>,
	{ breathe }: SearchPauses
): Promise<MeasuredFaces> {
	const pyramid = new Pyramid(bitmap);
	try {
		const size = { widthPx: bitmap.width, heightPx: bitmap.height };
		const faces: MeasuredFace[] = [];
		const found = await find(pyramid);
		for (const points of found) {
			faces.push(measuredFace(pyramid, points, size));
			await breathe();
		}
		const whole = { x: size.widthPx / 2, y: size.heightPx / 2 };
		const reach = Math.max(size.widthPx, size.heightPx) / 2;
		const small = await smaller(pyramid.atLeast(STRIP_PX), STRIP_PX, STRIP_QUALITY);
		const measured = {
			name: name.slice(0, 300),
			localMs: localMsOf(facts.takenAt),
			facts,
			...size,
			clipped: clippedShare(pyramid, whole, reach, WHOLE_PX),
			faces: faces.toSorted((a, b) => a.left.x - b.left.x),
			pointed: []
		};
		return { measured, small, found };
	} finally {
		pyramid.dispose();
		bitmap.close();
	}
}

function measuredFace(
	pyramid: Pyramid,
	points: FacePoints,
	size: { readonly widthPx: number; readonly heightPx: number }
): MeasuredFace {
	const { leftIris, rightIris, surface } = points;
	const eyesPx = Math.hypot(leftIris.x - rightIris.x, leftIris.y - rightIris.y);
	const spot = (at: PixelPlace, reach: number, mostPx: number) =>
		measuredSpot(pyramid, at, reach * eyesPx, mostPx);
	const eye = (iris: FacePoints['leftIris']) => ({
		...spot(iris, REACH.eye, MOST_PX.eye),
		openness: iris.openness
	});
	const [forehead, brow] = [surface[FOREHEAD_POINT], surface[BROW_POINT]] as [
		PixelPlace,
		PixelPlace
	];
	const hair = { x: 2 * forehead.x - brow.x, y: 2 * forehead.y - brow.y };
	const middle = { x: (leftIris.x + rightIris.x) / 2, y: (leftIris.y + rightIris.y) / 2 };
	return {
		...faceOf(points, size),
		eyesPx,
		irisPx: (leftIris.widthPx + rightIris.widthPx) / 2,
		widthPx: faceWidthPx(points),
		left: eye(leftIris),
		right: eye(rightIris),
		nose: spot(surface[NOSE_TIP_POINT] as PixelPlace, REACH.nose, MOST_PX.rest),
		hair: spot(hair, REACH.hair, MOST_PX.rest),
		clipped: clippedShare(pyramid, middle, faceWidthPx(points) / 2, MOST_PX.eye)
	};
}

/** How much of the patch may lie beyond the edge of the picture, as a share. */
const MOST_BEYOND = 0.25;

/** What is measured of a place and around it; nothing where the edge of the picture cuts it. */
export function measuredSpot(
	pyramid: Pyramid,
	at: PixelPlace,
	reachPx: number,
	mostPx: number
): MeasuredSpot {
	const { widthPx, heightPx } = pyramid;
	const insidePx = Math.min(at.x, at.y, widthPx - at.x, heightPx - at.y);
	if (insidePx < (1 - MOST_BEYOND) * reachPx) {
		return { x: at.x, y: at.y, edges: null, spectrum: null };
	}
	const patch: Patch = patchAt(pyramid, at, reachPx, mostPx);
	return { x: at.x, y: at.y, edges: edgeSpread(patch), spectrum: spectrumOf(patch) };
}
