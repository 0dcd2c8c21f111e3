import { answer } from '../../../../server/answer';
import { onlyMethod } from '../../../../server/respond';

const BATCH_BYTES = 8 * 1024 * 1024;

/** Many shots in, as many plans or errors out, in the same order. */
export const POST = ({ request, platform }) => answer({ request, platform }, 'batch', BATCH_BYTES);

export const fallback = onlyMethod('POST');
