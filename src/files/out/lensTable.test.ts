import { describe, expect, it } from 'vitest';
import { onPaper, squeezed } from '$tests/support/paper';
import { CARD_PAPERS } from './paper/cardsPdf';
import { lensTablePage, type LensTable } from './lensTable';
import { lensTablePdf } from './paper/lensTablePdf';

const table: LensTable = {
	title: '85 mm <b>f/1.4</b>: what is sharp',
	notes: ['H = f²/(N c) + f'],
	head: ['f/1.4', 'f/2', 'f/2.8'],
	rows: Array.from({ length: 16 }, (_, row) => ({
		distance: `${row + 1} m`,
		cells: [0, 1, 2].map((i) => ({
			before: `− ${row}.${i} cm`,
			behind: row > 14 ? '+ ∞' : `+ ${i} cm`
		}))
	}))
};

describe('the table of a lens', () => {
	it('is one sheet with every number on it, as real text', async () => {
		for (const paper of ['A4', 'Letter'] as const) {
			const { pdf, pages, drawn } = await onPaper((fonts, drawText) =>
				lensTablePdf(table, paper, fonts, drawText)
			);
			expect(pdf.numPages).toBe(1);
			const { width } = (await pdf.getPage(1)).getViewport({ scale: 1 });
			expect(width).toBeCloseTo(CARD_PAPERS[paper][0], 1);
			const text = squeezed(pages.join(''));
			for (const { distance, cells } of table.rows) {
				expect(text).toContain(squeezed(distance));
				for (const { before } of cells) expect(text).toContain(squeezed(before));
			}
			for (const note of table.notes) expect(text).toContain(squeezed(note));
			// no font of ours has it
			expect(drawn).toEqual(['∞']);
		}
	});

	it('is a page without scripts, and what looks like code stays text', () => {
		const page = lensTablePage(table);
		expect(page).toContain('85 mm &lt;b&gt;f/1.4&lt;/b&gt;');
		expect(page).toContain("default-src 'none'");
		expect(page.match(/<td>/g)).toHaveLength(16 * 3);
	});
});
