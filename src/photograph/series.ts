import type { MeasuredFace, MeasuredFrame } from '$core/format/review';
import { middleOf } from '$core/review/people';
import type { FaceBox } from './faces/detect';
import type { Pauses } from './faces/findFaces';
import type { FaceModels } from './faces/models';
import { measureFrame, type MeasuredPicture } from './measureFrame';
import type { OpenPicture } from './read/openPicture';
import { localMsOf } from './read/takenAt';

/** Frames taken within so long of each other show the same people at nearly the same places, ms. */
const A_MOMENT_MS = 15_000;
/** After so many frames everywhere is looked again: somebody may have come. */
const LOOK_AGAIN = 6;
/** What the detector calls a face, against its width: how large, and how far below the eyes (measured on practice frames). */
const BOX = { side: 1.16, belowEyes: 0.24 } as const;

/** Photographs measured one after another: faces are looked for where they were a moment before. */
export class Series {
	/** The last frame, and how many since everywhere was looked at closely. */
	#last: MeasuredFrame | null = null;
	#since = 0;

	/** Measures a picture, which is given back. */
	async measure(
		models: FaceModels,
		name: string,
		picture: OpenPicture,
		pauses: Pauses
	): Promise<MeasuredPicture> {
		const { bitmap, facts } = picture;
		const likely = this.#likelyIn(bitmap.width, localMsOf(facts.takenAt));
		this.#since = likely.length > 0 ? this.#since + 1 : 0;
		const result = await measureFrame(models, name, picture, pauses, likely);
		const { measured } = result;
		// somebody who was hidden for one frame is looked for in the next
		if (measured.faces.length >= likely.length) this.#last = measured;
		return result;
	}

	#likelyIn(widthPx: number, localMs: number | null): FaceBox[] {
		const last = this.#last;
		if (!last || last.localMs === null || localMs === null || last.widthPx !== widthPx) return [];
		if (Math.abs(localMs - last.localMs) > A_MOMENT_MS || this.#since >= LOOK_AGAIN) return [];
		return last.faces.map(boxOf);
	}
}

function boxOf(face: MeasuredFace): FaceBox {
	const { x, y, widthPx } = middleOf(face);
	const turnRad = Math.atan2(face.left.y - face.right.y, face.left.x - face.right.x);
	const belowPx = BOX.belowEyes * widthPx;
	return {
		x: x - belowPx * Math.sin(turnRad),
		y: y + belowPx * Math.cos(turnRad),
		sidePx: BOX.side * widthPx,
		turnRad,
		score: 1
	};
}
