import { setImmediate } from 'node:timers/promises';
import { json } from '@sveltejs/kit';
import { readBatch } from '$core/format/batch';
import { planFor } from '../../planning';
import { onlyMethod, readJson, errorAnswer } from '../../respond';

const BATCH_BYTES = 8 * 1024 * 1024;

/** Many shots in, as many plans or errors out, in the same order. */
export async function POST({ request }) {
	const reading = await readJson(request, BATCH_BYTES);
	if (!reading.ok) return reading.response;
	const batch = readBatch(reading.value);
	if (!batch.ok)
		return errorAnswer(422, 'invalid', 'Something in this batch is not right.', batch.problems);

	const results = [];
	for (const shot of batch.shots) {
		results.push(planFor(shot));
		// let other requests in between two shots
		await setImmediate();
	}
	return json({ results });
}

export const fallback = onlyMethod('POST');
