import type { ChartKind, ChartPaper } from '$core/bench/chart';
import type { ChartFrameProblem } from '$core/bench/measuredChart';
import { measureChart, type ChartMeasuring } from '../photograph/measureChart';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { serve } from './protocol';

/** Measures photographs of charts, one at a time. */

export type BenchProblem = ChartFrameProblem | PictureProblem;

export type BenchQuestions = {
	readonly measure: {
		question: {
			readonly file: Blob;
			readonly name: string;
			readonly kind: ChartKind;
			readonly paper: ChartPaper;
		};
		partial: never;
		answer: ChartMeasuring | { readonly ok: false; readonly problem: BenchProblem };
	};
};

serve<BenchQuestions>({
	async measure({ file, name, kind, paper }) {
		const opening = await openPicture(file);
		return opening.ok ? measureChart(opening.picture, name, kind, paper) : opening;
	}
});
