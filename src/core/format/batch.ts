import { z } from 'zod';
import { list, record } from './fields';
import { problemsOf, type Problem } from './problems';

/** Most shots in one batch. */
const MOST_SHOTS = 200;

/** A batch of shots; each shot is validated on its own, so that a bad one does not sink the rest. */
const BatchSchema = record('the batch', {
	shots: list('the batch', z.unknown(), MOST_SHOTS)
});

export type BatchReading =
	| { readonly ok: true; readonly shots: readonly unknown[] }
	| { readonly ok: false; readonly problems: readonly Problem[] };

/** Reads the outside of a batch. */
export function readBatch(value: unknown): BatchReading {
	const result = BatchSchema.safeParse(value);
	if (result.success) return { ok: true, shots: result.data.shots };
	return { ok: false, problems: problemsOf(result.error) };
}
