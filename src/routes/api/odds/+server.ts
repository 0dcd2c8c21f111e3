import { json } from '@sveltejs/kit';
import { readOddsRequest } from '$core/format/odds';
import { SHOT_BYTES } from '$core/format/shotFile';
import { oddsFor } from '../planning';
import { onlyMethod, readJson, errorAnswer } from '../respond';

/** A shot, a number of frames and a seed in; the odds of its plan out. */
export async function POST({ request }) {
	const reading = await readJson(request, SHOT_BYTES);
	if (!reading.ok) return reading.response;
	const asked = readOddsRequest(reading.value);
	if (!asked.ok)
		return errorAnswer(422, 'invalid', 'Something in this request is not right.', asked.problems);
	const result = oddsFor(asked.request);
	return json(result, { status: 'error' in result ? 422 : 200 });
}

export const fallback = onlyMethod('POST');
