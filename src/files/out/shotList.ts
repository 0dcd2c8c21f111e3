import Papa from 'papaparse';
import type { JobFile } from '$core/format/job';
import { takenWords } from '../../words/light';
import { COLUMNS, harmless } from '../shotListCells';

/**
 * The shot list as a table for spreadsheets: RFC 4180, with a byte order mark so that they read it as
 * UTF-8.
 */

/** The shot list of a job. */
export function writeShotList({ shots }: JobFile): string {
	const rows = shots.map(({ id, startsAt, minutes, place, status, taken, shot }) => [
		id,
		startsAt.replace('T', ' '),
		`${minutes}`,
		shot.title,
		place,
		status,
		shot.people.map(({ name }) => name).join('; '),
		shot.notes,
		taken ? takenWords(taken) : ''
	]);
	const cells = [[...COLUMNS], ...rows].map((row) => row.map(harmless));
	return '\uFEFF' + Papa.unparse(cells, { newline: '\r\n' }) + '\r\n';
}
