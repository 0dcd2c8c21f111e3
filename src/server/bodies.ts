/** Reading what clients send, bounded in size, in time, and in how much of it there is at once. */

/** At most so many bodies are read at a time, with so many bytes of them kept, each for so long. */
const MOST_OPEN = 128;
const MOST_OPEN_BYTES = 64 * 1024 * 1024;
const MOST_MS = 10_000;
/** How many bytes of an oversized body are read before the connection is cut. */
const MOST_DRAINED = 64 * 1024 * 1024;

let open = 0;
let openBytes = 0;

export type SentBody =
	| { readonly kind: 'read'; readonly bytes: Uint8Array }
	/** Larger than it may be; slower than it may be; or too much is being read already. */
	| { readonly kind: 'too-large' | 'too-slow' | 'busy' };

/**
 * The body of a request. One that is too large is still heard out, without keeping it, so that whoever sends
 * it gets to read the answer. A client that goes away leaves what came. What is not read to its end is not
 * cancelled, which would cut the connection before the answer: that must say that it closes it.
 */
export async function readBody(
	request: Request,
	mostBytes: number,
	mostMs = MOST_MS
): Promise<SentBody> {
	if (open >= MOST_OPEN) return { kind: 'busy' };
	open += 1;
	const chunks: Uint8Array[] = [];
	let [size, kept] = [0, 0];
	const reader = request.body?.getReader();
	let timer: ReturnType<typeof setTimeout> | undefined;
	const late = new Promise<'late'>((resolve) => {
		timer = setTimeout(() => resolve('late'), mostMs);
	});
	const forget = () => {
		openBytes -= kept;
		kept = 0;
		chunks.length = 0;
	};
	try {
		while (reader) {
			const next = await Promise.race([reader.read().catch(() => null), late]);
			if (next === 'late') return { kind: 'too-slow' };
			// the client went away: what came is all there is, and will not parse
			if (!next?.value) break;
			size += next.value.byteLength;
			if (size > MOST_DRAINED) break;
			if (size > mostBytes) {
				forget();
				continue;
			}
			if (openBytes + next.value.byteLength > MOST_OPEN_BYTES) return { kind: 'busy' };
			kept += next.value.byteLength;
			openBytes += next.value.byteLength;
			chunks.push(next.value);
		}
		if (size > mostBytes) return { kind: 'too-large' };
		return { kind: 'read', bytes: new Uint8Array(Buffer.concat(chunks)) };
	} finally {
		clearTimeout(timer);
		forget();
		open -= 1;
	}
}
