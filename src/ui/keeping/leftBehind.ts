import { z } from 'zod';
import { JobSchema, ShotRecordSchema, type Job, type ShotRecord } from '$data/database';
import { PART_SCHEMAS, type PartsOf } from '$data/parts';

/**
 * What was on its way to the store when the page was left: the store needs a moment that a page which is gone does not
 * have. It is put down at once where that can be done, and taken up again by the next page.
 */

/** A record that is saved part by part. */
export interface LeftPart {
	readonly kind: keyof PartsOf;
	readonly id: string;
	/** As it was when it was changed; null for a new one. */
	readonly base: PartsOf[keyof PartsOf] | null;
	/** Null to take it out. */
	readonly mine: PartsOf[keyof PartsOf] | null;
}

export interface LeftBehind {
	readonly parts: readonly LeftPart[];
	/** Shots that were added with their job. */
	readonly added: readonly { readonly job: Job; readonly shots: readonly ShotRecord[] }[];
	readonly shots: readonly ShotRecord[];
}

const KEY = 'focalis-left';

const KINDS = Object.keys(PART_SCHEMAS) as [keyof PartsOf, ...(keyof PartsOf)[]];
const PartSchema = z
	.strictObject({ kind: z.enum(KINDS), id: z.string(), base: z.unknown(), mine: z.unknown() })
	.transform(({ kind, id, base, mine }, context): LeftPart => {
		const schema = PART_SCHEMAS[kind].nullable();
		const [was, is] = [schema.safeParse(base), schema.safeParse(mine)];
		if (was.success && is.success) return { kind, id, base: was.data, mine: is.data };
		context.addIssue({ code: 'custom', message: 'it is no record' });
		return z.NEVER;
	});
const LeftSchema = z.strictObject({
	parts: z.array(PartSchema),
	added: z.array(z.strictObject({ job: JobSchema, shots: z.array(ShotRecordSchema) })),
	shots: z.array(ShotRecordSchema)
});

const isNothing = ({ parts, added, shots }: LeftBehind): boolean =>
	parts.length + added.length + shots.length === 0;

/** Puts it down under a name of this window; returns how to take it away again, once the store has it all. */
export function putDown(left: LeftBehind): () => void {
	if (isNothing(left)) return () => undefined;
	const key = `${KEY} ${crypto.randomUUID()}`;
	try {
		localStorage.setItem(key, JSON.stringify(left));
	} catch {
		// no room, or not allowed: what the store gets in time is all there is
	}
	return () => localStorage.removeItem(key);
}

/** Takes up what windows that are gone have put down, each once. What cannot be read is left out. */
export function takenUp(): LeftBehind[] {
	try {
		const keys = Object.keys(localStorage).filter((key) => key.startsWith(KEY));
		return keys.flatMap((key) => {
			const text = localStorage.getItem(key) ?? '';
			localStorage.removeItem(key);
			return readLeft(text) ?? [];
		});
	} catch {
		return [];
	}
}

function readLeft(text: string): LeftBehind | null {
	try {
		return LeftSchema.safeParse(JSON.parse(text)).data ?? null;
	} catch {
		return null;
	}
}
