import { rgb } from 'pdf-lib';
import { CARD_PAPERS, type CardPaper } from './cardsPdf';
import type { LensTable } from '../lensTable';
import { newPdf, Typesetter, type DrawText, type FontFile } from './typesetting';

/** The table of a lens on one sheet, as PDF. */

const MARGIN = 36;
const INK = rgb(0.106, 0.165, 0.255);
const SOFT = rgb(0.35, 0.39, 0.45);
const RULE = rgb(0.75, 0.72, 0.66);
const FIRST_COLUMN = 62;
const ROW = 30;
const SIZE = 8.5;

/** @param fonts in the order of preference */
export async function lensTablePdf(
	{ title, notes, head, rows }: LensTable,
	paper: CardPaper,
	fonts: readonly FontFile[],
	drawText: DrawText
): Promise<Uint8Array> {
	const doc = await newPdf(title);
	const type = new Typesetter(doc, fonts, drawText);
	const [width, height] = CARD_PAPERS[paper];
	const page = doc.addPage([width, height]);
	const inner = width - 2 * MARGIN;
	const column = (inner - FIRST_COLUMN) / Math.max(1, head.length);
	const write = async (
		text: string,
		x: number,
		y: number,
		widthPt: number,
		{ size = SIZE, isBold = false, color = INK } = {}
	): Promise<number> => {
		const lines = await type.lines(text, widthPt / size, isBold);
		lines.forEach((line, i) =>
			type.draw(page, line, { x, y: y - i * size * 1.3 }, size, widthPt, color)
		);
		return lines.length * size * 1.3;
	};
	const rule = (y: number) =>
		page.drawLine({
			start: { x: MARGIN, y },
			end: { x: width - MARGIN, y },
			thickness: 0.5,
			color: RULE
		});

	let y = height - MARGIN - 16;
	await write(title, MARGIN, y, inner, { size: 16, isBold: true });
	y -= 26;
	await write('focused at', MARGIN, y, FIRST_COLUMN, { color: SOFT });
	for (const [i, text] of head.entries()) {
		await write(text, MARGIN + FIRST_COLUMN + i * column, y, column - 4, { isBold: true });
	}
	for (const { distance, cells } of rows) {
		y -= 6;
		rule(y);
		y -= 12;
		await write(distance, MARGIN, y, FIRST_COLUMN, { isBold: true });
		for (const [i, { before, behind }] of cells.entries()) {
			const x = MARGIN + FIRST_COLUMN + i * column;
			await write(before, x, y, column - 4);
			await write(behind, x, y - 11, column - 4);
		}
		y -= ROW - 18;
	}
	y -= 10;
	rule(y);
	y -= 14;
	for (const note of notes) y -= await write(note, MARGIN, y, inner, { size: 8, color: SOFT });
	return doc.save();
}
