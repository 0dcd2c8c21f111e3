/** Works something out when it is first asked for, and once. */
export function lazily<T>(make: () => T): () => T {
	let made: { readonly value: T } | null = null;
	return () => (made ??= { value: make() }).value;
}
