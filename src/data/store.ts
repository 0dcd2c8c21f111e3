import { liveQuery, type Subscription } from 'dexie';
import type { z } from 'zod';
import { problemsOf, type Problem } from '$core/format/problems';
import {
	Database,
	JobSchema,
	ShotRecordSchema,
	StepSchema,
	type Job,
	type ShotRecord,
	type Slot
} from './database';
import type { History, Step } from './history';
import { KitStore } from './kitStore';

/** What the browser keeps: jobs, their shots, and the history of each shot. */

/** A record that no longer validates: left where it is, and reported. */
export interface SetAside {
	readonly id: string;
	readonly problems: readonly Problem[];
	readonly raw: unknown;
}

export interface Contents {
	readonly jobs: readonly Job[];
	readonly shots: readonly ShotRecord[];
	readonly setAside: readonly SetAside[];
	/** Ids of jobs that were erased from this device. */
	readonly erased: ReadonlySet<string>;
}

/** Why the browser does not keep the work. */
export type Trouble = 'full' | 'refused';

/** Another window was faster; `theirs` is null when it threw the record away. */
export interface Conflict {
	readonly theirs: ShotRecord | null;
}

export type SaveResult =
	| { readonly outcome: 'saved'; readonly revision: number }
	| ({ readonly outcome: 'conflict' } & Conflict);

/** A change of a shot's place in its day: of these keys only. */
export interface SlotChange {
	readonly shotId: string;
	readonly change: Partial<Slot>;
}

export interface ErasedCounts {
	readonly shots: number;
	/** Steps of their histories. */
	readonly steps: number;
	/** People of the day. */
	readonly people: number;
}

/** The store of one browser. Every method may reject; `troubleOf` says why in our terms. */
export class Store {
	readonly #db: Database;
	readonly kit: KitStore;
	/** What validated before need not be validated again. */
	#known: ReadonlyMap<string, ShotRecord> = new Map();

	constructor(name = 'focalis') {
		this.#db = new Database(name);
		this.kit = new KitStore(this.#db);
	}

	/** Everything kept, validated. What does not validate is set aside, not touched. */
	async read(): Promise<Contents> {
		const { jobs: jobTable, shots: shotTable, erased: erasedTable } = this.#db;
		const [jobs, shots, erased] = await Promise.all([
			jobTable.toArray(),
			shotTable.toArray(),
			erasedTable.toArray()
		]);
		const setAside: SetAside[] = [];
		const valid = <T>(schema: z.ZodType<T>, raw: { readonly id: string }): T[] => {
			const result = schema.safeParse(raw);
			if (result.success) return [result.data];
			setAside.push({ id: raw.id, problems: problemsOf(result.error), raw });
			return [];
		};
		const validShots = shots.flatMap((raw) => {
			const known = this.#known.get(raw.id);
			return known && isSame(known, raw) ? [known] : valid(ShotRecordSchema, raw);
		});
		this.#known = new Map(validShots.map((one) => [one.id, one]));
		return {
			jobs: jobs.flatMap((raw) => valid(JobSchema, raw)).sort((a, b) => a.createdAt - b.createdAt),
			shots: validShots.sort(inOrder),
			setAside,
			erased: new Set(erased.map(({ id }) => id))
		};
	}

	/** Calls back now and whenever this or another window changes something. Returns how to stop. */
	watch(onContents: (contents: Contents) => void, onTrouble: (error: unknown) => void): () => void {
		let subscription: Subscription | null = null;
		let isStopped = false;
		// a live query keeps quiet about a database that cannot be opened: ask first
		this.#db.open().then(() => {
			if (!isStopped) subscription = liveQuery(() => this.read()).subscribe(onContents, onTrouble);
		}, onTrouble);
		return () => {
			isStopped = true;
			subscription?.unsubscribe();
		};
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
		const { jobs, shots, steps, erased } = this.#db;
		return this.#db.transaction('rw', jobs, shots, steps, erased, async () => {
			const stored = await shots.get(record.id);
			if (stored ? stored.revision !== record.revision : record.revision > 0) {
				return { outcome: 'conflict', theirs: stored ?? null } as const;
			}
			if (job && !(await jobs.get(job.id))) {
				// kept by the user although it was erased elsewhere
				await erased.delete(job.id);
				await jobs.add(job);
			}
			const revision = record.revision + 1;
			// its place in the day is changed by `changeSlots` alone
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
			return { outcome: 'saved', revision } as const;
		});
	}

	/** Adds a job with its shots, each at the start of its history. What is there already stays as it is. */
	async addJob(job: Job, records: readonly ShotRecord[]): Promise<void> {
		const { jobs, shots, steps } = this.#db;
		await this.#db.transaction('rw', jobs, shots, steps, async () => {
			if (!(await jobs.get(job.id))) await jobs.add(job);
			const there = await shots.bulkGet(records.map(({ id }) => id));
			const missing = records.filter((_, i) => !there[i]);
			await shots.bulkAdd(missing);
			await steps.bulkAdd(
				missing.map(({ id, cursor, shot }) => ({ shotId: id, step: cursor, gesture: '', shot }))
			);
		});
	}

	/** Changes what is said of a job. Nothing happens if it is gone. */
	async changeJob(id: string, change: Partial<Job>): Promise<void> {
		const { jobs } = this.#db;
		await this.#db.transaction('rw', jobs, async () => {
			const job = await jobs.get(id);
			if (job) await jobs.put({ ...job, ...change, revision: job.revision + 1 });
		});
	}

	/** Changes shots' places in their days. Those that are gone are passed over. */
	async changeSlots(changes: readonly SlotChange[]): Promise<void> {
		const { shots } = this.#db;
		await this.#db.transaction('rw', shots, async () => {
			for (const { shotId, change } of changes) {
				const record = await shots.get(shotId);
				if (!record) continue;
				const slot = { ...record.slot, ...change, revision: record.slot.revision + 1 };
				await shots.put({ ...record, slot });
			}
		});
	}

	/** Erases a job for good, with its shots and their histories; says what was erased. */
	async eraseJob(id: string): Promise<ErasedCounts> {
		const { jobs, shots, steps, erased } = this.#db;
		return this.#db.transaction('rw', jobs, shots, steps, erased, async () => {
			const job = await jobs.get(id);
			const shotIds = await shots.where('slot.jobId').equals(id).primaryKeys();
			const stepCount = await steps.where('shotId').anyOf(shotIds).delete();
			await shots.bulkDelete(shotIds);
			await jobs.delete(id);
			await erased.put({ id });
			return { shots: shotIds.length, steps: stepCount, people: job?.people.length ?? 0 };
		});
	}

	close(): void {
		this.#db.close();
	}
}

/** In order of time. */
export const inOrder = (a: ShotRecord, b: ShotRecord): number =>
	a.slot.startsAt.localeCompare(b.slot.startsAt) || a.slot.position - b.slot.position;

/** Every save has a revision of its own. */
const isSame = (a: ShotRecord, b: ShotRecord): boolean =>
	a.revision === b.revision && a.slot?.revision === b.slot?.revision;

/** Tells a full store from one the browser refuses to open. */
export function troubleOf(error: unknown): Trouble {
	const names = [error, (error as { inner?: unknown } | null)?.inner].map(
		(one) => (one as { name?: string } | null)?.name
	);
	return names.includes('QuotaExceededError') ? 'full' : 'refused';
}
