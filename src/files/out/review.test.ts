import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { sheetPages, type SheetFrame } from './paper/contactSheet';
import { framesCsv } from './framesTable';
import { labelOf, newSidecar, ratingOf } from './sidecar';
import { UNJUDGED } from '$core/format/review';

describe('the table of frames', () => {
	it('is read back by another reader, formulas harmless', () => {
		const text = framesCsv(
			['file', 'blur', 'note'],
			[
				{ file: 'a.jpg', blur: 1.25, note: '=1+1' },
				{ file: 'b, "c".jpg', blur: null, note: 'two\nlines' }
			]
		);
		const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd());
		expect(data).toEqual([
			['file', 'blur', 'note'],
			['a.jpg', '1.25', "'=1+1"],
			['b, "c".jpg', '', 'two\nlines']
		]);
	});
});

describe('a sidecar', () => {
	it('has the rating of what was said', () => {
		expect(ratingOf({ ...UNJUDGED, mark: 'keep' })).toBe(4);
		expect(ratingOf({ ...UNJUDGED, mark: 'drop' })).toBe(-1);
		expect(ratingOf({ ...UNJUDGED, mark: 'keep', isFavourite: true })).toBe(5);
		expect([ratingOf(UNJUDGED), labelOf(UNJUDGED)]).toEqual([null, null]);
	});

	it('keeps markup in names as text', () => {
		const text = newSidecar({ rating: 4, label: 'Keep', description: '<b>&"\u0000 eye' });
		expect(text).toContain('&lt;b&gt;&amp;&quot; eye');
		expect(text).not.toContain('\u0000');
	});
});

describe('a contact sheet', () => {
	const frame = (widthPx: number, heightPx: number): SheetFrame => ({
		jpeg: new Blob(),
		widthPx,
		heightPx,
		caption: 'on the eye'
	});
	it('puts every frame on a page without two of them meeting', () => {
		const frames = Array.from({ length: 60 }, (_, i) =>
			i % 3 ? frame(3000, 2000) : frame(2000, 3000)
		);
		const pages = sheetPages({ title: 'x', favourite: frame(3000, 2000), frames }, [595, 842]);
		expect(pages.flatMap(({ placed }) => placed)).toHaveLength(61);
		for (const { placed } of pages) {
			for (const a of placed) {
				expect(a.x).toBeGreaterThanOrEqual(30);
				expect(a.captionY + 28).toBeLessThan(842);
				for (const b of placed) {
					const meets =
						a !== b &&
						a.x < b.x + b.width &&
						b.x < a.x + a.width &&
						a.y < b.y + b.height &&
						b.y < a.y + a.height;
					expect(meets).toBe(false);
				}
			}
		}
	});
});
