/** Files of folders that are chosen or dropped, and the folder of each. */

/** Folders are not searched deeper than that, nor are more files taken at once. */
const DEEPEST = 6;
const MOST_FILES = 5000;

interface Entry {
	readonly name: string;
	readonly kind: 'file' | 'directory';
	getFile?(): Promise<File>;
	values?(): AsyncIterable<Entry>;
}

/** The folders of files that were read from folders. */
const folders = new WeakMap<File, string>();

/** The folder of a file, from the one that was chosen on, parted by slashes; empty where it is not known. */
export const folderOf = (file: File): string =>
	folders.get(file) ?? file.webkitRelativePath.split('/').slice(0, -1).join('/');

/** The files of a folder and of those inside it, read as they are. */
async function filesIn(folder: Entry, path: readonly string[] = [folder.name]): Promise<File[]> {
	const found: File[] = [];
	if (!folder.values || path.length > DEEPEST + 1) return found;
	for await (const entry of folder.values()) {
		if (found.length >= MOST_FILES) break;
		if (entry.kind === 'directory') {
			found.push(...(await filesIn(entry, [...path, entry.name])));
		} else if (entry.getFile) {
			const file = await entry.getFile();
			folders.set(file, path.join('/'));
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
	const entries = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
	if (!entries.some(({ isDirectory }) => isDirectory)) return dropped;
	async function* values() {
		yield* entries.map(entryOf);
	}
	return filesIn({ name: '', kind: 'directory', values }, []);
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
	filesIn(folder as unknown as Entry);
