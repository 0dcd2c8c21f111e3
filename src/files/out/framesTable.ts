import Papa from 'papaparse';
import { harmless } from '../shotListCells';

/** Everything that was measured of frames, as a table for spreadsheets. */

export type FrameRow = Readonly<Record<string, string | number | null | undefined>>;

/** @param columns their headings, in order */
export function framesCsv(columns: readonly string[], rows: readonly FrameRow[]): string {
	const cells = rows.map((row) =>
		columns.map((column) => {
			const value = row[column];
			if (typeof value === 'number') return Number.isFinite(value) ? String(value) : '';
			return harmless(value ?? '');
		})
	);
	return '\uFEFF' + Papa.unparse([[...columns], ...cells], { newline: '\r\n' }) + '\r\n';
}
