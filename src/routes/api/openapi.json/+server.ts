import { json } from '@sveltejs/kit';
import { onlyMethod } from '../../../server/respond';
import { openApi } from './document';

export const GET = () => json(openApi());
export const fallback = onlyMethod('GET');
