import { liveQuery, type Subscription, type Table } from 'dexie';
import type { z } from 'zod';
import { problemsOf, type Problem } from '$core/format/problems';
import {
	Database,
	JobSchema,
	KitBodySchema,
	KitLensSchema,
	MySpreadsSchema,
	ShotRecordSchema,
	SlotSchema,
	StepSchema,
	type Job,
	type KitBody,
	type KitLens,
	type MySpreads,
	type ShotRecord,
	type Slot,
	type Told
} from './database';
import type { History, Step } from './history';
import { merged } from './merge';

/** What the browser keeps: jobs, their shots, the history of each shot, and the kit. */

/** A record that no longer validates: left where it is, and reported. */
export interface SetAside {
	readonly id: string;
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

/** Why the browser does not keep the work. */
export type Trouble = 'full' | 'refused';

/** Another window was faster; `theirs` is null when it threw the record away. */
export interface Conflict<T = ShotRecord> {
	readonly theirs: T | null;
}

export type SaveResult =
	| { readonly outcome: 'saved'; readonly revision: number }
	| ({ readonly outcome: 'conflict' } & Conflict);

/** Records that are saved part by part: what two windows changed differently is put together. */
export interface PartsOf {
	readonly jobs: Job;
	readonly slots: Slot;
	readonly bodies: KitBody;
	readonly lenses: KitLens;
	readonly spreads: MySpreads;
}

export type PartsSaved<T> =
	/** As it stands now, with what other windows changed meanwhile. */
	| { readonly outcome: 'saved'; readonly record: T | null }
	/** Both changed the same part. */
	| { readonly outcome: 'conflict'; readonly theirs: T | null };

export interface ErasedCounts {
	readonly shots: number;
	/** Steps of their histories. */
	readonly steps: number;
	/** People of the day. */
	readonly people: number;
}

/** A record that the schema refuses never comes into the store. */
export class Invalid extends Error {
	constructor(readonly problems: readonly Problem[]) {
		super(problems[0]?.message ?? 'something is not right');
	}
}

const SCHEMAS = {
	jobs: JobSchema,
	shots: ShotRecordSchema,
	slots: SlotSchema,
	bodies: KitBodySchema,
	lenses: KitLensSchema,
	spreads: MySpreadsSchema
} as const;

/** @throws Invalid when it is none */
export function validated<T>(schema: z.ZodType<T>, record: unknown): T {
	const result = schema.safeParse(record);
	if (!result.success) throw new Invalid(problemsOf(result.error));
	return result.data;
}

/** Entries of the log of changes that are kept for windows that listen. */
const MOST_NOTES = 2000;

/** The store of one browser. Every method may reject; `troubleOf` says why in our terms. */
export class Store {
	readonly #db: Database;
	/** Names this window in the log of changes. */
	readonly #window = crypto.randomUUID();

	constructor(name = 'focalis') {
		this.#db = new Database(name);
	}

	/** Everything kept, validated. What does not validate is set aside, not touched. */
	async read(): Promise<Contents> {
		const { jobs, shots, bodies, lenses, spreads, erased } = this.#db;
		const tables = [jobs, shots, bodies, lenses, spreads, erased] as Table<{ id: string }>[];
		const rows = await Promise.all(tables.map((table) => table.toArray()));
		return contentsOf({
			jobs: rows[0] ?? [],
			shots: rows[1] ?? [],
			bodies: rows[2] ?? [],
			lenses: rows[3] ?? [],
			spreads: rows[4] ?? [],
			erased: rows[5] ?? []
		});
	}

	/**
	 * Calls back now with everything, then with what other windows changed, as the log of changes tells.
	 * Returns how to stop.
	 */
	watch(onContents: (contents: Contents) => void, onTrouble: (error: unknown) => void): () => void {
		let subscription: Subscription | null = null;
		let isStopped = false;
		let seen = 0;
		const begin = async () => {
			// a live query keeps quiet about a database that cannot be opened: ask first
			await this.#db.open();
			seen = (await this.#db.changes.orderBy('seq').last())?.seq ?? 0;
			onContents(await this.read());
			await this.#db.changes
				.where('seq')
				.belowOrEqual(seen - MOST_NOTES)
				.delete();
			if (isStopped) return;
			subscription = liveQuery(() => this.#db.changes.where('seq').above(seen).toArray()).subscribe(
				(notes) => {
					seen = Math.max(seen, ...notes.map(({ seq = 0 }) => seq));
					const others = notes.filter(({ by }) => by !== this.#window);
					if (others.length > 0) this.#readSome(others).then(onContents, onTrouble);
				},
				onTrouble
			);
		};
		begin().catch(onTrouble);
		return () => {
			isStopped = true;
			subscription?.unsubscribe();
		};
	}

	/** The records that notes speak of, as they are now. */
	async #readSome(notes: readonly { readonly table: Told; readonly id: string }[]) {
		const rows: Record<Told, { id: string }[]> = emptyRows();
		const gone = new Set<string>();
		for (const table of Object.keys(rows) as Told[]) {
			const ids = [...new Set(notes.filter((one) => one.table === table).map(({ id }) => id))];
			const found = await (this.#db.table(table) as Table<{ id: string }>).bulkGet(ids);
			rows[table] = found.flatMap((row) => row ?? []);
			ids.forEach((id, i) => !found[i] && gone.add(id));
		}
		return contentsOf(rows, gone);
	}

	/**
	 * The history of a shot. Steps that no longer validate are passed over: the history then starts
	 * anew after them.
	 */
	async readHistory({ id, cursor, shot }: ShotRecord): Promise<History> {
		const rows = await this.#db.steps.where({ shotId: id }).sortBy('step');
		const steps: Step[] = [];
		for (const row of rows) {
			const result = StepSchema.safeParse(row);
			const expected = (rows[0]?.step ?? 0) + steps.length;
			if (!result.success || result.data.step !== expected) {
				const next = (rows.at(-1)?.step ?? -1) + 1;
				return { steps: [{ gesture: '', shot }], first: next, cursor: next };
			}
			steps.push({ gesture: result.data.gesture, shot: result.data.shot });
		}
		const first = rows[0]?.step ?? cursor;
		const holdsCursor = cursor >= first && cursor < first + steps.length;
		return holdsCursor
			? { steps, first, cursor }
			: {
					steps: [{ gesture: '', shot }],
					first: first + steps.length,
					cursor: first + steps.length
				};
	}

	/**
	 * Saves a shot and the steps of its history from `changedFrom` on, unless another window saved
	 * it since `record.revision`. The job it belongs to is added if the store does not have it yet.
	 */
	async save(
		record: ShotRecord,
		history: History,
		changedFrom: number,
		job: Job | null
	): Promise<SaveResult> {
		validated(ShotRecordSchema, record);
		const { jobs, shots, steps, erased, changes } = this.#db;
		return this.#db.transaction('rw', [jobs, shots, steps, erased, changes], async () => {
			const stored = await shots.get(record.id);
			if (stored ? stored.revision !== record.revision : record.revision > 0) {
				return { outcome: 'conflict', theirs: stored ?? null } as const;
			}
			if (job && !(await jobs.get(job.id))) {
				// kept by the user although it was erased elsewhere
				await erased.delete(job.id);
				await jobs.add(validated(JobSchema, job));
				await this.#note('jobs', [job.id]);
			}
			const revision = record.revision + 1;
			// its place in the day is saved apart
			const slot = stored?.slot ?? record.slot;
			await shots.put({ ...record, slot, revision, cursor: history.cursor });
			const last = history.first + history.steps.length - 1;
			const key = (step: number) => [record.id, step];
			await steps
				.where('[shotId+step]')
				.between(key(last + 1), key(Infinity))
				.delete();
			await steps.where('[shotId+step]').between(key(-Infinity), key(history.first)).delete();
			await steps.bulkPut(
				history.steps
					.map(({ gesture, shot }, i) => ({
						shotId: record.id,
						step: history.first + i,
						gesture,
						shot
					}))
					.filter(({ step }) => step >= changedFrom)
			);
			await this.#note('shots', [record.id]);
			return { outcome: 'saved', revision } as const;
		});
	}

	/** Adds a job with its shots, each at the start of its history. What is there already stays as it is. */
	async addJob(job: Job, records: readonly ShotRecord[]): Promise<void> {
		validated(JobSchema, job);
		for (const record of records) validated(ShotRecordSchema, record);
		const { jobs, shots, steps, changes } = this.#db;
		await this.#db.transaction('rw', [jobs, shots, steps, changes], async () => {
			if (!(await jobs.get(job.id))) await jobs.add(job);
			const there = await shots.bulkGet(records.map(({ id }) => id));
			const missing = records.filter((_, i) => !there[i]);
			await shots.bulkAdd(missing);
			await steps.bulkAdd(
				missing.map(({ id, cursor, shot }) => ({ shotId: id, step: cursor, gesture: '', shot }))
			);
			await this.#note('jobs', [job.id]);
			await this.#note(
				'shots',
				missing.map(({ id }) => id)
			);
		});
	}

	/**
	 * Saves a record part by part: what another window changed since `base` stays, unless both changed
	 * the same part.
	 *
	 * @param id    of the record; of a slot, its shot's
	 * @param base  as it was when it was changed here; null for a new one
	 * @param mine  null to take it out
	 */
	async saveParts<K extends keyof PartsOf>(
		kind: K,
		id: string,
		base: PartsOf[K] | null,
		mine: PartsOf[K] | null
	): Promise<PartsSaved<PartsOf[K]>> {
		type Kept = PartsOf[K];
		const schema = SCHEMAS[kind] as unknown as z.ZodType<Kept>;
		if (mine) validated(schema, mine);
		const { shots, changes } = this.#db;
		const table: Told = kind === 'slots' ? 'shots' : (kind as Exclude<K, 'slots'>);
		const kept = this.#db.table(table) as Table<unknown, string>;
		const put = async (record: Kept) => {
			if (kind !== 'slots') return void (await kept.put(record));
			await shots.update(id, { slot: record as Slot });
		};
		return this.#db.transaction('rw', [kept, changes], async () => {
			const row = (await kept.get(id)) as Kept | { slot: Kept } | undefined;
			const theirs = (kind === 'slots' ? (row as { slot: Kept } | undefined)?.slot : row) as
				Kept | undefined;
			if (!theirs && base) {
				// what was erased meanwhile stays erased; a part of the kit that was taken out is asked about
				const isKit = kind === 'bodies' || kind === 'lenses' || kind === 'spreads';
				if (!isKit || !mine) return { outcome: 'saved', record: null } as const;
				return { outcome: 'conflict', theirs: null } as const;
			}
			const isOurs = !theirs || theirs.revision === base?.revision;
			if (!mine) {
				if (!isOurs) return { outcome: 'conflict', theirs: theirs ?? null } as const;
				await kept.delete(id);
				await this.#note(table, [id]);
				return { outcome: 'saved', record: null } as const;
			}
			const revision = (theirs?.revision ?? 0) + 1;
			const both = isOurs
				? null
				: merged<Kept | null>(
						withoutRevision(base),
						withoutRevision(mine),
						withoutRevision(theirs ?? null)
					);
			if (both && both.conflicts.length > 0) {
				return { outcome: 'conflict', theirs: theirs ?? null } as const;
			}
			const record = { ...((both?.value ?? mine) as Kept), revision };
			await put(validated(schema, record));
			await this.#note(table, [id]);
			return { outcome: 'saved', record } as const;
		});
	}

	/** Erases a job for good, with its shots and their histories; says what was erased. */
	async eraseJob(id: string): Promise<ErasedCounts> {
		const { jobs, shots, steps, erased, changes } = this.#db;
		return this.#db.transaction('rw', [jobs, shots, steps, erased, changes], async () => {
			const job = await jobs.get(id);
			const shotIds = await shots.where('slot.jobId').equals(id).primaryKeys();
			const stepCount = await steps.where('shotId').anyOf(shotIds).delete();
			await shots.bulkDelete(shotIds);
			await jobs.delete(id);
			await erased.put({ id });
			await this.#note('erased', [id]);
			return { shots: shotIds.length, steps: stepCount, people: job?.people.length ?? 0 };
		});
	}

	/** Tells other windows. */
	async #note(table: Told, ids: readonly string[]): Promise<void> {
		await this.#db.changes.bulkAdd(ids.map((id) => ({ table, id, by: this.#window })));
	}

	close(): void {
		this.#db.close();
	}
}

function withoutRevision<T extends { readonly revision: number } | null>(record: T): T {
	return record && { ...record, revision: 0 };
}

type Rows = Readonly<Record<Told, readonly { readonly id: string }[]>>;

const emptyRows = (): Record<Told, { id: string }[]> => ({
	jobs: [],
	shots: [],
	bodies: [],
	lenses: [],
	spreads: [],
	erased: []
});

function contentsOf(rows: Rows, gone: ReadonlySet<string> = new Set()): Contents {
	const setAside: SetAside[] = [];
	const valid = <T>(schema: z.ZodType<T>, raws: readonly { readonly id: string }[]): T[] =>
		raws.flatMap((raw) => {
			const result = schema.safeParse(raw);
			if (result.success) return [result.data];
			setAside.push({ id: raw.id, problems: problemsOf(result.error), raw });
			return [];
		});
	return {
		jobs: valid(JobSchema, rows.jobs).sort((a, b) => a.createdAt - b.createdAt),
		shots: valid(ShotRecordSchema, rows.shots).sort(inOrder),
		bodies: valid(KitBodySchema, rows.bodies),
		lenses: valid(KitLensSchema, rows.lenses),
		spreads: valid(MySpreadsSchema, rows.spreads),
		setAside,
		erased: new Set(rows.erased.map(({ id }) => id)),
		takenOut: gone
	};
}

/** In order of time. */
export const inOrder = (a: ShotRecord, b: ShotRecord): number =>
	a.slot.startsAt.localeCompare(b.slot.startsAt) || a.slot.position - b.slot.position;

/** Tells a full store from one the browser refuses to open. */
export function troubleOf(error: unknown): Trouble {
	const names = [error, (error as { inner?: unknown } | null)?.inner].map(
		(one) => (one as { name?: string } | null)?.name
	);
	return names.includes('QuotaExceededError') ? 'full' : 'refused';
}
