import { describe, expect, it } from 'vitest';
import { onPaper, squeezed } from '$tests/support/paper';
import { CHART_PAPERS, type ChartKind, type ChartPaper } from '$core/bench/chart';
import { chartPdf } from './chartPdf';

const SHEETS: readonly (readonly [ChartKind, ChartPaper])[] = [
	['sharpness', 'a4'],
	['sharpness', 'a3'],
	['scale', 'letter'],
	['scale', 'a4']
];

describe.each(SHEETS)('the chart for %s on %s', (kind, paper) => {
	it('is one sheet, true to size, its words real text', async () => {
		const { pdf, pages, drawn } = await onPaper((fonts, drawText) =>
			chartPdf(kind, paper, fonts, drawText)
		);
		expect(pdf.numPages).toBe(1);
		const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
		// ISO 216 and ANSI X3.151 in points of 1/72 inch
		expect(width).toBeCloseTo((CHART_PAPERS[paper].widthMm * 72) / 25.4, 2);
		expect(height).toBeCloseTo((CHART_PAPERS[paper].heightMm * 72) / 25.4, 2);
		const text = squeezed(pages.join(''));
		expect(text).toContain(squeezed('Print at 100 %'));
		expect(text).toContain(squeezed('150 mm'));
		// no letter was missing
		expect(drawn).toEqual([]);
	});
});
