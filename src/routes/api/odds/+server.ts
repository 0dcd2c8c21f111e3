import { SHOT_BYTES } from '$core/format/shotFile';
import { answer } from '../../../server/answer';
import { onlyMethod } from '../../../server/respond';

/** A shot, a number of frames and a seed in; the odds of its plan out. */
export const POST = ({ request, platform }) => answer({ request, platform }, 'odds', SHOT_BYTES);

export const fallback = onlyMethod('POST');
