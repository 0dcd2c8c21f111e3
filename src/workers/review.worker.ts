import { faceModels } from '../photograph/faces/models';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { measureNext, type MeasuredNext } from '../photograph/series';
import type { FacesBefore } from '../photograph/faces/sight';
import { serve } from './protocol';

/** Measures photographs that came home, one at a time; the page has two of these. */

export type Measuring =
	({ readonly ok: true } & MeasuredNext) | { readonly ok: false; readonly problem: PictureProblem };

export type ReviewQuestions = {
	readonly measure: {
		/** With what was seen in the frame before, if it is of the same series. */
		question: { readonly file: Blob; readonly name: string; readonly before: FacesBefore | null };
		partial: never;
		answer: Measuring;
	};
};

serve<ReviewQuestions>({
	async measure({ file, name, before }, { breathe }) {
		const [opening, models] = await Promise.all([openPicture(file), faceModels()]);
		if (!opening.ok) return opening;
		const pauses = { breathe, tell: () => undefined };
		return { ok: true, ...(await measureNext(models, name, opening.picture, before, pauses)) };
	}
});
