import { json } from '@sveltejs/kit';
import { planJsonSchema } from '$core/format/jsonSchema';
import { onlyMethod } from '../../../../server/respond';

export const GET = () => json(planJsonSchema());
export const fallback = onlyMethod('GET');
