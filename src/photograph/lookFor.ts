import type { FoundFace } from '$core/photograph/fitHead';
import type { PhotographFacts, PictureSize } from '$core/photograph/lensOf';
import { findFaces, type Helper, type SearchPauses } from './faces/findFaces';
import { faceOf, faceWidthPx } from './faces/landmarks';
import type { FaceModels } from './faces/models';
import { Pyramid } from './faces/pyramid';
import type { OpenPicture } from './read/openPicture';
import { smaller } from './smallPicture';

/** Everything that is found in a photograph. */

/** A face of a photograph. */
export interface SeenFace extends FoundFace {
	/** Middle of the eyes, px from the top left. */
	readonly x: number;
	readonly y: number;
	/** From ear to ear or so, px. */
	readonly widthPx: number;
	readonly irisPx: number;
}

export interface SeenPhotograph {
	readonly size: PictureSize;
	readonly facts: PhotographFacts;
	readonly faces: readonly SeenFace[];
	/** The photograph for the screen, without what it said of itself. */
	readonly small: Blob;
}

/** Pixels along the long side of what is shown. */
const SHOWN_PX = 1600;
const JPEG_QUALITY = 0.85;

/** The faces in a picture, from the left to the right. The picture is given back. */
export async function lookFor(
	models: FaceModels,
	{ bitmap, facts }: OpenPicture,
	pauses: SearchPauses,
	helper: Helper | null = null
): Promise<SeenPhotograph> {
	const pyramid = new Pyramid(bitmap);
	try {
		const size = { widthPx: bitmap.width, heightPx: bitmap.height };
		const found = await findFaces(models, pyramid, pauses, helper);
		const faces = found.map((points) => {
			const { leftIris, rightIris } = points;
			return {
				...faceOf(points, size),
				x: (leftIris.x + rightIris.x) / 2,
				y: (leftIris.y + rightIris.y) / 2,
				widthPx: faceWidthPx(points),
				irisPx: (leftIris.widthPx + rightIris.widthPx) / 2
			};
		});
		const small = await smaller(pyramid.atLeast(SHOWN_PX), SHOWN_PX, JPEG_QUALITY);
		return { size, facts, faces: faces.toSorted((a, b) => a.x - b.x), small };
	} finally {
		pyramid.dispose();
		bitmap.close();
	}
}
