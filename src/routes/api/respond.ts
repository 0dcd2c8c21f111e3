import { json } from '@sveltejs/kit';
import type { Problem } from '$core/format/problems';

/** What every route shares: bounded reading of a request, and errors of one shape. */

export interface ApiError {
	readonly code: string;
	readonly message: string;
	readonly issues: readonly Problem[];
}

/** The body of an error answer. */
export const errorBody = (
	code: string,
	message: string,
	issues: readonly Problem[] = []
): { error: ApiError } => ({ error: { code, message, issues } });

/** An error answer. */
export function errorAnswer(
	status: number,
	code: string,
	message: string,
	issues: readonly Problem[] = [],
	headers: Record<string, string> = {}
): Response {
	return json(errorBody(code, message, issues), { status, headers });
}

/** For every method a route does not have. */
export function onlyMethod(method: 'GET' | 'POST') {
	const allow = method === 'GET' ? 'GET, HEAD' : method;
	return () =>
		errorAnswer(405, 'wrong-method', `This address answers to ${method} only.`, [], { allow });
}

export type JsonReading =
	| { readonly ok: true; readonly value: unknown }
	| { readonly ok: false; readonly response: Response };

/** Reads a JSON body of at most so many bytes. Never throws; what is wrong comes back as an answer. */
export async function readJson(request: Request, mostBytes: number): Promise<JsonReading> {
	const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
	if (type !== 'application/json') {
		const message = 'Send the shot as JSON, with the content type application/json.';
		return { ok: false, response: errorAnswer(415, 'wrong-content-type', message) };
	}
	const bytes = await readBytes(request, mostBytes);
	if (bytes === null) {
		const message = `This is too large: at most ${mostBytes / 1024 / 1024} MiB.`;
		const close = { connection: 'close' };
		return { ok: false, response: errorAnswer(413, 'too-large', message, [], close) };
	}
	try {
		const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
		return { ok: true, value: JSON.parse(text) };
	} catch {
		const message = 'This is not valid JSON in UTF-8: it may be cut off or damaged.';
		return { ok: false, response: errorAnswer(400, 'not-json', message) };
	}
}

/** How much of a body is heard out before the connection is cut, bytes. */
const MOST_DRAINED = 64 * 1024 * 1024;

/**
 * The body, or null when it is too large. Too large a body is still heard out, without keeping it,
 * so that whoever sends it gets to read the answer.
 */
async function readBytes(request: Request, mostBytes: number): Promise<Uint8Array | null> {
	let chunks: Uint8Array[] = [];
	let size = 0;
	try {
		for await (const chunk of request.body ?? []) {
			size += chunk.byteLength;
			if (size > MOST_DRAINED) break;
			if (size > mostBytes) chunks = [];
			else chunks.push(chunk);
		}
	} catch {
		// the client went away: what came is all there is, and will not parse
	}
	return size > mostBytes ? null : Buffer.concat(chunks);
}
