import { list, record, text, whole } from './fields';
import { JudgementSchema } from './review';
import type { z } from 'zod';

/** What was said of frames that came home, as a backup holds it: marks and notes, neither pictures nor measures. */

/** Most frames of a part of a backup. */
export const MOST_SAID = 10_000;

const FrameSaidSchema = record('what was said of a frame', {
	/** The file's name, size and time, by which it is known again. */
	file: text('the file of the frame', 1, 1000),
	...JudgementSchema.shape
});
export type FrameSaid = z.output<typeof FrameSaidSchema>;

export const SaidOfJobSchema = record('what was said of the frames', {
	/** Its number among the jobs of the backup; null for frames of no job. */
	job: whole('the number of the job', 0, 1_000_000).nullable(),
	frames: list('the frames', FrameSaidSchema, MOST_SAID).readonly()
});
export type SaidOfJob = z.output<typeof SaidOfJobSchema>;
