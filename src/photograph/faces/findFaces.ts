import { detect, TILE_PX, withoutDoubles, type FaceBox } from './detect';
import { facePoints, type FacePoints } from './mesh';
import type { FaceModels } from './models';
import type { Part, Pyramid } from './pyramid';

/** Every face of a picture. */

/** A face that was found: its box and its points. */
export interface Face {
	readonly box: FaceBox;
	readonly points: FacePoints;
}

export interface Pauses {
	/** Lets others work. @throws when nobody waits any more */
	readonly breathe: () => Promise<void>;
	/** Is told how much is done, 0 to 1. */
	readonly tell: (share: number) => void;
}

/** How much smaller the tiles of each level are than those of the one before. */
const FINER = 2.4;
/** Neighbouring tiles have so much in common: more than a face that is just found by larger ones. */
const IN_COMMON = 0.25;
/** Tiles are not finer than this: a face of 40 pixels is 20 of the detector's. */
const LEAST_TILE_PX = 2 * TILE_PX;
/** What may be a face, if one looks closer. */
const A_HINT = 0.1;
/** Seen so large by the detector, px, and so surely, a face needs no closer look. */
const LARGE_PX = 34;
const SURE = 0.7;
/** What is a face: by the detector, and by how well its surface fits. */
const LEAST_SCORE = 0.5;
const LEAST_FIT = 0.8;

/**
 * The faces of a picture, from those that fill it to those of 40 pixels from ear to ear: looked for in large
 * tiles first, then in smaller ones where there may be smaller faces.
 */
export async function findFaces(
	models: FaceModels,
	pyramid: Pyramid,
	{ breathe, tell }: Pauses
): Promise<Face[]> {
	const found: FaceBox[] = [];
	let hints: readonly FaceBox[] | null = null;
	const sides = tileSides(Math.max(pyramid.widthPx, pyramid.heightPx));
	for (const [level, sidePx] of sides.entries()) {
		const all = tilesOf(pyramid, sidePx);
		const wanted: readonly Part[] = hints
			? all.filter((tile) => hints?.some((hint) => isIn(hint, tile)))
			: all;
		const seen: FaceBox[] = [];
		for (const [i, tile] of wanted.entries()) {
			seen.push(...detect(models.detector, pyramid, tile, A_HINT));
			tell(((level + i / wanted.length) / sides.length) * 0.7);
			await breathe();
		}
		found.push(...seen.filter(({ score }) => score >= LEAST_SCORE));
		const large = (LARGE_PX * sidePx) / TILE_PX;
		const unclear = withoutDoubles(seen).filter(
			(one) => one.sidePx < large || (one.score < SURE && one.sidePx < 3 * large)
		);
		// what is too small for the largest tiles is not even a hint in them
		if (level > 0) hints = unclear;
	}
	const boxes = withoutDoubles(found);
	const faces: Face[] = [];
	for (const [i, box] of boxes.entries()) {
		const points = facePoints(models, pyramid, box);
		if (points.score >= LEAST_FIT) faces.push({ box, points });
		tell(0.7 + (0.3 * (i + 1)) / boxes.length);
		await breathe();
	}
	return faces;
}

/** Sides of the tiles, px: the first covers the picture. */
function tileSides(longPx: number): number[] {
	const sides = [longPx];
	for (let side = longPx / FINER; side > LEAST_TILE_PX / Math.sqrt(FINER); side /= FINER) {
		sides.push(Math.max(side, LEAST_TILE_PX));
	}
	return sides;
}

/** Tiles that cover a picture, with something in common. */
export function tilesOf(
	{ widthPx, heightPx }: Pick<Pyramid, 'widthPx' | 'heightPx'>,
	sidePx: number
): Part[] {
	const xs = middlesOf(widthPx, sidePx);
	return middlesOf(heightPx, sidePx).flatMap((y) => xs.map((x) => ({ x, y, sidePx, turnRad: 0 })));
}

function middlesOf(lengthPx: number, sidePx: number): number[] {
	const free = lengthPx - sidePx;
	if (free <= 0) return [lengthPx / 2];
	const steps = Math.ceil(free / (sidePx * (1 - IN_COMMON)));
	return Array.from({ length: steps + 1 }, (_, i) => sidePx / 2 + (free * i) / steps);
}

const isIn = ({ x, y }: FaceBox, tile: Part): boolean =>
	Math.abs(x - tile.x) < tile.sidePx / 2 && Math.abs(y - tile.y) < tile.sidePx / 2;
