import { json, type Handle, type HandleServerError } from '@sveltejs/kit';
import { isForUs, isLoopback, ownNames } from './hosts';

const listenOn = process.env['HOST'] ?? '127.0.0.1';
const names = isLoopback(listenOn) ? null : ownNames(listenOn, process.env['ORIGIN']);
if (names) {
	console.warn(
		`Focalis listens on ${listenOn}: anyone who can reach this computer there can use it.`
	);
}

export const handle: Handle = async ({ event, resolve }) => {
	if (names && !isForUs(event.request.headers, names)) {
		const message = 'This request names another host or comes from another site.';
		return json({ error: { code: 'foreign', message, issues: [] } }, { status: 403 });
	}
	const response = await resolve(event);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'no-referrer');
	response.headers.set('cross-origin-opener-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error, status }) => {
	if (status !== 404) console.error(error);
	return { message: status === 404 ? 'There is nothing here.' : 'Something went wrong here.' };
};
