/**
 * What is known here and what the store says, by id. What the store says may be older than what was
 * just saved or added here: then the newer revision stays. Nothing is ever deleted from the store.
 */
export function newest<T extends { readonly id: string; readonly revision?: number }>(
	known: readonly T[],
	stored: readonly T[]
): T[] {
	const byId = new Map(stored.map((one) => [one.id, one]));
	for (const one of known) {
		const other = byId.get(one.id);
		if (!other || (one.revision ?? 0) > (other.revision ?? 0)) byId.set(one.id, one);
	}
	return [...byId.values()];
}
