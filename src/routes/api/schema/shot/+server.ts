import { json } from '@sveltejs/kit';
import { shotJsonSchema } from '$core/format/jsonSchema';
import { onlyMethod } from '../../../../server/respond';

export const GET = () => json(shotJsonSchema());
export const fallback = onlyMethod('GET');
