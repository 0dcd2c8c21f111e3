/** The kinds of files that can be opened. Adding one means an entry here, a reader, and what `Openings` does with it. */

interface KindOfFile {
	/** Endings and media types, as a chooser of files takes them. */
	readonly accept: readonly string[];
	readonly mostBytes: number;
}

const MEGABYTE = 1024 * 1024;

export const FILE_KINDS = {
	/** A shot, a job, a backup: far more than any backup has, and still one text. */
	json: { accept: ['.json', 'application/json'], mostBytes: 256 * MEGABYTE },
	/** A shot list from a spreadsheet. */
	list: { accept: ['.csv', 'text/csv'], mostBytes: 4 * MEGABYTE }
} as const satisfies Readonly<Record<string, KindOfFile>>;
export type FileKind = keyof typeof FILE_KINDS;

const ENTRIES = Object.entries(FILE_KINDS) as [FileKind, KindOfFile][];

/** What a chooser of files offers. */
export const ACCEPTED = ENTRIES.flatMap(([, { accept }]) => accept).join(',');

/** By the ending, else by what the device says it is; what is neither may still be one of our own. */
export function openedAs({ name, type }: Pick<File, 'name' | 'type'>): FileKind {
	const isEnding = (one: string) => one.startsWith('.') && name.toLowerCase().endsWith(one);
	const [kind] =
		ENTRIES.find(([, { accept }]) => accept.some(isEnding)) ??
		ENTRIES.find(([, { accept }]) => type !== '' && accept.includes(type)) ??
		([] as const);
	return kind ?? 'json';
}
