import { errorAnswer } from '../../../server/respond';

export const fallback = () =>
	errorAnswer(404, 'not-found', 'There is nothing at this address; see /api/openapi.json.');
