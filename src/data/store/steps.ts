import { StepSchema, type ShotRecord, type StepRecord } from './database';
import { startHistory, type History, type Step } from '../history';

/** The history of a shot as records, one a step. */

/**
 * The history that records tell, in the order of their steps. When one does not validate, is missing, or
 * the present one is, the history starts anew after them.
 */
export function historyFrom(
	{ cursor, shot }: Pick<ShotRecord, 'cursor' | 'shot'>,
	rows: readonly StepRecord[]
): History {
	const first = rows[0]?.step ?? cursor;
	const steps: Step[] = [];
	for (const row of rows) {
		const result = StepSchema.safeParse(row);
		if (!result.success || result.data.step !== first + steps.length) {
			return startHistory(shot, (rows.at(-1)?.step ?? -1) + 1);
		}
		steps.push({ gesture: result.data.gesture, shot: result.data.shot });
	}
	const holdsCursor = cursor >= first && cursor < first + steps.length;
	return holdsCursor ? { steps, first, cursor } : startHistory(shot, first + steps.length);
}

/** The records of a shot's steps from the one with a number on. */
export const stepsFrom = (
	shotId: string,
	{ steps, first }: History,
	changedFrom: number
): StepRecord[] =>
	steps
		.map(({ gesture, shot }, i) => ({ shotId, step: first + i, gesture, shot }))
		.filter(({ step }) => step >= changedFrom);
