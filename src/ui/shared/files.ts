import { readShotText, SHOT_BYTES, writeShotText, type ShotReading } from '$core/format/shotFile';
import type { Shot } from '$core/format/shot';

/** Shot files in and out of the browser. */

/** Reads a chosen or dropped file; its size is checked before it is read. */
export async function readShotFile(file: File): Promise<ShotReading> {
	if (file.size > SHOT_BYTES) {
		const message = `“${file.name}” is too large for a shot file (over 1 MB).`;
		return { ok: false, code: 'not-a-shot', message, problems: [] };
	}
	try {
		return readShotText(await file.text());
	} catch {
		const message = `“${file.name}” cannot be read from this device.`;
		return { ok: false, code: 'not-json', message, problems: [] };
	}
}

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
export function saveText(name: string, text: string): void {
	saveBlob(name, new Blob([text], { type: 'application/json' }));
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
