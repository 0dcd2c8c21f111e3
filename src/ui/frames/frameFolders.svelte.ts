import { frameFoldersText as say } from '$words/screens/frames';
import type { FrameFolder } from '$data/store/database';
import type { FolderShelf } from '$data/store/folderShelf';
import { chosenFolder, filesOf, rootsOf } from '../browser/folders';

/** Missing where nobody needs to be asked. */
interface Guarded {
	requestPermission?(what: { readonly mode: 'read' }): Promise<PermissionState>;
}

/**
 * The folders that frames of a job were read from: one press reads them again, after a reload, or when more have come into
 * them.
 */
export class FrameFolders {
	known = $state.raw<readonly FrameFolder[]>([]);
	readonly #shelf: FolderShelf;
	readonly #jobId: string;

	constructor(shelf: FolderShelf, jobId: string) {
		this.#shelf = shelf;
		this.#jobId = jobId;
	}

	/** Looks what was chosen before; a store that says nothing has none. */
	async look(): Promise<void> {
		this.known = await this.#shelf.frameFoldersOf(this.#jobId).catch(() => []);
	}

	/** Asks for a folder, and gives its files; null when none was chosen. Within a press of a button. */
	async choose(): Promise<File[] | null> {
		const folder = await chosenFolder();
		return folder && filesOf(folder);
	}

	/** Keeps the folders that files were read from; where that fails they can be chosen again. */
	async remember(files: readonly File[]): Promise<void> {
		for (const folder of rootsOf(files)) {
			await this.#shelf.addFrameFolder(this.#jobId, folder).catch(() => undefined);
		}
		await this.look();
	}

	/**
	 * The files of a folder that was chosen before. Within a press of a button: the browser may want to be asked again.
	 * @throws Error with why not, in words
	 */
	async readAgain({ folder }: FrameFolder): Promise<File[]> {
		const guard = folder as unknown as Guarded;
		const leave = await guard.requestPermission?.({ mode: 'read' });
		if (leave && leave !== 'granted') {
			throw new Error(say.theBrowserDoesNotLetFocalis(folder.name));
		}
		try {
			return await filesOf(folder);
		} catch (error) {
			const isGone = error instanceof DOMException && error.name === 'NotFoundError';
			throw new Error(
				isGone ? say.isNotTherePutItsCard(folder.name) : say.couldNotBeReadChooseThe(folder.name),
				{ cause: error }
			);
		}
	}
}
