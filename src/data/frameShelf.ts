import { FrameRecordSchema, type Database, type FrameRecord } from './database';

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

	/** Keeps what was just measured, but for frames that are there already: another window may have judged them. */
	async add(records: readonly FrameRecord[]): Promise<void> {
		const { frames } = this.#db;
		await this.#db.transaction('rw', frames, async () => {
			const there = new Set(
				await frames
					.where('id')
					.anyOf(records.map(({ id }) => id))
					.primaryKeys()
			);
			await frames.bulkAdd(
				records.filter(({ id }) => !there.has(id)).map((record) => FrameRecordSchema.parse(record))
			);
		});
	}

	/** Keeps what was said of frames, or pointed at in them. */
	async put(records: readonly FrameRecord[]): Promise<void> {
		await this.#db.frames.bulkPut(records.map((record) => FrameRecordSchema.parse(record)));
	}

	async forget(ids: readonly string[]): Promise<void> {
		await this.#db.frames.bulkDelete([...ids]);
	}
}
