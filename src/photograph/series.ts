import type { FaceBox } from './faces/detect';
import { findFaces, findFacesAgain, type Pauses } from './faces/findFaces';
import type { FacePoints } from './faces/mesh';
import type { FaceModels } from './faces/models';
import type { Pyramid } from './faces/pyramid';
import { measureFrame, type MeasuredPicture } from './measureFrame';
import type { OpenPicture } from './read/openPicture';
import { localMsOf } from './read/takenAt';

/** Photographs measured one after another: faces are looked for where they were a moment before. */

/** Frames taken within so long of each other show the same people at nearly the same places, ms. */
const A_MOMENT_MS = 15_000;
/** After so many frames everywhere is looked again: somebody may have come. */
const LOOK_AGAIN = 6;

/** Where faces are in a frame, for the next one of its series. */
export interface Sight {
	readonly widthPx: number;
	readonly localMs: number | null;
	readonly faces: readonly FaceBox[];
	/** How many frames ago everywhere was looked at. */
	readonly since: number;
}

/**
 * Measures a picture, which is given back.
 * @param before what was seen in the frame before
 */
export async function measureNext(
	models: FaceModels,
	name: string,
	picture: OpenPicture,
	before: Sight | null,
	pauses: Pauses
): Promise<MeasuredPicture & { readonly sight: Sight }> {
	const { width: widthPx } = picture.bitmap;
	const localMs = localMsOf(picture.facts.takenAt);
	const likely = before && isAMomentAfter(before, widthPx, localMs) ? before : null;
	const isEverywhere = !likely || likely.since >= LOOK_AGAIN;
	let found: readonly FacePoints[] = [];
	const find = async (pyramid: Pyramid) => {
		found = likely
			? await findFacesAgain(models, pyramid, likely.faces, isEverywhere, pauses)
			: await findFaces(models, pyramid, pauses);
		return found;
	};
	const result = await measureFrame(name, picture, find, pauses);
	const sight = { widthPx, localMs, faces: found.map(({ box }) => box), since: 0 };
	if (isEverywhere) return { ...result, sight };
	const since = likely.since + 1;
	// somebody who was hidden for one frame is looked for in the next
	const last = found.length < likely.faces.length ? likely : sight;
	return { ...result, sight: { ...last, since } };
}

function isAMomentAfter(before: Sight, widthPx: number, localMs: number | null): boolean {
	return (
		before.widthPx === widthPx &&
		before.localMs !== null &&
		localMs !== null &&
		Math.abs(localMs - before.localMs) <= A_MOMENT_MS
	);
}
