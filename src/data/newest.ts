import type { Job, ShotRecord } from './database';

/**
 * What is known here and what the store says, by id. What the store says may be older than what was
 * just saved or added here: then the newer revision stays.
 */
function newest<T extends { readonly id: string }>(
	known: readonly T[],
	stored: readonly T[],
	newer: (mine: T, stored: T) => T
): T[] {
	const byId = new Map(stored.map((one) => [one.id, one]));
	for (const one of known) {
		const other = byId.get(one.id);
		byId.set(one.id, other ? newer(one, other) : one);
	}
	return [...byId.values()];
}

const laterOf = <T extends { readonly revision: number }>(mine: T, stored: T): T =>
	mine.revision > stored.revision ? mine : stored;

export const newestJobs = (known: readonly Job[], stored: readonly Job[]): Job[] =>
	newest(known, stored, laterOf);

/** A shot and its place in the day have revisions of their own. */
export const newestShots = (
	known: readonly ShotRecord[],
	stored: readonly ShotRecord[]
): ShotRecord[] =>
	newest(known, stored, (mine, theirs) => {
		const one = laterOf(mine, theirs);
		const slot = laterOf(mine.slot, theirs.slot);
		return one.slot === slot ? one : { ...one, slot };
	});
