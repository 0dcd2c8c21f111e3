import type { AdviceQuestions } from './advice.worker';
import type { OddsQuestions } from './odds.worker';
import type { PhotographQuestions } from './photograph.worker';
import type { PracticeQuestions } from './practice.worker';
import { WorkerPort } from './port';

/** The workers that compute beside the page; each is started when first asked. */

export type { OddsTable } from './odds.worker';
export type { TakenFrame } from './practice.worker';

export const advicePort = new WorkerPort<AdviceQuestions>(
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
