import { concat, dispose, type Tensor } from '@tensorflow/tfjs-core';
import { inputOf, type FaceBox } from './detect';
import type { FaceModels } from './models';
import { placeInPicture, type PicturePart, type PixelPlace, type Pyramid } from './pyramid';

/** The points of a face: its surface, and its irises. */

/** Points of a face, in pixels of the picture. */
export interface FacePoints {
	/** 468 of its surface, in the order of the model; z away from the camera, in the same pixels. */
	readonly surface: readonly (PixelPlace & { readonly z: number })[];
	readonly rightIris: Iris;
	readonly leftIris: Iris;
	/** How surely it is a face, 0 to 1. */
	readonly score: number;
	/** Where its surface lies, as the detector would say it. */
	readonly box: FaceBox;
}

interface Iris extends PixelPlace {
	readonly widthPx: number;
	/** How far the lids are open: height over width of their opening. */
	readonly openness: number;
}

const MESH_PX = 192;
const IRIS_PX = 64;
/** How much wider than the face the part is that the mesh is laid over. */
const AROUND_FACE = 1.5;
/** What the detector calls a face is narrower than the surface is long (measured on practice frames). */
const SURFACE_TO_BOX = 0.97;
/** What may change of the place of a surface before it has to be laid anew, as shares of the face's width. */
const STILL = { aside: 0.06, larger: 0.06, turnRad: 0.06 } as const;
/** How much wider than the opening of the lids the part is that the iris is looked for in. */
const AROUND_EYE = 2.3;
/** Corners of the eyes, outer and inner, among the points of the surface. */
const RIGHT_CORNERS = [33, 133] as const;
const LEFT_CORNERS = [263, 362] as const;
/** The last five points of an eye are the iris: middle, then right, top, left, bottom. */
const EYE_POINTS = 76;
const IRIS_FROM = 71;
/** Points of an eye: its corners, and two pairs on the upper and lower lid. */
const CORNERS = [0, 8] as const;
const LIDS = [
	[11, 3],
	[13, 5]
] as const;

/** The points of a face that was found. */
export function meshPoints(models: FaceModels, pyramid: Pyramid, box: FaceBox): FacePoints {
	const face = surfaceOf(models, pyramid, box);
	return { ...face, ...irisesOf(models, pyramid, face.surface, box.turnRad) };
}

/**
 * The points of a face that was there a moment ago: its surface is laid where it was, and slides onto it if that has moved.
 * Null where it is no more.
 */
export function meshPointsAgain(
	models: FaceModels,
	pyramid: Pyramid,
	before: FaceBox,
	leastScore: number
): FacePoints | null {
	const first = surfaceOf(models, pyramid, before);
	if (first.score < leastScore) return null;
	if (isStill(first.box, before)) {
		return { ...first, ...irisesOf(models, pyramid, first.surface, before.turnRad) };
	}
	const points = meshPoints(models, pyramid, first.box);
	return points.score < leastScore ? null : points;
}

/** Nearer to where it was than the detector would have told it. */
function isStill(box: FaceBox, before: FaceBox): boolean {
	return (
		Math.hypot(box.x - before.x, box.y - before.y) < STILL.aside * before.sidePx &&
		Math.abs(box.sidePx / before.sidePx - 1) < STILL.larger &&
		Math.abs(box.turnRad - before.turnRad) < STILL.turnRad
	);
}

/** The same face as the detector would find it. */
function boxAround(surface: FacePoints['surface']): FaceBox {
	const [right, left] = [RIGHT_CORNERS, LEFT_CORNERS].map(
		([outer]) => surface[outer] as PixelPlace
	) as [PixelPlace, PixelPlace];
	const turnRad = Math.atan2(left.y - right.y, left.x - right.x);
	const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
	const across = surface.map(({ x, y }) => x * cos + y * sin);
	const down = surface.map(({ x, y }) => y * cos - x * sin);
	const ends = (all: readonly number[]) => [Math.min(...all), Math.max(...all)] as const;
	const [[a, b], [top, foot]] = [ends(across), ends(down)];
	const [u, v] = [(a + b) / 2, (top + foot) / 2];
	return {
		x: u * cos - v * sin,
		y: u * sin + v * cos,
		sidePx: SURFACE_TO_BOX * Math.max(b - a, foot - top),
		turnRad,
		score: 1
	};
}

function surfaceOf(
	{ mesh }: FaceModels,
	pyramid: Pyramid,
	{ x, y, sidePx, turnRad }: FaceBox
): Pick<FacePoints, 'surface' | 'score' | 'box'> {
	const part: PicturePart = { x, y, sidePx: sidePx * AROUND_FACE, turnRad };
	const input = inputOf(pyramid.cut(part, MESH_PX), 255, 0);
	const [points, flag] = mesh.execute(input, ['Identity_2', 'Identity_1']) as [Tensor, Tensor];
	const values = points.dataSync();
	const score = flag.dataSync()[0] as number;
	dispose([input, points, flag]);
	const surface = Array.from({ length: values.length / 3 }, (_, i) => ({
		...placeInPicture(part, MESH_PX, {
			x: values[3 * i] as number,
			y: values[3 * i + 1] as number
		}),
		z: ((values[3 * i + 2] as number) * part.sidePx) / MESH_PX
	}));
	return { surface, score, box: boxAround(surface) };
}

function irisesOf(
	{ iris }: FaceModels,
	pyramid: Pyramid,
	surface: FacePoints['surface'],
	turnRad: number
): Pick<FacePoints, 'rightIris' | 'leftIris'> {
	const eyes = [
		eyePart(surface, RIGHT_CORNERS, turnRad, false),
		eyePart(surface, LEFT_CORNERS, turnRad, true)
	] as const;
	const crops = eyes.map((eye) => inputOf(pyramid.cut(eye, IRIS_PX), 255, 0));
	const both = concat(crops);
	const found = iris.execute(both) as Tensor;
	const eyeValues = found.dataSync();
	dispose([...crops, both, found]);
	const irisOf = (which: 0 | 1): Iris => {
		const at = (k: number) => {
			const from = 3 * (which * EYE_POINTS + k);
			const place = { x: eyeValues[from] as number, y: eyeValues[from + 1] as number };
			return placeInPicture(eyes[which], IRIS_PX, place);
		};
		const apart = (i: number, k: number) => {
			const [a, b] = [at(i), at(k)];
			return Math.hypot(a.x - b.x, a.y - b.y);
		};
		const heightPx = LIDS.reduce((sum, [upper, lower]) => sum + apart(upper, lower), 0) / 2;
		return {
			...at(IRIS_FROM),
			widthPx: apart(IRIS_FROM + 1, IRIS_FROM + 3),
			openness: heightPx / apart(...CORNERS)
		};
	};
	return { rightIris: irisOf(0), leftIris: irisOf(1) };
}

function eyePart(
	surface: FacePoints['surface'],
	[outer, inner]: readonly [number, number],
	turnRad: number,
	isMirrored: boolean
): PicturePart {
	const [a, b] = [surface[outer] as PixelPlace, surface[inner] as PixelPlace];
	const sidePx = Math.hypot(a.x - b.x, a.y - b.y) * AROUND_EYE;
	return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, sidePx, turnRad, isMirrored };
}
