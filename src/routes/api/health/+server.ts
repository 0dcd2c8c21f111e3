import { json } from '@sveltejs/kit';
import { onlyMethod } from '../../../server/respond';

export const GET = () => json({ status: 'ok', version: __FOCALIS_VERSION__ });
export const fallback = onlyMethod('GET');
