import { z } from 'zod';
import { number, oneOf, record, text, whole } from './fields';

/** The log of what was practised: kept in the browser, and in backups. */

export const EXERCISES = [
	'three-objects',
	'aperture-ladder',
	'eyes-then-nose',
	'four-edges'
] as const;
export type ExerciseName = (typeof EXERCISES)[number];

/** Most entries of a file. */
export const MOST_EXERCISES = 10_000;

/** An exercise that was done: what came out. */
export const ExerciseRecordSchema = record('the exercise', {
	id: text('the id', 1, 80),
	exercise: oneOf('the exercise', EXERCISES),
	/** ms since 1970. */
	doneAt: number('when it was done', 0, 1e14),
	/** With the practice camera, or from files of one's own. */
	isPractice: z.boolean({ error: 'whether it was practice must be yes or no' }),
	frames: whole('the frames', 0, 100_000),
	score: record('how it went', {
		good: whole('what was as it should be', 0, 100_000),
		of: whole('how much it was of', 1, 100_000)
	}),
	lensName: text('the lens’s name', 0, 80)
});
export type ExerciseRecord = z.output<typeof ExerciseRecordSchema>;
