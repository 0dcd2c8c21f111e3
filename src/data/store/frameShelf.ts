import { isUnsaid, JudgementSchema, type Judgement } from '$core/format/review';
import type { FrameSaid } from '$core/format/saidOfFrames';
import { FrameRecordSchema, type Database, type FrameRecord, type SaidRecord } from './database';

/** Frames that belong to no job are kept under this one. */
export const NO_JOB = 'no job';

/** What was measured and said of the frames that came home, in the browser's database. */
export class FrameShelf {
	readonly #db: Database;

	constructor(db: Database) {
		this.#db = db;
	}

	/** The frames of a job; what does not validate any more is left out, and measured anew. */
	async of(jobId: string): Promise<FrameRecord[]> {
		const stored = await this.#db.frames.where('jobId').equals(jobId).toArray();
		return stored.flatMap((one) => {
			const read = FrameRecordSchema.safeParse(one);
			return read.success ? [read.data] : [];
		});
	}

	/**
	 * What was said of the frames of a job, by their ids: also of such as this device has not seen yet, of which a backup
	 * told.
	 */
	async saidOf(jobId: string): Promise<ReadonlyMap<string, Judgement>> {
		return new Map(
			readable(await this.#db.said.where('jobId').equals(jobId).toArray()).map(
				({ id, judgement }) => [id, judgement]
			)
		);
	}

	/** Ids of the frames of some jobs of which something was said. */
	async idsSaid(jobIds: readonly string[]): Promise<string[]> {
		return this.#db.said
			.where('jobId')
			.anyOf([...jobIds])
			.primaryKeys();
	}

	/** What was said of all frames, by their jobs. */
	async allSaid(): Promise<ReadonlyMap<string, readonly FrameSaid[]>> {
		const all = new Map<string, FrameSaid[]>();
		for (const { id, jobId, judgement } of readable(await this.#db.said.toArray())) {
			const ofJob = all.get(jobId) ?? [];
			all.set(jobId, ofJob);
			ofJob.push({ file: id.slice(jobId.length + 1), ...judgement });
		}
		return all;
	}

	/** Keeps what a backup says of the frames of a job, but for those of which something was said here. */
	async takeSaid(jobId: string, frames: readonly FrameSaid[]): Promise<void> {
		const records = frames.map(({ file, ...judgement }): SaidRecord => {
			return { id: frameId(jobId, file), jobId, judgement: JudgementSchema.parse(judgement) };
		});
		const { said, frames: measured } = this.#db;
		await this.#db.transaction('rw', said, measured, async () => {
			const here = new Set(await said.where('jobId').equals(jobId).primaryKeys());
			const fresh = records.filter(({ id }) => !here.has(id));
			await said.bulkPut(fresh);
			for (const { id, judgement } of fresh) await measured.update(id, { judgement });
		});
	}

	/** A file is known under another id than a backup told: what was said of it goes along. */
	async renameSaid(from: string, to: string): Promise<void> {
		const { said } = this.#db;
		await this.#db.transaction('rw', said, async () => {
			const record = await said.get(from);
			if (!record) return;
			await said.delete(from);
			await said.put({ ...record, id: to });
		});
	}

	/** Keeps what was just measured, but for frames that are there already: another window may have judged them. */
	async add(records: readonly FrameRecord[]): Promise<void> {
		const { frames, said } = this.#db;
		await this.#db.transaction('rw', frames, said, async () => {
			const there = new Set(
				await frames
					.where('id')
					.anyOf(records.map(({ id }) => id))
					.primaryKeys()
			);
			const fresh = records.filter(({ id }) => !there.has(id));
			await frames.bulkAdd(fresh.map((record) => FrameRecordSchema.parse(record)));
			await said.bulkPut(saidIn(fresh));
		});
	}

	/** Keeps what was said of frames, or pointed at in them. */
	async put(records: readonly FrameRecord[]): Promise<void> {
		const { frames, said } = this.#db;
		await this.#db.transaction('rw', frames, said, async () => {
			await frames.bulkPut(records.map((record) => FrameRecordSchema.parse(record)));
			await said.bulkDelete(
				records.filter(({ judgement }) => isUnsaid(judgement)).map(({ id }) => id)
			);
			await said.bulkPut(saidIn(records));
		});
	}

	async forget(ids: readonly string[]): Promise<void> {
		const { frames, said } = this.#db;
		await this.#db.transaction('rw', frames, said, async () => {
			await frames.bulkDelete([...ids]);
			await said.bulkDelete([...ids]);
		});
	}
}

/** A frame is known by its job and by the name, size and time of its file. */
export const frameId = (jobId: string, file: string): string => `${jobId}|${file}`;

const saidIn = (records: readonly FrameRecord[]): SaidRecord[] =>
	records.flatMap(({ id, jobId, judgement }) =>
		isUnsaid(judgement) ? [] : [{ id, jobId, judgement }]
	);

/** What does not validate any more says nothing. */
const readable = (stored: readonly SaidRecord[]): SaidRecord[] =>
	stored.filter(({ judgement }) => JudgementSchema.safeParse(judgement).success);
