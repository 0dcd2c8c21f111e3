import { JOBS_BYTES, readFileText, type Opened } from '$core/format/openedFile';
import { refuse, SHOT_BYTES, type Refusal } from '$core/format/shotFile';
import type { ReadRow } from '$files/in/shotList';

/** Opening whatever file somebody chose or dropped. */

export type Chosen =
	| {
			readonly ok: true;
			readonly opened: Opened | { readonly kind: 'list'; readonly rows: readonly ReadRow[] };
	  }
	| Refusal;

/** A kind of file that can be opened. Adding one means an entry here, and what `Openings` does with it. */
interface Opener {
	/** Endings and media types, as a chooser of files takes them. */
	readonly accept: readonly string[];
	readonly mostBytes: number;
	/** @param date of the open day, for times that name none */
	readonly read: (file: File, date: string | null) => Promise<Chosen>;
}

const JSON_FILES: Opener = {
	accept: ['.json', 'application/json'],
	mostBytes: JOBS_BYTES,
	read: async (file) => readFileText(await file.text())
};

const LISTS: Opener = {
	accept: ['.csv', 'text/csv'],
	mostBytes: SHOT_BYTES * 4,
	async read(file, date) {
		const { readShotList } = await import('$files/in/shotList');
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

const OPENERS = [JSON_FILES, LISTS];

/** What a chooser of files offers. */
export const ACCEPTED = OPENERS.flatMap(({ accept }) => accept).join(',');

/** By the ending, else by what the device says it is; what is neither may still be one of our own. */
function openerOf({ name, type }: File): Opener {
	const isEnding = (one: string) => one.startsWith('.') && name.toLowerCase().endsWith(one);
	return (
		OPENERS.find(({ accept }) => accept.some(isEnding)) ??
		OPENERS.find(({ accept }) => type !== '' && accept.includes(type)) ??
		JSON_FILES
	);
}

const MEGABYTE = 1024 * 1024;

/** Reads a file; its size is checked before it is read. */
export async function readChosen(file: File, date: string | null = null): Promise<Chosen> {
	const { mostBytes, read } = openerOf(file);
	if (file.size > mostBytes) {
		const size = `over ${mostBytes / MEGABYTE} MB`;
		return refuse('not-a-shot', `“${file.name}” is too large for a file of Focalis (${size}).`);
	}
	try {
		return await read(file, date);
	} catch {
		return refuse('not-json', `“${file.name}” cannot be read from this device.`);
	}
}
