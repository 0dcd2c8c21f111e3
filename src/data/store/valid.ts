import type { z } from 'zod';
import { problemsOf, type Problem } from '$core/format/problems';

/** A record that the schema refuses never comes into the store. */
export class Invalid extends Error {
	constructor(readonly problems: readonly Problem[]) {
		super(problems[0]?.message ?? 'something is not right');
	}
}

/** @throws Invalid when it is none */
export function validated<T>(schema: z.ZodType<T>, record: unknown): T {
	const result = schema.safeParse(record);
	if (!result.success) throw new Invalid(problemsOf(result.error));
	return result.data;
}
