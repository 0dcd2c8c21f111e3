import { autoBackupText as say } from '$words/screens/keeping';
import type { BackupFolder } from '$data/store/database';
import { backupName, backupNow } from './backupNow';
import type { Keeping } from './promise.svelte';
import type { Session } from './session.svelte';

/** So long after the first change that no backup holds, everything is written, ms; at once when the page is left. */
const AFTER_MS = 60_000;

/** What browsers that let one choose a folder have. */
interface Choosing {
	readonly showDirectoryPicker?: (options: {
		readonly mode: 'readwrite';
	}) => Promise<FileSystemDirectoryHandle>;
}
interface Guarded {
	queryPermission(what: { readonly mode: 'readwrite' }): Promise<PermissionState>;
	requestPermission(what: { readonly mode: 'readwrite' }): Promise<PermissionState>;
}
const WRITING = { mode: 'readwrite' } as const;
const guard = ({ folder }: BackupFolder) => folder as unknown as Guarded;

/**
 * Backups that write themselves into a folder chosen once: a file a day, written over during the day.
 * The browser may want to be asked again after it was closed.
 */
export class AutoBackup {
	/** Whether this browser lets one choose a folder. */
	readonly isPossible = (window as Choosing).showDirectoryPicker !== undefined;
	/** Why the last one was not written, in words; empty while all is well. */
	problem = $state('');
	/** The browser wants to be asked again before it writes. */
	isAsleep = $state(false);
	#chosen = $state.raw<BackupFolder | null>(null);
	readonly #session: Session;
	readonly #keeping: Keeping;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#writing: Promise<void> = Promise.resolve();

	constructor(session: Session, keeping: Keeping) {
		this.#session = session;
		this.#keeping = keeping;
	}

	/** The name of the folder; null while none is chosen. */
	get folderName(): string | null {
		return this.#chosen?.folder.name ?? null;
	}
	get #shelf() {
		return this.#session.library.shelves.folders;
	}

	/** Looks what was chosen before; a store that says nothing has none. */
	async start(): Promise<void> {
		if (!this.isPossible) return;
		this.#chosen = await this.#shelf.backupFolder().catch(() => null);
		if (!this.#chosen) return;
		this.isAsleep = (await guard(this.#chosen).queryPermission(WRITING)) !== 'granted';
	}

	/** Lets the photographer choose a folder, and writes the first backup into it. Within a press of a button. */
	async choose(): Promise<void> {
		const { showDirectoryPicker } = window as Choosing;
		this.problem = '';
		try {
			const folder = await showDirectoryPicker?.call(window, WRITING);
			if (!folder) return;
			const mark = crypto.randomUUID().slice(0, 4);
			this.#chosen = { id: 'mine', folder, mark };
			this.isAsleep = false;
			await this.write();
			await this.#shelf.putBackupFolder(this.#chosen);
		} catch (error) {
			if (!(error instanceof DOMException && error.name === 'AbortError')) this.#say(error);
		}
	}

	async forget(): Promise<void> {
		clearTimeout(this.#timer);
		this.#chosen = null;
		this.isAsleep = false;
		this.problem = '';
		await this.#shelf.forgetBackupFolder();
	}

	/** Asks the browser for its leave again. Within a press of a button. */
	async wake(): Promise<void> {
		if (!this.#chosen) return;
		this.isAsleep = (await guard(this.#chosen).requestPermission(WRITING)) !== 'granted';
		await this.write();
	}

	/** Something was changed: a backup follows, one for all changes until then. */
	soon(): void {
		if (!this.#chosen || this.isAsleep) return;
		this.#timer ??= setTimeout(() => void this.write(), AFTER_MS);
	}

	/** Writes what no backup holds yet, after one that is being written. */
	write(): Promise<void> {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		this.#writing = this.#writing.then(() => this.#write());
		return this.#writing;
	}

	async #write(): Promise<void> {
		const chosen = this.#chosen;
		if (!chosen || this.isAsleep) return;
		try {
			await this.#session.flush();
			const isAllIn = !this.#session.isSaving;
			const asOf = Date.now();
			const file = await chosen.folder.getFileHandle(backupName(chosen.mark), { create: true });
			// what is there stays until the new one is whole
			const writer = await file.createWritable();
			for (const piece of await backupNow(this.#session.library)) await writer.write(piece);
			await writer.close();
			this.problem = '';
			if (isAllIn) this.#keeping.noteBackup(asOf);
		} catch (error) {
			this.#say(error);
		}
	}

	#say(error: unknown): void {
		const name = error instanceof DOMException ? error.name : '';
		if (name === 'NotAllowedError') this.isAsleep = true;
		this.problem = PROBLEMS[name] ?? say.itCouldNotBeWritten;
		this.soon();
	}
}

const PROBLEMS: Readonly<Record<string, string>> = {
	NotFoundError: say.theFolderIsNotThereAny,
	NotAllowedError: say.theBrowserDoesNotLetFocalis,
	QuotaExceededError: say.thereIsNoRoomLeft
};
