import type { z } from 'zod';
import { problemsOf, type Problem } from '$core/format/problems';
import {
	JobSchema,
	KitBodySchema,
	KitLensSchema,
	MySpreadsSchema,
	ShotRecordSchema,
	type Job,
	type KitBody,
	type KitLens,
	type MySpreads,
	type ShotRecord,
	type BroadcastTable
} from './database';

/** What the store tells, validated. */

/** A record that no longer validates: left where it is, and reported. */
export interface SetAside {
	readonly id: string;
	readonly table: BroadcastTable;
	readonly problems: readonly Problem[];
	readonly raw: unknown;
}

/** What is kept: everything at first, then only what another window changed. */
export interface Contents {
	readonly jobs: readonly Job[];
	readonly shots: readonly ShotRecord[];
	readonly bodies: readonly KitBody[];
	readonly lenses: readonly KitLens[];
	/** Missing while one's own spreads are the assumptions. */
	readonly spreads: readonly MySpreads[];
	readonly setAside: readonly SetAside[];
	/** Ids of jobs that were erased from this device. */
	readonly erased: ReadonlySet<string>;
	/** Ids of bodies and lenses that were taken out. */
	readonly takenOut: ReadonlySet<string>;
}

export type Rows = Readonly<Record<BroadcastTable, readonly { readonly id: string }[]>>;

export const emptyRows = (): Record<BroadcastTable, { id: string }[]> => ({
	jobs: [],
	shots: [],
	bodies: [],
	lenses: [],
	spreads: [],
	erased: []
});

/**
 * What rows hold. What does not validate is set aside, not touched.
 *
 * @param gone ids of what was asked for and is not there any more
 */
export function contentsOf(rows: Rows, gone: ReadonlySet<string> = new Set()): Contents {
	const setAside: SetAside[] = [];
	const valid = <T>(schema: z.ZodType<T>, table: BroadcastTable): T[] =>
		rows[table].flatMap((raw) => {
			const result = schema.safeParse(raw);
			if (result.success) return [result.data];
			setAside.push({ id: raw.id, table, problems: problemsOf(result.error), raw });
			return [];
		});
	const readable = valid(JobSchema, 'jobs');
	const shots = valid(ShotRecordSchema, 'shots').sort(inOrder);
	const spoilt = rows.jobs.filter(({ id }) => !readable.some((job) => job.id === id));
	return {
		jobs: [...readable, ...spoilt.flatMap((raw) => salvaged(raw, shots) ?? [])].sort(
			(a, b) => a.createdAt - b.createdAt
		),
		shots,
		bodies: valid(KitBodySchema, 'bodies'),
		lenses: valid(KitLensSchema, 'lenses'),
		spreads: valid(MySpreadsSchema, 'spreads'),
		setAside,
		erased: new Set(rows.erased.map(({ id }) => id)),
		takenOut: gone
	};
}

/**
 * What can be read of a job that no longer validates, so that the shots that hang on it can be reached; null where there
 * are none. It is only written when somebody changes it.
 */
function salvaged(
	raw: { readonly id: string } & Readonly<Record<string, unknown>>,
	shots: readonly ShotRecord[]
): Job | null {
	const first = shots.find(({ slot }) => slot.jobId === raw.id);
	if (!first) return null;
	const read = Object.entries(JobSchema.shape).flatMap(([key, schema]) => {
		const result = schema.safeParse(raw[key]);
		return result.success && result.data !== undefined ? [[key, result.data] as const] : [];
	});
	return {
		title: 'A day that could not be read',
		date: first.slot.startsAt.slice(0, 10),
		place: '',
		notes: '',
		people: [],
		createdAt: 0,
		isSample: false,
		revision: 0,
		...Object.fromEntries(read),
		id: raw.id
	};
}

/** In order of time. */
export const inOrder = (a: ShotRecord, b: ShotRecord): number =>
	a.slot.startsAt.localeCompare(b.slot.startsAt) || a.slot.position - b.slot.position;

/** Bodies and lenses as their list has them. */
export const byPosition = (a: Pick<KitBody, 'position'>, b: typeof a): number =>
	a.position - b.position;
