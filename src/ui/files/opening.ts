import { JOBS_BYTES, readFileText, type Opened } from '$core/format/openedFile';
import { refuse, SHOT_BYTES, type Refusal } from '$core/format/shotFile';
import type { ReadRow } from '$files/shotList';

/** Opening whatever file somebody chose or dropped. */

export type Chosen =
	| {
			readonly ok: true;
			readonly opened: Opened | { readonly kind: 'list'; readonly rows: readonly ReadRow[] };
	  }
	| Refusal;

const MEGABYTE = 1024 * 1024;

/** Reads a file; its size is checked before it is read. */
export async function readChosen(file: File): Promise<Chosen> {
	const isList = /\.csv$/i.test(file.name);
	const most = isList ? SHOT_BYTES * 4 : JOBS_BYTES;
	if (file.size > most) {
		const size = `over ${most / MEGABYTE} MB`;
		return refuse('not-a-shot', `“${file.name}” is too large for a file of Focalis (${size}).`);
	}
	let text: string;
	try {
		text = await file.text();
	} catch {
		return refuse('not-json', `“${file.name}” cannot be read from this device.`);
	}
	if (!isList) return readFileText(text);
	const { readShotList } = await import('$files/shotList');
	const reading = readShotList(text);
	if (!reading.ok) return refuse('invalid', reading.message, reading.problems);
	return { ok: true, opened: { kind: 'list', rows: reading.rows } };
}
