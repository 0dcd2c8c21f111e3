import Papa from 'papaparse';
import { z } from 'zod';
import { JOB_LIMITS, SLOT_SHAPE } from '$core/format/job';
import { problemsOf, type Problem } from '$core/format/problems';
import { LIMITS } from '$core/format/shot';
import { listedTime } from './listedTime';
import { COLUMNS, restored, type Column } from '../shotListCells';

/** Reading a shot list: ours, or any table whose first line names some of our columns. */

const RowSchema = z.strictObject({
	id: z.string().optional(),
	startsAt: SLOT_SHAPE.startsAt.optional(),
	minutes: SLOT_SHAPE.minutes.optional(),
	title: z.string().max(LIMITS.title, `the title may be at most ${LIMITS.title} characters long`),
	place: z.string().max(JOB_LIMITS.place, 'the place is too long').optional(),
	status: SLOT_SHAPE.status.optional(),
	people: z.array(z.string().max(LIMITS.name)).max(LIMITS.people).optional(),
	notes: z.string().max(LIMITS.notes).optional()
});

/** A row that was read: what the table leaves out stays as it is. */
export type ReadRow = z.output<typeof RowSchema>;

export type ListReading =
	| { readonly ok: true; readonly rows: readonly ReadRow[] }
	| { readonly ok: false; readonly message: string; readonly problems: readonly Problem[] };

/** Most rows of a list. */
const MOST_ROWS = 1000;

/**
 * Reads a shot list: ours, or any table whose first line names some of our columns.
 * @param date day of times that name none, "2026-09-26"
 */
export function readShotList(whole: string, date: string | null = null): ListReading {
	// spreadsheets tell each other in a line of its own what parts the cells
	const [, parting, text] = /^\uFEFF?(?:sep=(.)\r?\n)?([\s\S]*)$/i.exec(whole) ?? [];
	const { data } = Papa.parse<string[]>(text ?? '', {
		delimiter: parting ?? '',
		skipEmptyLines: 'greedy',
		// one more than there may be tells of too many
		preview: MOST_ROWS + 2
	});
	const [head = [], ...lines] = data;
	const columns = head.map((cell) => restored(cell).trim().toLowerCase());
	if (!columns.includes('title')) {
		const message = `This table has no column called “title”. The columns are ${COLUMNS.join(', ')}.`;
		return { ok: false, message, problems: [] };
	}
	if (lines.length > MOST_ROWS) {
		return { ok: false, message: `This table has more than ${MOST_ROWS} rows.`, problems: [] };
	}
	const rows: ReadRow[] = [];
	const problems: Problem[] = [];
	for (const [i, line] of lines.entries()) {
		const cell = (column: Column) => restored(line[columns.indexOf(column)] ?? '').trim();
		const said = <T>(column: Column, value: (text: string) => T) => {
			const text = cell(column);
			return text === '' ? {} : { [column]: value(text) };
		};
		const row = {
			...said('id', String),
			...said('minutes', Number),
			title: cell('title'),
			...said('place', String),
			...said('status', (text) => text.toLowerCase()),
			...said('people', (text) => text.split(';').flatMap((name) => name.trim() || [])),
			...said('notes', String)
		} as Record<string, unknown>;
		const startsText = cell('starts');
		const starts = startsText === '' ? null : listedTime(startsText, date);
		if (starts && !starts.ok) {
			problems.push({ path: `line ${i + 2}`, message: starts.message });
			continue;
		}
		const result = RowSchema.safeParse(starts ? { ...row, startsAt: starts.startsAt } : row);
		if (result.success) rows.push(result.data);
		else {
			const found = problemsOf(result.error).map((one) => ({ ...one, path: `line ${i + 2}` }));
			problems.push(...found);
		}
	}
	if (problems.length === 0) return { ok: true, rows };
	return { ok: false, message: 'Something in this table is not right.', problems };
}
