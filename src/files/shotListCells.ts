/**
 * The cells of a shot list. One that a spreadsheet would run as a formula gets an apostrophe in front,
 * and loses it again on the way back.
 */

/** What begins a formula in a spreadsheet, also in its full-width forms. */
const RUNS = /^'*[=+\-@\t\r\n＝＋－＠]/;
const WAS_MADE_HARMLESS = /^'+[=+\-@\t\r\n＝＋－＠]/;

export const harmless = (cell: string): string => (RUNS.test(cell) ? `'${cell}` : cell);
export const restored = (cell: string): string =>
	WAS_MADE_HARMLESS.test(cell) ? cell.slice(1) : cell;

export const COLUMNS = [
	'id',
	'starts',
	'minutes',
	'title',
	'place',
	'status',
	'people',
	'notes',
	'taken'
] as const;
export type Column = (typeof COLUMNS)[number];
