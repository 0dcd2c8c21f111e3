/** Files of folders that are chosen or dropped, and the folder of each. */

/** Folders are not searched deeper than that, nor are more files taken at once. */
const MAX_FOLDER_DEPTH = 6;
const MOST_FILES = 5000;

interface Entry {
	readonly name: string;
	readonly kind: 'file' | 'directory';
	getFile?(): Promise<File>;
	values?(): AsyncIterable<Entry>;
}

/** What the browser hands over for later of a folder that was chosen or dropped; null where it hands nothing over. */
type Root = FileSystemDirectoryHandle | null;

/** Where files lie that were read from folders. */
const places = new WeakMap<File, { readonly path: string; readonly root: Root }>();

/** The folder of a file, from the one that was chosen on, parted by slashes; empty where it is not known. */
export const folderOf = (file: File): string =>
	places.get(file)?.path ?? file.webkitRelativePath.split('/').slice(0, -1).join('/');

/** The folders that files were read from, as far as they can be read again later. */
export const rootsOf = (files: readonly File[]): FileSystemDirectoryHandle[] => {
	const roots = files.map((file) => places.get(file)?.root).filter((root) => !!root);
	return [...new Set(roots)];
};

/** The files of a folder and of those inside it, read as they are. */
async function filesIn(folder: Entry, path: readonly string[], root: Root): Promise<File[]> {
	const found: File[] = [];
	if (!folder.values || path.length > MAX_FOLDER_DEPTH + 1) return found;
	for await (const entry of folder.values()) {
		if (found.length >= MOST_FILES) break;
		if (entry.kind === 'directory') {
			found.push(...(await filesIn(entry, [...path, entry.name], root)));
		} else if (entry.getFile) {
			const file = await entry.getFile();
			places.set(file, { path: path.join('/'), root });
			found.push(file);
		}
	}
	return found;
}

/** What was dropped, in the form in which chosen folders are read. */
const entryOf = (entry: FileSystemEntry): Entry => ({
	name: entry.name,
	kind: entry.isDirectory ? 'directory' : 'file',
	getFile: () =>
		new Promise((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject)),
	async *values() {
		const reader = (entry as FileSystemDirectoryEntry).createReader();
		for (;;) {
			// some at a time, until none are left
			const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
				reader.readEntries(resolve, reject)
			);
			if (some.length === 0) return;
			yield* some.map(entryOf);
		}
	}
});

/** The files of a drop, and those in its folders. What is in it is asked for at once: afterwards it is gone. */
export async function droppedFiles({ files, items }: DataTransfer): Promise<File[]> {
	const dropped = [...files];
	const parts = [...items].map((item) => ({
		entry: item.webkitGetAsEntry(),
		handle: handleOf(item)
	}));
	if (!parts.some(({ entry }) => entry?.isDirectory)) return dropped;
	const found: File[] = [];
	for (const { entry, handle } of parts) {
		if (!entry) continue;
		async function* values() {
			yield entryOf(entry as FileSystemEntry);
		}
		found.push(...(await filesIn({ name: '', kind: 'directory', values }, [], await handle)));
	}
	return found;
}

/** A dropped folder for later; null for what is none, or where the browser hands none over. */
async function handleOf(item: DataTransferItem & HandingOver): Promise<Root> {
	const handle = await item.getAsFileSystemHandle?.().catch(() => null);
	return handle?.kind === 'directory' ? (handle as FileSystemDirectoryHandle) : null;
}

interface HandingOver {
	getAsFileSystemHandle?: () => Promise<FileSystemHandle | null>;
}

interface FolderWindow {
	showDirectoryPicker?: (options: {
		readonly mode: 'read' | 'readwrite';
	}) => Promise<FileSystemDirectoryHandle>;
}

/** Whether the browser can hand over a whole folder by itself. */
export const canChooseFolder = (): boolean => 'showDirectoryPicker' in window;

/** Asks for a folder; null when none was chosen. */
export async function chosenFolder(): Promise<FileSystemDirectoryHandle | null> {
	try {
		return (await (window as FolderWindow).showDirectoryPicker?.({ mode: 'read' })) ?? null;
	} catch (error) {
		if (error instanceof DOMException && error.name === 'AbortError') return null;
		throw error;
	}
}

/** The files of a folder that was chosen, and of those inside it. */
export const filesOf = (folder: FileSystemDirectoryHandle): Promise<File[]> =>
	filesIn(folder as unknown as Entry, [folder.name], folder);
