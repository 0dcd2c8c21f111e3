import { json } from '@sveltejs/kit';
import { SHOT_BYTES } from '$core/format/shotFile';
import { planFor } from '../planning';
import { onlyMethod, readJson } from '../respond';

/** A shot in, a plan out. */
export async function POST({ request }) {
	const reading = await readJson(request, SHOT_BYTES);
	if (!reading.ok) return reading.response;
	const result = planFor(reading.value);
	return json(result, { status: 'error' in result ? 422 : 200 });
}

export const fallback = onlyMethod('POST');
