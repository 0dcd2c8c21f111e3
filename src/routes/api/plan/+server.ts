import { SHOT_BYTES } from '$core/format/shotFile';
import { answer } from '../../../server/answer';
import { onlyMethod } from '../../../server/respond';

/** A shot in, a plan out; with `?advice=1` also what would help. */
export const POST = ({ request, url, platform }) =>
	answer(
		{ request, platform },
		url.searchParams.get('advice') === '1' ? 'plan-with-advice' : 'plan',
		SHOT_BYTES
	);

export const fallback = onlyMethod('POST');
