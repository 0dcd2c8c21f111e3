import { findFaces, findFacesAgain, type SearchPauses } from './faces/findFaces';
import type { FaceModels } from './faces/models';
import type { Pyramid } from './faces/pyramid';
import { measureFrame, type MeasuredPicture } from './measureFrame';
import type { OpenPicture } from './read/openPicture';
import { localMsOf } from './read/takenAt';
import { likelyIn, sightAfter, type FacesBefore } from './faces/sight';

/** Photographs measured one after another: faces are looked for where they were a moment before. */

/** What was measured of a frame, and what was seen in it for the next. */
export interface MeasuredNext extends MeasuredPicture {
	readonly sight: FacesBefore;
}

/**
 * Measures a picture, which is given back.
 * @param before what was seen in the frame before
 */
export async function measureNext(
	models: FaceModels,
	name: string,
	picture: OpenPicture,
	before: FacesBefore | null,
	pauses: SearchPauses
): Promise<MeasuredNext> {
	const { bitmap, facts } = picture;
	const frame = { widthPx: bitmap.width, localMs: localMsOf(facts.takenAt) };
	const likely = likelyIn(frame, before);
	const find = (pyramid: Pyramid) =>
		likely ? findFacesAgain(models, pyramid, likely, pauses) : findFaces(models, pyramid, pauses);
	const { found, ...result } = await measureFrame(name, picture, find, pauses);
	const boxes = found.map(({ box }) => box);
	return { ...result, sight: sightAfter(frame, boxes, before) };
}
