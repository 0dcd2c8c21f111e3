import type { Shot } from '$core/format/shot';
import type { Job, Slot } from '$data/store/database';
import { merged as mergedParts } from '$data/store/merge';

/** A change of a shot's place in its day: of these keys only. */
export interface SlotChange {
	readonly shotId: string;
	readonly change: Partial<Slot>;
}

/** A change of a day: of what is said of its job, of its shots' places in it, and of the shots. */
export interface DayChange {
	readonly job?: Partial<Job>;
	readonly slots?: readonly SlotChange[];
	/** Changes inside shots; each is a step of that shot's history, too. */
	readonly shots?: readonly { readonly shotId: string; readonly shot: Shot }[];
}

export interface DayStep {
	/** What was done, in words. */
	readonly words: string;
	readonly jobId: string;
	/** Changes of the same gesture share a step. */
	readonly gesture: string;
	readonly before: DayChange;
	readonly after: DayChange;
}

/** The present values of what a change names. */
export function sameKeys<T extends object>(change: Partial<T>, present: T): Partial<T> {
	const keys = Object.keys(change) as (keyof T)[];
	return Object.fromEntries(keys.map((key) => [key, present[key]])) as Partial<T>;
}

/** Two changes one after the other as one. */
export function composed(first: DayChange, second: DayChange): DayChange {
	const slots = new Map((first.slots ?? []).map((one) => [one.shotId, one.change]));
	for (const { shotId, change } of second.slots ?? []) {
		slots.set(shotId, { ...slots.get(shotId), ...change });
	}
	const job = first.job || second.job ? { job: { ...first.job, ...second.job } } : {};
	const shots = new Map((first.shots ?? []).map((one) => [one.shotId, one]));
	for (const one of second.shots ?? []) shots.set(one.shotId, one);
	return {
		...job,
		slots: [...slots].map(([shotId, change]) => ({ shotId, change })),
		shots: [...shots.values()]
	};
}

/**
 * Takes a change back from what stands now: only what this window changed, so that what another one
 * did meanwhile stays.
 *
 * @param from what the change made of it
 * @param to   what it was before
 */
export function takenBack<T extends object>(from: Partial<T>, to: Partial<T>, now: T): Partial<T> {
	const present = sameKeys(from, now);
	return mergedParts<Partial<T>>(from, { ...sameKeys(from, now), ...to }, present).value;
}
