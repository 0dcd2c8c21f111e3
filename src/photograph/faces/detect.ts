import { tensor4d, type Tensor, dispose } from '@tensorflow/tfjs-core';
import type { GraphModel } from '@tensorflow/tfjs-converter';
import { placeInPicture, type PicturePart, type PixelPlace } from './pyramid';

/** Where faces are: the detector over tiles of a picture at several scales. */

/** A face that was found, in pixels of the picture. */
export interface FaceBox {
	readonly x: number;
	readonly y: number;
	/** Width of the face, ear to ear or so. */
	readonly sidePx: number;
	/** How far the line from its right eye to its left one runs downwards, rad. */
	readonly turnRad: number;
	/** 0 to 1. */
	readonly score: number;
}

/** Pixels that the detector looks at. */
export const TILE_PX = 256;
/** What it tells of a place: the box, then six points of the face. */
const VALUES_PER_ANCHOR = 16;
const OUTPUTS = ['Identity', 'Identity_1', 'Identity_2', 'Identity_3'];

/** Middles of the places that are looked at, in pixels of the tile: two at each sixteenth pixel, six at each 32nd. */
const ANCHORS = [
	{ step: 16, each: 2 },
	{ step: 32, each: 6 }
].flatMap(({ step, each }) =>
	Array.from({ length: (TILE_PX / step) ** 2 * each }, (_, i) => {
		const cell = Math.floor(i / each);
		const across = TILE_PX / step;
		return { x: ((cell % across) + 0.5) * step, y: (Math.floor(cell / across) + 0.5) * step };
	})
);

/** A face in a tile, in pixels of it. */
export interface TileFace {
	readonly x: number;
	readonly y: number;
	readonly sidePx: number;
	readonly rightEye: PixelPlace;
	readonly leftEye: PixelPlace;
	readonly score: number;
}

/** What may be faces in one tile. */
export function detect(detector: GraphModel, tile: ImageData, least: number): TileFace[] {
	const input = inputOf(tile, 127.5, -1);
	const outputs = detector.execute(input, OUTPUTS) as Tensor[];
	const [near, far, nearBoxes, farBoxes] = outputs.map((one): Numbers => one.dataSync()) as Values;
	dispose([input, ...outputs]);
	return ANCHORS.flatMap((anchor, i) => {
		const isNear = i < near.length;
		const at = isNear ? i : i - near.length;
		const score = 1 / (1 + Math.exp(-((isNear ? near : far)[at] as number)));
		if (score < least) return [];
		const value = (k: number) =>
			(isNear ? nearBoxes : farBoxes)[VALUES_PER_ANCHOR * at + k] as number;
		const point = (k: number) => ({ x: anchor.x + value(k), y: anchor.y + value(k + 1) });
		const sidePx = Math.max(value(2), value(3));
		return [{ ...point(0), sidePx, rightEye: point(4), leftEye: point(6), score }];
	});
}

type Values = [Numbers, Numbers, Numbers, Numbers];
type Numbers = ArrayLike<number>;

/** A face of a tile in the picture that the tile was cut from. */
export function inPicture(face: TileFace, tile: PicturePart): FaceBox {
	const [middle, right, left] = [face, face.rightEye, face.leftEye].map((at) =>
		placeInPicture(tile, TILE_PX, at)
	) as [PixelPlace, PixelPlace, PixelPlace];
	return {
		...middle,
		sidePx: (face.sidePx * tile.sidePx) / TILE_PX,
		turnRad: Math.atan2(left.y - right.y, left.x - right.x),
		score: face.score
	};
}

/** Pixels as a model wants them: divided, and moved. */
export function inputOf({ data, width, height }: ImageData, over: number, plus: number) {
	const values = new Float32Array(width * height * 3);
	for (let i = 0, k = 0; k < values.length; i += 4, k += 3) {
		values[k] = (data[i] as number) / over + plus;
		values[k + 1] = (data[i + 1] as number) / over + plus;
		values[k + 2] = (data[i + 2] as number) / over + plus;
	}
	return tensor4d(values, [1, height, width, 3]);
}

/** Each face once: of those that overlap the surest. */
export function withoutDoubles(all: readonly FaceBox[]): FaceBox[] {
	const kept: FaceBox[] = [];
	for (const one of [...all].sort((a, b) => b.score - a.score)) {
		if (!kept.some((other) => isSameFace(one, other))) kept.push(one);
	}
	return kept;
}

/** Two faces never overlap as much. */
export function isSameFace(a: FaceBox, b: FaceBox): boolean {
	return overlap(a, b) > MOST_OVERLAP;
}

const MOST_OVERLAP = 0.3;

/** Common part of two faces, of the smaller one. */
function overlap(a: FaceBox, b: FaceBox): number {
	const along = (p: number, q: number) =>
		Math.max(
			0,
			Math.min(p + a.sidePx / 2, q + b.sidePx / 2) - Math.max(p - a.sidePx / 2, q - b.sidePx / 2)
		);
	return (along(a.x, b.x) * along(a.y, b.y)) / Math.min(a.sidePx, b.sidePx) ** 2;
}
