import { refuse } from '../respond';

export const fallback = () =>
	refuse(404, 'not-found', 'There is nothing at this address; see /api/openapi.json.');
