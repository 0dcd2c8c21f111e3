import { faceModels } from '../photograph/faces/models';
import type { MeasuredPicture } from '../photograph/measureFrame';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { measureNext, type Sight } from '../photograph/series';
import { serve } from './protocol';

/** Measures photographs that came home, one at a time; the page has two of these. */

export type Measuring =
	| ({ readonly ok: true; readonly sight: Sight } & MeasuredPicture)
	| { readonly ok: false; readonly problem: PictureProblem };

export type ReviewQuestions = {
	readonly measure: {
		/** With what was seen in the frame before, if it is of the same series. */
		question: { readonly file: Blob; readonly name: string; readonly before: Sight | null };
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
