import type { MeasuredFrame } from '$core/format/review';
import { middleOf } from '$core/review/people';
import type { LikelyFace } from '../photograph/faces/findFaces';
import { faceModels } from '../photograph/faces/models';
import { measureFrame } from '../photograph/measureFrame';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { localMsOf } from '../photograph/read/takenAt';
import { serve } from './protocol';

/** Measures photographs that came home, one at a time; the page has two of these. */

export type Measuring =
	| { readonly ok: true; readonly measured: MeasuredFrame }
	| { readonly ok: false; readonly problem: PictureProblem };

export type ReviewQuestions = {
	readonly measure: {
		question: { readonly file: Blob; readonly name: string };
		partial: never;
		answer: Measuring;
	};
};

/** Frames taken within so long of each other show the same people at nearly the same places, ms. */
const A_MOMENT_MS = 15_000;
/** After so many frames everywhere is looked again: somebody may have come. */
const LOOK_AGAIN = 6;

/** The last frame that was measured here, and how many since everywhere was looked at closely. */
let last: MeasuredFrame | null = null;
let since = 0;

function likelyIn({ widthPx }: { widthPx: number }, localMs: number | null): LikelyFace[] {
	if (!last || last.localMs === null || localMs === null || last.widthPx !== widthPx) return [];
	if (Math.abs(localMs - last.localMs) > A_MOMENT_MS || since >= LOOK_AGAIN) return [];
	return last.faces.map((face) => {
		const { x, y, widthPx: sidePx } = middleOf(face);
		return { x, y, sidePx };
	});
}

serve<ReviewQuestions>({
	async measure({ file, name }, { breathe }) {
		const [opening, models] = await Promise.all([openPicture(file), faceModels()]);
		if (!opening.ok) return opening;
		const { bitmap, facts } = opening.picture;
		const likely = likelyIn({ widthPx: bitmap.width }, localMsOf(facts.takenAt));
		since = likely.length > 0 ? since + 1 : 0;
		const pauses = { breathe, tell: () => undefined };
		const measured = await measureFrame(models, name, opening.picture, pauses, likely);
		// somebody who was hidden for one frame is looked for in the next
		last = measured.faces.length >= likely.length ? measured : last;
		return { ok: true, measured };
	}
});
