/**
 * `next`, but with every part that equals the same part of `before` being that very part. What is
 * worked out anew on every move of a drag is mostly what it was: this way only what has changed is
 * drawn again. For plain data: arrays, objects, numbers, texts.
 *
 * @example reuse([{ a: 1 }, { a: 2 }], [{ a: 1 }, { a: 3 }])[0] // the first object given
 */
export function reuse<T>(before: T, next: T): T {
	if (Object.is(before, next) || !isPlain(before) || !isPlain(next)) return next;
	const keys = Object.keys(next);
	const isList = Array.isArray(next);
	let isSame = isList === Array.isArray(before) && keys.length === Object.keys(before).length;
	const shared = (isList ? [] : {}) as Record<string, unknown>;
	for (const key of keys) {
		shared[key] = reuse(before[key], next[key]);
		if (shared[key] !== before[key]) isSame = false;
	}
	return isSame ? before : (shared as T);
}

function isPlain(value: unknown): value is Record<string, unknown> {
	return typeof value === 'object' && value !== null;
}

/** The same for a value that is worked out again and again: remembers the last one. */
export function reusing<T>(work: () => T): () => T {
	let last: { readonly value: T } | null = null;
	return () => {
		const next = work();
		last = { value: last ? reuse(last.value, next) : next };
		return last.value;
	};
}

/**
 * `before` when `next` equals it in every part, else `next` as it is: what several share in it stays
 * shared.
 */
export function keep<T>(before: T, next: T): T {
	return reuse(before, next) === before ? before : next;
}

/** The same for a value that is worked out again and again: remembers the last one. */
export function keeping<T>(work: () => T): () => T {
	let last: { readonly value: T } | null = null;
	return () => {
		const next = work();
		last = { value: last ? keep(last.value, next) : next };
		return last.value;
	};
}
