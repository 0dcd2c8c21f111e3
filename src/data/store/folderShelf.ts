import type { BackupFolder, Database, FrameFolder } from './database';

/** A job has frames from no more folders than that; those that were added first are forgotten. */
const MOST_OF_JOB = 12;

/** Folders that were chosen once, in the browser's database: such a place fits into no text. */
export class FolderShelf {
	readonly #db: Database;

	constructor(db: Database) {
		this.#db = db;
	}

	/** Where backups go by themselves; null where none was chosen. */
	async backupFolder(): Promise<BackupFolder | null> {
		return (await this.#db.backupFolders.get('mine')) ?? null;
	}

	async putBackupFolder(folder: BackupFolder): Promise<void> {
		await this.#db.backupFolders.put(folder);
	}

	async forgetBackupFolder(): Promise<void> {
		await this.#db.backupFolders.delete('mine');
	}

	/** The folders that frames of a job were read from, the first one first. */
	async frameFoldersOf(jobId: string): Promise<FrameFolder[]> {
		return this.#db.frameFolders.where('jobId').equals(jobId).sortBy('id');
	}

	/** Keeps a folder of frames, but for one that is known already. */
	async addFrameFolder(jobId: string, folder: FileSystemDirectoryHandle): Promise<void> {
		const { frameFolders } = this.#db;
		const known = await this.frameFoldersOf(jobId);
		for (const one of known) if (await one.folder.isSameEntry(folder)) return;
		const tooMany = known.slice(0, Math.max(0, known.length + 1 - MOST_OF_JOB));
		await frameFolders.bulkDelete(tooMany.map(({ id }) => id));
		await frameFolders.add({ jobId, folder });
	}
}
