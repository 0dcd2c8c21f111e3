import type { AdviceQuestions } from './advice.worker';
import type { BenchQuestions } from './bench.worker';
import type { FilesQuestions } from './files.worker';
import type { OddsQuestions } from './odds.worker';
import type { PhotographQuestions } from './photograph.worker';
import type { PicturesQuestions } from './pictures.worker';
import type { PracticeQuestions } from './practice.worker';
import { WorkerPort } from './port';
import type { ReviewQuestions } from './review.worker';
import type { StitchQuestions } from './stitch.worker';

/** The workers that compute beside the page; each is started when first asked. */

export type { OddsTable } from './odds.worker';
export type { PicturePiece } from './pictures.worker';
export type { BenchProblem } from './bench.worker';
export type { TakenFrame } from './practice.worker';

export const advicePort = new WorkerPort<AdviceQuestions>(
	() => new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' })
);

/** The same for a whole day, beside what is asked of one shot. */
export const choosingPort = new WorkerPort<AdviceQuestions>(
	() => new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' })
);

export const oddsPort = new WorkerPort<OddsQuestions>(
	() => new Worker(new URL('./odds.worker.ts', import.meta.url), { type: 'module' })
);

export const practicePort = new WorkerPort<PracticeQuestions>(
	() => new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' })
);

export const photographPort = new WorkerPort<PhotographQuestions>(
	() => new Worker(new URL('./photograph.worker.ts', import.meta.url), { type: 'module' })
);

export const benchPort = new WorkerPort<BenchQuestions>(
	() => new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' })
);

/** Two, so that both cores of a small machine measure. */
const reviewPort = () =>
	new WorkerPort<ReviewQuestions>(
		() => new Worker(new URL('./review.worker.ts', import.meta.url), { type: 'module' })
	);
export const measuringPorts = [reviewPort(), reviewPort()] as const;

const pictures = () =>
	new WorkerPort<PicturesQuestions>(
		() => new Worker(new URL('./pictures.worker.ts', import.meta.url), { type: 'module' })
	);
/** For strips and sheets. */
export const picturesPort = pictures();
/** For what is looked at now, which waits for no strip. */
export const lookingPort = pictures();

export const stitchPort = new WorkerPort<StitchQuestions>(
	() => new Worker(new URL('./stitch.worker.ts', import.meta.url), { type: 'module' })
);

export const filesPort = new WorkerPort<FilesQuestions>(
	() => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })
);
