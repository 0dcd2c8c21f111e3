import type { MeasuredFrame } from '$core/format/review';
import type { Body, Shot } from '$core/format/shot';
import { judgedOf, type JudgedSet } from '$core/review/judgedSet';
import { reviewSet } from '$core/review/reviewSet';
import { serve } from './protocol';

/** Judges the frames of a shot together, beside the page. It keeps the frames that it was told. */

/** A frame and the number that it is known by. */
export interface NumberedFrame {
	readonly number: number;
	readonly frame: MeasuredFrame;
}

/** What frames are judged by. */
export interface Standard {
	/** Null where nothing was planned. */
	readonly shot: Shot | null;
	readonly bodies: readonly Body[];
}

export type JudgingQuestions = {
	/** Tells frames. */
	readonly know: { question: readonly NumberedFrame[]; partial: never; answer: undefined };
	/** Judges frames by their numbers; or says which of them it does not know. */
	readonly judge: {
		question: Standard & { readonly numbers: readonly number[] };
		partial: never;
		answer: { readonly judged: JudgedSet } | { readonly missing: readonly number[] };
	};
};

/** How many of the frames asked about last are kept: 0.1 MB each with fifteen faces. */
const MOST_KEPT = 800;

const known = new Map<number, MeasuredFrame>();

serve<JudgingQuestions>({
	know(frames) {
		for (const { number, frame } of frames) known.set(number, frame);
		return undefined;
	},
	judge({ numbers, shot, bodies }) {
		const missing = numbers.filter((one) => !known.has(one));
		if (missing.length > 0) return { missing };
		const frames = numbers.map((one) => {
			const frame = known.get(one) as MeasuredFrame;
			known.delete(one);
			known.set(one, frame);
			return frame;
		});
		for (const oldest of known.keys()) {
			if (known.size <= Math.max(MOST_KEPT, numbers.length)) break;
			known.delete(oldest);
		}
		return { judged: judgedOf(reviewSet(frames, shot, bodies)) };
	}
});
