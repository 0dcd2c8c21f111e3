import { rgb } from 'pdf-lib';
import {
	CHECK_LENGTH_MM,
	chartOf,
	CHART_PAPERS,
	type ChartKind,
	type ChartPaper
} from '$core/bench/chart';
import { newPdf, Typesetter, type DrawText, type FontFile } from './typesetting';

/** A chart on one sheet, true to size, as PDF. */

const PT_PER_MM = 72 / 25.4;
const BLACK = rgb(0, 0, 0);
const SOFT = rgb(0.35, 0.39, 0.45);
const SIZE = 9;
const LEADING = 1.35;
/** The words stand between the marks, this far from the edge of the sheet, and take so much of its width. */
const WORDS_MM = { fromTop: 17, width: 118 } as const;

const TITLES: Readonly<Record<ChartKind, string>> = {
	sharpness: 'Sharpness: straight on, the sheet fills the frame',
	scale: 'Front or back: at 45 degrees, focus on the upright line'
};
const HOW =
	'Print at 100 %, without “fit to page”, on matt paper. Check the line below with a ruler: it must be as long as it says. Hang the sheet flat, in even light.';

/** @param fonts in the order of preference */
export async function chartPdf(
	kind: ChartKind,
	paper: ChartPaper,
	fonts: readonly FontFile[],
	drawText: DrawText
): Promise<Uint8Array> {
	const chart = chartOf(kind, paper);
	const { widthMm, heightMm } = CHART_PAPERS[paper];
	const doc = await newPdf(TITLES[kind]);
	const type = new Typesetter(doc, fonts, drawText);
	const page = doc.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
	const pt = (x: number, y: number) =>
		[(x + widthMm / 2) * PT_PER_MM, (y + heightMm / 2) * PT_PER_MM] as const;
	for (const { outline, hole = [] } of chart.shapes) {
		// paths run downwards from where they are put
		const path = [outline, hole]
			.filter((line) => line.length > 0)
			.map((line) => {
				const corners = line.map(([x, y]) => {
					const [across, up] = pt(x, y);
					return `${across.toFixed(4)} ${(-up).toFixed(4)}`;
				});
				return `M ${corners.join(' L ')} Z`;
			});
		page.drawSvgPath(path.join(' '), { x: 0, y: 0, color: BLACK, borderWidth: 0 });
	}
	const write = async (text: string, y: number, widthMm: number, isBold = false) => {
		const width = widthMm * PT_PER_MM;
		const lines = await type.lines(text, width / SIZE, isBold);
		const [x, top] = pt(-widthMm / 2, y);
		lines.forEach((line, i) =>
			type.draw(page, line, { x, y: top - i * SIZE * LEADING }, SIZE, width, isBold ? BLACK : SOFT)
		);
		return y - (lines.length * SIZE * LEADING) / PT_PER_MM;
	};
	const below = await write(TITLES[kind], heightMm / 2 - WORDS_MM.fromTop, WORDS_MM.width, true);
	await write(HOW, below, WORDS_MM.width);
	const [from] = chart.length;
	await write(
		`${CHECK_LENGTH_MM} mm (${(CHECK_LENGTH_MM / 25.4).toFixed(2)} in)`,
		from.y + 3,
		CHECK_LENGTH_MM - 8
	);
	return doc.save();
}
