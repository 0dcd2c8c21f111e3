import type { RequestEvent } from '@sveltejs/kit';
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { readBody } from './bodies';
import { Busy, Pool, TooLong } from './pool';
import { errorAnswer } from './respond';
import { answerTo, type Answered, type Asked } from './work';

/** Reads a request, has it worked out beside the server's own thread, and answers. */

const SECOND_MS = 1000;
const BOUNDS = {
	threads: Math.max(2, availableParallelism()),
	mostWaiting: 200,
	mostWaitingBytes: 64 * 1024 * 1024,
	mostMs: {
		plan: 30 * SECOND_MS,
		'plan-with-advice': 30 * SECOND_MS,
		batch: 120 * SECOND_MS,
		odds: 30 * SECOND_MS
	}
} as const;
/**
 * Memory of each thread: it takes all it may before it tidies up. 200 shots of 80 people
 * went through with 160, not with 96.
 */
const MEMORY = { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 16 };
/** What those who come when all are busy are told, s. */
const RETRY_AFTER_S = '2';
/** The client closed the connection: nobody reads this. */
const CLIENT_GONE = 499;

const busy = (headers: Record<string, string> = {}) =>
	errorAnswer(
		503,
		'busy',
		'Too much is waiting to be worked out here: ask again in a moment.',
		[],
		{ 'retry-after': RETRY_AFTER_S, ...headers }
	);

/** Where the built server finds its threads; not there in development and in tests of single routes. */
const script = process.env['FOCALIS_WORKER'];
const pool = script
	? new Pool(() => new Worker(new URL(script), { resourceLimits: MEMORY }), BOUNDS)
	: null;

const workedOut = (asked: Asked, signal: AbortSignal): Promise<Answered> =>
	pool ? pool.run(asked, signal) : Promise.resolve(answerTo(asked));

/** Aborts when the client closes its connection: the request's own signal knows of that only while it is read. */
function whileConnected(platform: App.Platform | undefined) {
	const control = new AbortController();
	const socket = platform?.req?.socket;
	const gone = () => control.abort(new Error('the client has gone'));
	if (socket?.destroyed) gone();
	socket?.once('close', gone);
	return { signal: control.signal, forget: () => socket?.off('close', gone) };
}

const isOutOfMemory = (error: unknown): boolean =>
	error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';

/** @param mostBytes of the body */
export async function answer(
	{ request, platform }: Pick<RequestEvent, 'request' | 'platform'>,
	kind: Asked['kind'],
	mostBytes: number
): Promise<Response> {
	const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
	if (type !== 'application/json') {
		const message = 'Send the shot as JSON, with the content type application/json.';
		return errorAnswer(415, 'wrong-content-type', message);
	}
	const body = await readBody(request, mostBytes);
	const close = { connection: 'close' };
	switch (body.kind) {
		case 'too-large': {
			const message = `This is too large: at most ${mostBytes / 1024 / 1024} MiB.`;
			return errorAnswer(413, 'too-large', message, [], close);
		}
		case 'too-slow':
			return errorAnswer(408, 'too-slow', 'What was sent did not arrive in time.', [], close);
		case 'busy':
			return busy(close);
		case 'read':
	}
	const { signal, forget } = whileConnected(platform);
	try {
		const { status, body: text } = await workedOut({ kind, bytes: body.bytes }, signal);
		return new Response(text, { status, headers: { 'content-type': 'application/json' } });
	} catch (error) {
		if (error instanceof Busy) return busy();
		if (error instanceof TooLong || isOutOfMemory(error)) {
			const message =
				'This is more to work out than one request may ask for: try with fewer people, fewer shots, or without advice.';
			return errorAnswer(422, 'too-much', message);
		}
		if (signal.aborted) return new Response(null, { status: CLIENT_GONE });
		throw error;
	} finally {
		forget();
	}
}
