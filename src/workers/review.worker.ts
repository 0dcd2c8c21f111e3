import { faceModels } from '../photograph/faces/models';
import type { MeasuredPicture } from '../photograph/measureFrame';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { Series } from '../photograph/series';
import { serve } from './protocol';

/** Measures photographs that came home, one at a time; the page has two of these. */

export type Measuring =
	| ({ readonly ok: true } & MeasuredPicture)
	| { readonly ok: false; readonly problem: PictureProblem };

export type ReviewQuestions = {
	readonly measure: {
		question: { readonly file: Blob; readonly name: string };
		partial: never;
		answer: Measuring;
	};
};

const series = new Series();

serve<ReviewQuestions>({
	async measure({ file, name }, { breathe }) {
		const [opening, models] = await Promise.all([openPicture(file), faceModels()]);
		if (!opening.ok) return opening;
		const pauses = { breathe, tell: () => undefined };
		return { ok: true, ...(await series.measure(models, name, opening.picture, pauses)) };
	}
});
