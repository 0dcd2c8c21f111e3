import { liveQuery, type Subscription, type Table } from 'dexie';
import type { z } from 'zod';
import { FolderShelf } from './folderShelf';
import { ExerciseShelf } from './exerciseShelf';
import { FrameShelf } from './frameShelf';
import { contentsOf, emptyRows, type Contents } from './contents';
import { Database, isNewer, JobSchema, ShotRecordSchema } from './database';
import type { BroadcastTable, Job, ShotRecord } from './database';
import type { History } from '../history';
import { PART_SCHEMAS, partsSaved, type PartsOf, type PartsSaved } from './parts';
import { rawCopyOf } from './rawCopy';
import { historyFrom, stepsFrom } from './steps';
import { NewerDatabase } from './trouble';
import { Invalid, validated } from './valid';

/** What the browser keeps: jobs, their shots, the history of each shot, and the kit. */

/** Whether the user is asked when another window removed it; what went with its job stays away. */
const IS_ASKED: Readonly<Record<keyof PartsOf, boolean>> = {
	jobs: false,
	slots: false,
	bodies: true,
	lenses: true,
	spreads: true
};

/** Another window was faster; `theirs` is null when it threw the record away. */
export interface Conflict<T = ShotRecord> {
	readonly theirs: T | null;
}

export type SaveResult =
	| { readonly outcome: 'saved'; readonly revision: number }
	| ({ readonly outcome: 'conflict' } & Conflict);

export interface ErasedCounts {
	readonly shots: number;
	/** Steps of their histories. */
	readonly steps: number;
	/** People of the day. */
	readonly people: number;
}

/** Entries of the log of changes that are kept for windows that listen. */
const MOST_NOTES = 2000;

/** The store of one browser. Every method may reject; `troubleOf` says why in our terms. */
export class Store {
	readonly #db: Database;
	/** Frames that came home; what was practised; folders that were chosen once. */
	readonly frames: FrameShelf;
	readonly exercises: ExerciseShelf;
	readonly folders: FolderShelf;
	/** Names this window in the log of changes. */
	readonly #window = crypto.randomUUID();

	constructor(name = 'focalis') {
		this.#db = new Database(name);
		this.frames = new FrameShelf(this.#db);
		this.exercises = new ExerciseShelf(this.#db);
		this.folders = new FolderShelf(this.#db);
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
			if (await isNewer(this.#db.name)) {
				this.#db.close({ disableAutoOpen: true });
				throw new NewerDatabase('a newer Focalis keeps its work here');
			}
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

	/** Every record as it lies there, whatever its version, but for pictures: to be saved to a file. */
	rawCopy(): Promise<Record<string, unknown[]>> {
		return rawCopyOf(this.#db.name);
	}

	/** The records that notes speak of, as they are now. */
	async #readSome(notes: readonly { readonly table: BroadcastTable; readonly id: string }[]) {
		const rows: Record<BroadcastTable, { id: string }[]> = emptyRows();
		const gone = new Set<string>();
		for (const table of Object.keys(rows) as BroadcastTable[]) {
			const ids = [...new Set(notes.filter((one) => one.table === table).map(({ id }) => id))];
			const found = await (this.#db.table(table) as Table<{ id: string }>).bulkGet(ids);
			rows[table] = found.flatMap((row) => row ?? []);
			ids.forEach((id, i) => !found[i] && gone.add(id));
		}
		return contentsOf(rows, gone);
	}

	/** The history of a shot, as `historyFrom` reads it. */
	async readHistory(record: ShotRecord): Promise<History> {
		return historyFrom(record, await this.#db.steps.where({ shotId: record.id }).sortBy('step'));
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
			await steps.bulkPut(stepsFrom(record.id, history, changedFrom));
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
	 * Saves a record part by part, as `partsSaved` says.
	 *
	 * @param id   of the record; of a slot, its shot's
	 * @param base as it was when it was changed here; null for a new one
	 * @param mine null to take it out
	 * @throws Invalid when it is none
	 */
	async saveParts<K extends keyof PartsOf>(
		kind: K,
		id: string,
		base: PartsOf[K] | null,
		mine: PartsOf[K] | null
	): Promise<PartsSaved<PartsOf[K]>> {
		type Kept = PartsOf[K];
		const schema = PART_SCHEMAS[kind] as unknown as z.ZodType<Kept>;
		if (mine) validated(schema, mine);
		const { changes } = this.#db;
		const table: BroadcastTable = kind === 'slots' ? 'shots' : (kind as Exclude<K, 'slots'>);
		const kept = this.#db.table(table) as Table<unknown, string>;
		return this.#db.transaction('rw', [kept, changes], async () => {
			const row = (await kept.get(id)) as ({ slot: Kept } & Kept) | undefined;
			const theirs = (kind === 'slots' ? row?.slot : row) ?? null;
			const result = partsSaved<Kept>(base, mine, theirs, IS_ASKED[kind]);
			// nothing is written when it is there no more
			if (result.outcome === 'conflict' || !(theirs || result.record)) return result;
			const record = result.record && validated(schema, result.record);
			if (!record) await kept.delete(id);
			else if (kind === 'slots') await kept.update(id, { slot: record });
			else await kept.put(record);
			await this.#note(table, [id]);
			return { outcome: 'saved', record } as const;
		});
	}

	/**
	 * Puts a record back that had been set aside, mended; returns what it says now.
	 * @throws Invalid when it is still none
	 */
	async mend(
		table: Exclude<BroadcastTable, 'erased'>,
		record: { readonly id: string }
	): Promise<Contents> {
		const contents = contentsOf({ ...emptyRows(), [table]: [record] });
		if (contents.setAside[0]) throw new Invalid(contents.setAside[0].problems);
		const kept: Table<unknown, string> = this.#db.table(table);
		await this.#db.transaction('rw', [kept, this.#db.changes], async () => {
			await kept.put(record);
			await this.#note(table, [record.id]);
		});
		return contents;
	}

	/** Erases a job for good, with its shots and their histories; says what was erased. */
	async eraseJob(id: string): Promise<ErasedCounts> {
		const { jobs, shots, steps, erased, photographs, frames, said, frameFolders } = this.#db;
		return this.#db.transaction('rw', this.#db.tables, async () => {
			const job = await jobs.get(id);
			const shotIds = await shots.where('slot.jobId').equals(id).primaryKeys();
			const stepCount = await steps.where('shotId').anyOf(shotIds).delete();
			await shots.bulkDelete(shotIds);
			await photographs.bulkDelete(shotIds);
			const ofJob = [frames, said, frameFolders];
			for (const table of ofJob) await table.where('jobId').equals(id).delete();
			await jobs.delete(id);
			await erased.put({ id });
			await this.#note('erased', [id]);
			return { shots: shotIds.length, steps: stepCount, people: job?.people.length ?? 0 };
		});
	}

	/** Notes that something is gone for good, and must not come back. */
	async noteGone(id: string): Promise<void> {
		await this.#db.erased.put({ id });
	}

	/** Keeps the photograph of a shot in the place of the one before; null forgets it. */
	async keepPhotograph(shotId: string, jpeg: Blob | null): Promise<void> {
		const { photographs } = this.#db;
		await (jpeg ? photographs.put({ id: shotId, jpeg }) : photographs.delete(shotId));
	}

	/** The photograph that was kept with a shot; null where there is none. */
	async photograph(shotId: string): Promise<Blob | null> {
		return (await this.#db.photographs.get(shotId))?.jpeg ?? null;
	}

	/** Tells other windows. */
	async #note(table: BroadcastTable, ids: readonly string[]): Promise<void> {
		await this.#db.changes.bulkAdd(ids.map((id) => ({ table, id, by: this.#window })));
	}

	close(): void {
		this.#db.close();
	}
}
