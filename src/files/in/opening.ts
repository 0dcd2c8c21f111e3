import { readFileText, type Opened } from '$core/format/openedFile';
import { refuse, type Refusal } from '$core/format/shotFile';
import { FILE_KINDS, openedAs, type FileKind } from './kinds';
import type { ReadRow } from './shotList';

/** Opening whatever file somebody chose or dropped. */

export type Chosen =
	| {
			readonly ok: true;
			readonly opened: Opened | { readonly kind: 'list'; readonly rows: readonly ReadRow[] };
	  }
	| Refusal;

/** How each kind is read; the date is of the open day, for times that name none. */
const READERS: Readonly<
	Record<FileKind, (file: File, date: string | null) => Chosen | Promise<Chosen>>
> = {
	json: async (file) => readFileText(await file.text()),
	async list(file, date) {
		const { readShotList } = await import('./shotList');
		const reading = readShotList(await textOf(file), date);
		if (!reading.ok) return refuse('invalid', reading.message, reading.problems);
		return { ok: true, opened: { kind: 'list', rows: reading.rows } };
	}
};

/** Text as it was written: UTF-8, or what older spreadsheets write. */
async function textOf(file: File): Promise<string> {
	const bytes = await file.arrayBuffer();
	try {
		return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
	} catch {
		const [first, second] = new Uint8Array(bytes);
		const isWide = first === 0xff && second === 0xfe;
		return new TextDecoder(isWide ? 'utf-16le' : 'windows-1252').decode(bytes);
	}
}

const MEGABYTE = 1024 * 1024;

/** Reads a file; its size is checked before it is read. */
export async function readChosen(file: File, date: string | null = null): Promise<Chosen> {
	const kind = openedAs(file);
	const { mostBytes } = FILE_KINDS[kind];
	if (file.size > mostBytes) {
		const size = `over ${mostBytes / MEGABYTE} MB`;
		return refuse('not-a-shot', `“${file.name}” is too large for a file of Focalis (${size}).`);
	}
	try {
		return await READERS[kind](file, date);
	} catch {
		return refuse('not-json', `“${file.name}” cannot be read from this device.`);
	}
}
