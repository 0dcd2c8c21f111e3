import { expect, it, vi } from 'vitest';
import { chosenFolder, droppedFiles, filesOf, folderOf, rootsOf } from './folders';

it('a folder that the browser hands over says where each file lies', async () => {
	const fileIn = (name: string) => ({
		name,
		kind: 'file',
		getFile: () => Promise.resolve(new File(['x'], name))
	});
	const folder = (name: string, entries: readonly unknown[]) => ({
		name,
		kind: 'directory',
		async *values() {
			yield* await Promise.resolve(entries);
		}
	});
	const day = folder('day', [fileIn('a.jpg'), folder('two', [fileIn('a.jpg')])]);
	vi.stubGlobal('window', { showDirectoryPicker: () => Promise.resolve(day) });
	const chosen = await chosenFolder();
	const files = chosen && (await filesOf(chosen));
	expect(files?.map(folderOf)).toEqual(['day', 'day/two']);
	expect(rootsOf(files ?? [])).toEqual([chosen]);
	vi.unstubAllGlobals();
});

it('a folder that is dropped is searched, files beside it are taken', async () => {
	const fileIn = (name: string) => ({
		name,
		isDirectory: false,
		file: (tell: (file: File) => void) => tell(new File(['x'], name))
	});
	const folder = (name: string, ...entries: readonly unknown[]) => ({
		name,
		isDirectory: true,
		createReader() {
			const lots = [entries, []];
			return { readEntries: (tell: (some: unknown) => void) => tell(lots.shift()) };
		}
	});
	const handles = new Map<unknown, unknown>();
	const drop = (...entries: readonly unknown[]) => ({
		files: [new File(['x'], 'plain.jpg')],
		items: entries.map((entry) => ({
			webkitGetAsEntry: () => entry,
			getAsFileSystemHandle: () => Promise.resolve(handles.get(entry) ?? null)
		}))
	});
	const day = folder('day', fileIn('a.jpg'), folder('two', fileIn('a.jpg')));
	const handle = { kind: 'directory', name: 'day' };
	handles.set(day, handle);
	const files = await droppedFiles(drop(day, fileIn('b.jpg')) as never);
	expect(files.map((file) => [folderOf(file), file.name])).toEqual([
		['day', 'a.jpg'],
		['day/two', 'a.jpg'],
		['', 'b.jpg']
	]);
	// what the browser hands over of it can be read again later
	expect(rootsOf(files)).toEqual([handle]);
	expect(rootsOf(files.slice(2))).toEqual([]);
	const plain = await droppedFiles(drop(fileIn('plain.jpg')) as never);
	expect(plain.map(({ name }) => name)).toEqual(['plain.jpg']);
});
