import type { MeasuredFrame } from '$core/format/review';
import { reviewedOf } from '$core/review/judgedSet';
import type { ReviewedSet } from '$core/review/reviewSet';
import type { JudgingQuestions, Standard } from './judging.worker';
import { WorkerPort, type Answering } from './port';

/** Judges the frames of shots beside the page; each frame goes there once. Started when first asked. */

type SetQuestions = {
	readonly set: {
		question: Standard & { readonly frames: readonly MeasuredFrame[] };
		partial: never;
		answer: ReviewedSet;
	};
};

const port = new WorkerPort<JudgingQuestions>(
	() => new Worker(new URL('./judging.worker.ts', import.meta.url), { type: 'module' })
);

/** How many frames are reported at once, so that the page is not held up. */
const AT_ONCE = 2;

const numbers = new WeakMap<MeasuredFrame, number>();
let lastNumber = 0;
function numberOf(frame: MeasuredFrame): number {
	const number = numbers.get(frame) ?? ++lastNumber;
	numbers.set(frame, number);
	return number;
}

export const judging: Answering<SetQuestions> = {
	async ask(_name, { frames, shot, bodies }, { signal } = {}) {
		const asking = signal ? { signal } : {};
		const question = { numbers: frames.map(numberOf), shot, bodies };
		for (;;) {
			const answer = await port.ask('judge', question, asking);
			if ('judged' in answer) return reviewedOf(answer.judged, frames);
			// a worker that was started anew knows none of them
			const missing = frames.filter((frame) => answer.missing.includes(numberOf(frame)));
			for (let i = 0; i < missing.length; i += AT_ONCE) {
				const some = missing.slice(i, i + AT_ONCE);
				const told = some.map((frame) => ({ number: numberOf(frame), frame }));
				await port.ask('know', told, asking);
			}
		}
	}
};
