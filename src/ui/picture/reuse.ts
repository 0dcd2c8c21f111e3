import isEqual from 'fast-deep-equal';

/**
 * `next`, but with every part that equals the same part of `before` being that very part. What is
 * worked out anew on every move of a drag is mostly what it was: this way only what has changed is
 * drawn again. For plain data: arrays, objects, numbers, texts.
 *
 * @example reuse([{ a: 1 }, { a: 2 }], [{ a: 1 }, { a: 3 }])[0] // the first object given
 */
export function reuse<T>(before: T, next: T): T {
	if (Object.is(before, next) || !isPlain(before) || !isPlain(next)) return next;
	if (Array.isArray(next)) return Array.isArray(before) ? (reuseList(before, next) as T) : next;
	const keys = Object.keys(next);
	let isSame = !Array.isArray(before) && keys.length === Object.keys(before).length;
	const shared: Record<string, unknown> = {};
	for (const key of keys) {
		const one = reuse(before[key], next[key]);
		shared[key] = one;
		if (one !== before[key] || !(key in before)) isSame = false;
	}
	return isSame ? before : (shared as T);
}

/** By their places, not by the names of these: lists are long. */
function reuseList(before: readonly unknown[], next: readonly unknown[]): readonly unknown[] {
	const shared = next.map((one, i) => reuse(before[i], one));
	const isSame = next.length === before.length && shared.every((one, i) => one === before[i]);
	return isSame ? before : shared;
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
	return isEqual(before, next) ? before : next;
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
