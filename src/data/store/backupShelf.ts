import type { BackupFolder, Database } from './database';

/** Where backups go by themselves, in the browser's database: such a place fits into no text. */
export class BackupShelf {
	readonly #db: Database;

	constructor(db: Database) {
		this.#db = db;
	}

	/** Null where none was chosen. */
	async folder(): Promise<BackupFolder | null> {
		return (await this.#db.backupFolders.get('mine')) ?? null;
	}

	async put(folder: BackupFolder): Promise<void> {
		await this.#db.backupFolders.put(folder);
	}

	async forget(): Promise<void> {
		await this.#db.backupFolders.delete('mine');
	}
}
