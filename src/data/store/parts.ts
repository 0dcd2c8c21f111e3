import type { z } from 'zod';
import { JobSchema, KitBodySchema, KitLensSchema, MySpreadsSchema, SlotSchema } from './database';
import { merged } from './merge';

/** Records that are saved part by part: what two windows changed differently is put together. */
export const PART_SCHEMAS = {
	jobs: JobSchema,
	slots: SlotSchema,
	bodies: KitBodySchema,
	lenses: KitLensSchema,
	spreads: MySpreadsSchema
} as const;

export type PartsOf = {
	readonly [K in keyof typeof PART_SCHEMAS]: z.infer<(typeof PART_SCHEMAS)[K]>;
};

export type PartsSaved<T> =
	/** As it stands now, with what other windows changed meanwhile. */
	| { readonly outcome: 'saved'; readonly record: T | null }
	/** Both changed the same part. */
	| { readonly outcome: 'conflict'; readonly theirs: T | null };

/**
 * What becomes of a record that is saved part by part: what another window changed since `base` stays,
 * unless both changed the same part.
 *
 * @param base   as it was when it was changed here; null for a new one
 * @param mine   null to take it out
 * @param theirs what the store has; null when it has nothing
 * @param isAsked whether one is asked when it was taken out elsewhere; else it stays away
 */
export function partsSaved<T extends { readonly revision: number }>(
	base: T | null,
	mine: T | null,
	theirs: T | null,
	isAsked: boolean
): PartsSaved<T> {
	if (!theirs && base) {
		return mine && isAsked
			? { outcome: 'conflict', theirs: null }
			: { outcome: 'saved', record: null };
	}
	const isUnchanged = !theirs || theirs.revision === base?.revision;
	if (!mine) {
		return isUnchanged ? { outcome: 'saved', record: null } : { outcome: 'conflict', theirs };
	}
	// what was taken out and comes back counts on, so that nobody takes it for older than it is
	const revision = Math.max(theirs?.revision ?? 0, mine.revision) + 1;
	if (isUnchanged) return { outcome: 'saved', record: { ...mine, revision } };
	const { value, conflicts } = merged<T | null>(
		withoutRevision(base),
		withoutRevision(mine),
		withoutRevision(theirs)
	);
	return conflicts.length > 0
		? { outcome: 'conflict', theirs }
		: { outcome: 'saved', record: { ...(value as T), revision } };
}

function withoutRevision<T extends { readonly revision: number } | null>(record: T): T {
	return record && { ...record, revision: 0 };
}

/** What both windows changed otherwise, and what the other one has. */
export interface PartConflict {
	readonly key: string;
	readonly kind: keyof PartsOf;
	readonly id: string;
	readonly theirs: PartsOf[keyof PartsOf] | null;
}
