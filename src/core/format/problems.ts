import type { z } from 'zod';

export interface Problem {
	/** Where, as in `people.3.turnDeg`; empty for the whole file. */
	readonly path: string;
	/** What is wrong, in a photographer's words. */
	readonly message: string;
}

/** At most this many problems are told at once: the first ones help, the thousandth does not. */
export const MOST_PROBLEMS = 50;
const LONGEST_PATH = 200;

/** Zod's findings as paths and plain messages. */
export function problemsOf(error: z.ZodError): Problem[] {
	return error.issues.slice(0, MOST_PROBLEMS).map((issue) => {
		const path = issue.path.map(String);
		if (issue.code === 'unrecognized_keys') path.push(issue.keys[0] ?? '');
		return { path: path.join('.').slice(0, LONGEST_PATH), message: issue.message };
	});
}
