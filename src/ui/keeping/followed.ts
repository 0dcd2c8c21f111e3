import { byPosition, inOrder, type Contents } from '$data/store/contents';
import type { Job, KitBody, KitLens, ShotRecord } from '$data/store/database';

/** What counts its changes. */
interface Counted {
	readonly revision: number;
}

/** The records of this device that are lists. */
export interface Lists {
	readonly jobs: readonly Job[];
	readonly shots: readonly ShotRecord[];
	readonly bodies: readonly KitBody[];
	readonly lenses: readonly KitLens[];
}

/**
 * What is known here with what the store says, which stands but for records that are on their way to it, or were saved
 * after it was asked.
 *
 * @param isOurs  whether a record is on its way, by its kind and id
 * @param isFirst whether the store is read for the first time: the kit that was there before it is a preset
 */
export function mergedWithStore(
	known: Lists,
	contents: Contents,
	isOurs: (kind: string, id: string) => boolean,
	isFirst: boolean
): Lists {
	const isThere = (jobId: string) => !contents.erased.has(jobId);
	const isNewer = (kind: string, id: string, mine: Counted, theirs: Counted) =>
		isOurs(kind, id) || mine.revision > theirs.revision;
	const kit = <T extends Counted & { readonly id: string; readonly position: number }>(
		kind: 'bodies' | 'lenses',
		mine: readonly T[],
		stored: readonly T[]
	): T[] =>
		taken(isFirst ? mine.filter(({ id }) => isOurs(kind, id)) : mine, stored, (one, theirs) =>
			one && isNewer(kind, theirs.id, one, theirs) ? one : theirs
		)
			.filter(({ id }) => !contents.takenOut.has(id) || isOurs(kind, id))
			.sort(byPosition);
	return {
		jobs: taken(known.jobs, contents.jobs, (mine, theirs) =>
			mine && isNewer('jobs', theirs.id, mine, theirs) ? mine : theirs
		).filter(({ id }) => isThere(id)),
		shots: taken(known.shots, contents.shots, (mine, theirs) => {
			if (!mine) return theirs;
			const { id } = theirs;
			const slot = isNewer('slots', id, mine.slot, theirs.slot) ? mine.slot : theirs.slot;
			return { ...(isNewer('shots', id, mine, theirs) ? mine : theirs), slot };
		})
			.filter(({ id, slot }) => isThere(slot.jobId) || isOurs('shots', id))
			.sort(inOrder),
		bodies: kit('bodies', known.bodies, contents.bodies),
		lenses: kit('lenses', known.lenses, contents.lenses)
	};
}

/** Records by their ids, those of the store put in their places. */
function taken<T extends { readonly id: string }>(
	known: readonly T[],
	stored: readonly T[],
	put: (mine: T | undefined, stored: T) => T
): T[] {
	const byId = new Map(known.map((one) => [one.id, one]));
	for (const one of stored) byId.set(one.id, put(byId.get(one.id), one));
	return [...byId.values()];
}
