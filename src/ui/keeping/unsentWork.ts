import { unsentWorkText as say } from '$words/screens/keeping';
import { z } from 'zod';
import { JobSchema, ShotRecordSchema, type Job, type ShotRecord } from '$data/store/database';
import { PART_SCHEMAS, type PartsOf } from '$data/store/parts';

/**
 * What was on its way to the store when the page was left: the store needs a moment that a page which is gone does not
 * have. It is put down at once where that can be done, and taken up again by the next page.
 */

/** A record that is saved part by part. */
export interface UnsentPart {
	readonly kind: keyof PartsOf;
	readonly id: string;
	/** As it was when it was changed; null for a new one. */
	readonly base: PartsOf[keyof PartsOf] | null;
	/** Null to take it out. */
	readonly mine: PartsOf[keyof PartsOf] | null;
}

export interface UnsentWork {
	readonly parts: readonly UnsentPart[];
	/** Shots that were added with their job. */
	readonly added: readonly { readonly job: Job; readonly shots: readonly ShotRecord[] }[];
	readonly shots: readonly ShotRecord[];
}

const PREFIX = 'focalis-left ';

const KINDS = Object.keys(PART_SCHEMAS) as [keyof PartsOf, ...(keyof PartsOf)[]];
const PartSchema = z
	.strictObject({ kind: z.enum(KINDS), id: z.string(), base: z.unknown(), mine: z.unknown() })
	.transform(({ kind, id, base, mine }, context): UnsentPart => {
		const schema = PART_SCHEMAS[kind].nullable();
		const [was, is] = [schema.safeParse(base), schema.safeParse(mine)];
		if (was.success && is.success) return { kind, id, base: was.data, mine: is.data };
		context.addIssue({ code: 'custom', message: say.itIsNotARecord });
		return z.NEVER;
	});
const LeftSchema = z.strictObject({
	parts: z.array(PartSchema),
	added: z.array(z.strictObject({ job: JobSchema, shots: z.array(ShotRecordSchema) })),
	shots: z.array(ShotRecordSchema)
});

const isNothing = ({ parts, added, shots }: UnsentWork): boolean =>
	parts.length + added.length + shots.length === 0;

/** Puts it down under an id of its own; null where there is nothing to put down. */
export function saveUnsent(left: UnsentWork): string | null {
	if (isNothing(left)) return null;
	const id = `${PREFIX}${crypto.randomUUID()}`;
	try {
		localStorage.setItem(id, JSON.stringify(left));
		return id;
	} catch {
		// no room, or not allowed: what the store gets in time is all there is
		return null;
	}
}

/** What windows that are gone have put down, by its id. What cannot be read is left out. */
export function unsentOfOthers(): readonly (readonly [id: string, UnsentWork])[] {
	try {
		return Object.keys(localStorage)
			.filter((key) => key.startsWith(PREFIX))
			.flatMap((id) => {
				const left = readLeft(localStorage.getItem(id) ?? '');
				return left ? [[id, left] as const] : [];
			});
	} catch {
		return [];
	}
}

/** Takes it away: the store has it all. A browser that is killed may bring it back, so its id is kept in the store, too. */
export const forgetUnsent = (id: string): void => localStorage.removeItem(id);

function readLeft(text: string): UnsentWork | null {
	try {
		return LeftSchema.safeParse(JSON.parse(text)).data ?? null;
	} catch {
		return null;
	}
}
