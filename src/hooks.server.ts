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
	return compressed(event.request, await resolve(event));
};

/** Shorter answers are not worth it, bytes. */
const LEAST_BYTES = 1024;

/** An answer of the API, compressed where that is understood; pages and files are compressed beforehand. */
function compressed(request: Request, response: Response): Response {
	const { headers, body } = response;
	const isData = headers.get('content-type')?.startsWith('application/json') ?? false;
	if (!isData || !body) return response;
	headers.append('vary', 'accept-encoding');
	const isLong = Number(headers.get('content-length') ?? Infinity) >= LEAST_BYTES;
	if (!isLong || !/\bgzip\b/.test(request.headers.get('accept-encoding') ?? '')) return response;
	headers.set('content-encoding', 'gzip');
	headers.delete('content-length');
	return new Response(body.pipeThrough(new CompressionStream('gzip')), response);
}

export const handleError: HandleServerError = ({ error, status }) => {
	if (status !== 404) console.error(error);
	return { message: status === 404 ? 'There is nothing here.' : 'Something went wrong here.' };
};
