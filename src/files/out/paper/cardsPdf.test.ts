import { describe, expect, it } from 'vitest';
import { HARD_TEXTS } from '$tests/support/jobs';
import { onPaper, squeezed } from '$tests/support/paper';
import { cardsPdf, CARD_PAPERS, type CardPaper } from './cardsPdf';
import type { PrintedCard } from '../printed';

const card = (title: string, more: Partial<PrintedCard> = {}): PrintedCard => ({
	title,
	when: '14:00, steps',
	notes: '',
	taken: '',
	content: {
		focusOn: 'Ilinca’s left eye',
		where: 'middle row, third from left',
		state: 'sharp',
		settings: [
			{ label: 'aperture', value: 'f/4.5' },
			{ label: 'ISO', value: '800' }
		],
		sentences: ['All faces hold.'],
		facts: [{ label: 'lens', value: '24–70 mm f/2.8' }],
		checks: ['Aino'],
		cautions: []
	},
	frame: {
		width: 36,
		height: 24,
		shapes: [
			{ kind: 'ellipse', x: 0, y: 0, rx: 3, ry: 4, angleDeg: 10, fill: '#4a3426' },
			{ kind: 'path', d: 'M0 0 L5 5 L-5 5 Z', fill: '#57677f' },
			{ kind: 'rect', x: -18, y: -12, width: 6, height: 4, fill: '#b9b09f' }
		],
		ring: { x: 0, y: 0, radius: 5 }
	},
	ladder: [],
	different: null,
	...more
});

const make = (cards: readonly PrintedCard[], paper: CardPaper = 'A4') =>
	onPaper((fonts, drawText) => cardsPdf('A day', cards, paper, fonts, drawText));

describe('cards on paper', () => {
	it('stand four on a sheet of the size asked for', async () => {
		for (const paper of ['A4', 'Letter'] as const) {
			const { pdf } = await make(
				Array.from({ length: 9 }, (_, i) => card(`Shot ${i}`)),
				paper
			);
			expect(pdf.numPages).toBe(3);
			const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
			expect([width, height]).toEqual(
				CARD_PAPERS[paper].map((points) => expect.closeTo(points, 1))
			);
		}
	});

	it('carry real text that a PDF reader finds, in Latin, Greek, Cyrillic and Vietnamese', async () => {
		const covered = HARD_TEXTS.slice(0, 4);
		const { pages, drawn } = await make(covered.map((title) => card(title)));
		const text = squeezed(pages.join(''));
		for (const title of covered) expect(text).toContain(squeezed(title));
		expect(text).toContain(squeezed('f/4.5 · ISO 800'));
		expect(text).toContain(squeezed('Ilinca’s left eye'));
		expect(text).toContain(squeezed('middle row, third from left'));
		expect(drawn).toEqual([]);
	});

	it('draw what no font has as a picture, a run from right to left in one piece', async () => {
		const { drawn, pages } = await make([
			card('שירה ויונתן'),
			card('ليلى، عمر'),
			card('さくら と 健 and Noor'),
			card('🎺 solo')
		]);
		expect(drawn).toEqual(['שירה ויונתן', 'ليلى، عمر', 'さくら と 健', '🎺']);
		expect(squeezed(pages.join(''))).toContain('andNoor');
		expect(squeezed(pages.join(''))).toContain('solo');
	});

	it('set a card in smaller type rather than lose a word of it', async () => {
		const notes = Array.from({ length: 160 }, (_, i) => `word${i}`).join(' ');
		const { pages } = await make([card('Long', { notes })]);
		expect(pages.join(' ')).toContain('word159');
	});

	it('name a shot that asks for nothing', async () => {
		const { pages } = await make([card('Empty', { content: null, frame: null })]);
		expect(squeezed(pages[0] ?? '')).toContain('Nothinginitismeanttobesharp.');
	});
});
