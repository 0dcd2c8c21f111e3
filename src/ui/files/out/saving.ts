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

/** Hands a file to the browser as a download. */
export function saveBlob(name: string, blob: Blob): void {
	const address = URL.createObjectURL(blob);
	const link = document.createElement('a');
	link.href = address;
	link.download = name;
	link.click();
	URL.revokeObjectURL(address);
}
