import { ExerciseRecordSchema, type ExerciseRecord } from '$core/format/exerciseLog';
import type { Database } from './database';
import { validated } from './valid';

/** The log of what was practised, in the browser's database. */
export class ExerciseShelf {
	readonly #db: Database;

	constructor(db: Database) {
		this.#db = db;
	}

	/** From the first on; what does not validate any more is left where it is. */
	async all(): Promise<ExerciseRecord[]> {
		const stored = await this.#db.exercises.toArray();
		return stored
			.flatMap((one) => {
				const read = ExerciseRecordSchema.safeParse(one);
				return read.success ? [read.data] : [];
			})
			.toSorted((a, b) => a.doneAt - b.doneAt);
	}

	/** @throws Invalid when it is no record */
	async put(record: ExerciseRecord): Promise<void> {
		await this.#db.exercises.put(validated(ExerciseRecordSchema, record));
	}

	async forget(id: string): Promise<void> {
		await this.#db.exercises.delete(id);
	}
}
