import {
	detect,
	inPicture,
	isSameFace,
	TILE_PX,
	withoutDoubles,
	type FaceBox,
	type TileFace
} from './detect';
import { meshPoints, meshPointsAgain, type FacePoints } from './mesh';
import type { FaceModels } from './models';
import type { Likely } from './sight';
import type { PicturePart, Pyramid } from './pyramid';
import { shared } from './shared';
import { tileSides, faceTiles } from './tiles';

/** Every face of a picture. */

export interface SearchPauses {
	/** Lets others work. @throws when nobody waits any more */
	readonly breathe: () => Promise<void>;
	/** Is told how much is done, 0 to 1. */
	readonly tell: (share: number) => void;
}

/** Somebody else who looks at tiles meanwhile: another thread. */
export type Helper = (tile: ImageData) => Promise<readonly TileFace[]>;

/** What may be a face, if one looks closer. */
export const A_HINT = 0.1;
/** Seen so large by the detector, px, and so surely, a face needs no closer look. */
const LARGE_PX = 34;
const MIN_CONFIDENCE = 0.7;
/** What is large may still be unsure, up to so many times as large. */
const UNSURE_TIMES = 3;
/** What is a face: by the detector, and by how well its surface fits. */
const LEAST_SCORE = 0.5;
const LEAST_FIT = 0.8;
/** The share of the work that finding faces takes; the rest are their landmarks. */
const DETECTION_SHARE = 0.7;

/**
 * The faces of a picture, from those that fill it to those of 40 pixels from ear to ear: looked for in large
 * tiles first, then in smaller ones where there may be smaller faces.
 *
 * @param likely faces where others of the series have some: each is one once it is seen here, too, and is looked at no closer
 */
export async function findFaces(
	models: FaceModels,
	pyramid: Pyramid,
	{ breathe, tell }: SearchPauses,
	helper: Helper | null = null,
	likely: readonly FacePoints[] = []
): Promise<FacePoints[]> {
	const found: FaceBox[] = [];
	const isSeen = ({ box }: FacePoints) => found.some((one) => isSameFace(one, box));
	const isNew = (one: FaceBox) => !likely.some((face) => isSameFace(one, face.box) && isSeen(face));
	let hints: readonly FaceBox[] | null = null;
	const sides = tileSides(Math.max(pyramid.widthPx, pyramid.heightPx));
	for (const [level, sidePx] of sides.entries()) {
		const all = faceTiles(pyramid, sidePx);
		const wanted: readonly PicturePart[] = hints
			? all.filter((tile) => hints?.some((hint) => isIn(hint, tile)))
			: all;
		let looked = 0;
		const looking = (look: Helper) => async (tile: PicturePart) => {
			const faces = await look(pyramid.cut(tile, TILE_PX));
			tell(((level + ++looked / wanted.length) / sides.length) * DETECTION_SHARE);
			return faces.map((face) => inPicture(face, tile));
		};
		const here: Helper = async (tile) => {
			await breathe();
			return detect(models.detector, tile, A_HINT);
		};
		const seen = (await shared(wanted, looking(here), helper && looking(helper))).flat();
		found.push(...seen.filter(({ score }) => score >= LEAST_SCORE));
		// what is too small for the largest tiles is not even a hint in them
		if (level > 0) {
			hints = withoutDoubles(seen).filter((one) => isUnclear(one, sidePx) && isNew(one));
		}
	}
	const others = await pointsOf(models, pyramid, found.filter(isNew), { breathe, tell });
	return [...likely.filter(isSeen), ...others];
}

/**
 * The faces of a picture that was taken a moment after another: each is looked for where it was, and everywhere only when
 * one of them is not there, or when asked to.
 */
export async function findFacesAgain(
	models: FaceModels,
	pyramid: Pyramid,
	{ faces: before, isEverywhere }: Likely,
	pauses: SearchPauses
): Promise<FacePoints[]> {
	const faces: FacePoints[] = [];
	for (const box of before) {
		const points = meshPointsAgain(models, pyramid, box, LEAST_FIT);
		// two may slide onto one face
		if (points && !faces.some((other) => isSame(points, other))) faces.push(points);
		await pauses.breathe();
	}
	const isAll = faces.length === before.length && !isEverywhere;
	return isAll ? faces : findFaces(models, pyramid, pauses, null, faces);
}

/** Nearer to each other than the eyes are. */
function isSame(a: FacePoints, b: FacePoints): boolean {
	const awayPx = Math.hypot(a.leftIris.x - b.leftIris.x, a.leftIris.y - b.leftIris.y);
	return awayPx < Math.hypot(a.leftIris.x - a.rightIris.x, a.leftIris.y - a.rightIris.y);
}

/** The points of what was found, each face once; what is none after all is left out. */
async function pointsOf(
	models: FaceModels,
	pyramid: Pyramid,
	found: readonly FaceBox[],
	{ breathe, tell }: SearchPauses
): Promise<FacePoints[]> {
	const boxes = withoutDoubles(found);
	const faces: FacePoints[] = [];
	for (const [i, box] of boxes.entries()) {
		const points = meshPoints(models, pyramid, box);
		if (points.score >= LEAST_FIT) faces.push(points);
		tell(DETECTION_SHARE + ((1 - DETECTION_SHARE) * (i + 1)) / boxes.length);
		await breathe();
	}
	return faces;
}

/** Whether smaller tiles would tell more. */
function isUnclear({ sidePx, score }: FaceBox, tileSidePx: number): boolean {
	const largePx = (LARGE_PX * tileSidePx) / TILE_PX;
	return sidePx < largePx || (score < MIN_CONFIDENCE && sidePx < UNSURE_TIMES * largePx);
}

const isIn = ({ x, y }: FaceBox, tile: PicturePart): boolean =>
	Math.abs(x - tile.x) < tile.sidePx / 2 && Math.abs(y - tile.y) < tile.sidePx / 2;
