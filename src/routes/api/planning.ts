import type { Plan } from '$core/format/plan';
import { readShot } from '$core/format/shotFile';
import { asksForSomething, ASKS_FOR_NOTHING, solve } from '$core/solve/solve';
import { errorBody, type ApiError } from './respond';

/** A parsed value as a shot, worked out; or what is wrong with it. */
export function planFor(value: unknown): Plan | { error: ApiError } {
	const reading = readShot(value);
	if (!reading.ok) return errorBody(reading.code, reading.message, reading.problems);
	if (!asksForSomething(reading.shot)) {
		const issues = [{ path: 'people', message: ASKS_FOR_NOTHING }];
		return errorBody('asks-for-nothing', ASKS_FOR_NOTHING, issues);
	}
	return solve(reading.shot).plan;
}
