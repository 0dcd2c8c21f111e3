import { savingText as say } from '$words/screens/browser';
import { writeShotText } from '$core/format/shotFile';
import type { Shot } from '$core/format/shot';

/** Files out of the browser. */

/** Hands a shot to the browser as a download. */
export function saveShotFile(shot: Shot): void {
	saveText(`${fileName(shot.title)}.focalis.json`, writeShotText(shot));
}

/** A title as the name of a file. */
export function fileName(title: string): string {
	const name = title
		.normalize('NFKD')
		.replace(/[^\p{Letter}\p{Number}]+/gu, '-')
		.replace(/^-+|-+$/g, '')
		.toLowerCase();
	return name || 'shot';
}

/** Hands a text to the browser as a download. */
export function saveText(name: string, text: string, type = 'application/json'): void {
	saveBlob(name, new Blob([text], { type }));
}

/** What became of a file: written where one chose, handed to the browser, or given up. */
export type Saved = 'written' | 'handed' | 'given-up';

/** The same in words. */
export const savedWords = (saved: Saved, name: string): string =>
	({
		written: say.savedAs(name),
		handed: say.handedToTheBrowserAs(name),
		'given-up': say.nothingWasSaved
	})[saved];

/** The window of browsers that let one choose where a file goes, and say when it is written. */
interface Choosing {
	readonly showSaveFilePicker?: (options: {
		readonly suggestedName: string;
	}) => Promise<FileSystemFileHandle>;
}

/**
 * Writes a file where the photographer chooses it, and waits until it is written; where the browser has no such
 * thing it is handed over as a download, and nobody knows what became of it. Asked within a press of a button.
 *
 * @param make makes the file once there is a place for it
 * @throws when it cannot be written
 */
export async function writeFile(
	name: string,
	make: () => ReadableStream<Uint8Array>
): Promise<Saved> {
	const { showSaveFilePicker } = window as Choosing;
	if (!showSaveFilePicker) {
		saveBlob(name, await new Response(make()).blob());
		return 'handed';
	}
	let place: FileSystemFileHandle;
	try {
		place = await showSaveFilePicker.call(window, { suggestedName: name });
	} catch (error) {
		if (error instanceof DOMException && error.name === 'AbortError') return 'given-up';
		throw error;
	}
	const content = make();
	const file = await place.createWritable();
	await content.pipeTo(file as WritableStream<Uint8Array>);
	return 'written';
}

/** Hands a file to the browser as a download. */
export function saveBlob(name: string, blob: Blob): void {
	const address = URL.createObjectURL(blob);
	const link = document.createElement('a');
	link.href = address;
	link.download = name;
	link.click();
	URL.revokeObjectURL(address);
}
