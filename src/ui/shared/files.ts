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
	const name = shot.title
		.normalize('NFKD')
		.replace(/[^\p{Letter}\p{Number}]+/gu, '-')
		.replace(/^-+|-+$/g, '')
		.toLowerCase();
	saveText(`${name || 'shot'}.focalis.json`, writeShotText(shot));
}

/** Hands a text to the browser as a download. */
export function saveText(name: string, text: string): void {
	const address = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
	const link = document.createElement('a');
	link.href = address;
	link.download = name;
	link.click();
	URL.revokeObjectURL(address);
}
