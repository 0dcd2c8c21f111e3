/**
 * The cells of a shot list. One that a spreadsheet would run as a formula gets an apostrophe in front,
 * and loses it again on the way back.
 */

/** What begins a formula in a spreadsheet, also in its full-width forms. */
const RUNS = /^'*[=+\-@\t\r\n＝＋－＠]/;
const WAS_MADE_HARMLESS = /^'+[=+\-@\t\r\n＝＋－＠]/;

/** The same within a cell, should a spreadsheet part it where we do not: at a comma, a semicolon, a tab, a line. */
const RUNS_WITHIN = /([,;\t\r\n][\s"]*)('*[=+\-@＝＋－＠])/g;
const WITHIN_MADE_HARMLESS = /([,;\t\r\n][\s"]*)'('*[=+\-@＝＋－＠])/g;

export function harmless(cell: string): string {
	const within = cell.replace(RUNS_WITHIN, "$1'$2");
	return RUNS.test(within) ? `'${within}` : within;
}

export function restored(cell: string): string {
	const within = WAS_MADE_HARMLESS.test(cell) ? cell.slice(1) : cell;
	return within.replace(WITHIN_MADE_HARMLESS, '$1$2');
}

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
