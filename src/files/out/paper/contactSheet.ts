import { rgb } from 'pdf-lib';
import { CARD_PAPERS, type CardPaper } from './cardsPdf';
import { newPdf, Typesetter, type DrawText, type FontFile } from './typesetting';

/** A contact sheet: titled, each frame captioned, the favourite large. Its layout serves paper and picture. */

export interface SheetFrame {
	readonly jpeg: Blob;
	readonly widthPx: number;
	readonly heightPx: number;
	/** What it was focused on, and its settings. */
	readonly caption: string;
}

export interface Sheet {
	readonly title: string;
	readonly favourite: SheetFrame | null;
	readonly frames: readonly SheetFrame[];
	/** How many stand beside each other below the favourite. */
	readonly columns?: number;
}

/** Where a frame lies on a sheet, from its top left, in units of the sheet. */
interface Placed {
	readonly frame: SheetFrame;
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
	/** Where its caption begins, and how wide it may be. */
	readonly captionY: number;
	readonly columnWidth: number;
}

export interface SheetPage {
	readonly placed: readonly Placed[];
}

const MARGIN = 36;
const TITLE = 40;
const CAPTION = 30;
const GAP = 10;
const COLUMNS = 4;
/** How much of the first page the favourite has. */
const LARGE = 0.42;

/** Frames on as many pages as they need, the favourite on top of the first. */
export function sheetPages(
	{ favourite, frames, columns = COLUMNS }: Sheet,
	[width, height]: readonly [number, number]
): SheetPage[] {
	const inner = width - 2 * MARGIN;
	const column = (inner - (columns - 1) * GAP) / columns;
	const box = (column * 2) / 3;
	const place = (frame: SheetFrame, x: number, y: number, w: number, h: number): Placed => {
		const share = Math.min(w / frame.widthPx, h / frame.heightPx);
		const size = { width: frame.widthPx * share, height: frame.heightPx * share };
		return {
			frame,
			...size,
			x: x + (w - size.width) / 2,
			y: y + (h - size.height),
			captionY: y + h + 4,
			columnWidth: w
		};
	};
	const pages: Placed[][] = [[]];
	let y = MARGIN + TITLE;
	if (favourite) {
		const large = height * LARGE;
		pages[0]?.push(place(favourite, MARGIN, y, inner, large));
		y += large + CAPTION + GAP;
	}
	for (let i = 0; i < frames.length; i += columns) {
		if (y + box + CAPTION > height - MARGIN) {
			pages.push([]);
			y = MARGIN + TITLE;
		}
		frames.slice(i, i + columns).forEach((frame, k) => {
			pages.at(-1)?.push(place(frame, MARGIN + k * (column + GAP), y, column, box));
		});
		y += box + CAPTION + GAP;
	}
	return pages.map((placed) => ({ placed }));
}

const INK = rgb(0.106, 0.165, 0.255);
const SOFT = rgb(0.35, 0.39, 0.45);
const SIZE = 7.5;

/** The sheet as PDF. @param fonts in the order of preference */
export async function contactSheetPdf(
	sheet: Sheet,
	paper: CardPaper,
	fonts: readonly FontFile[],
	drawText: DrawText
): Promise<Uint8Array> {
	const doc = await newPdf(sheet.title);
	const type = new Typesetter(doc, fonts, drawText);
	const [width, height] = CARD_PAPERS[paper];
	for (const { placed } of sheetPages(sheet, CARD_PAPERS[paper])) {
		const page = doc.addPage([width, height]);
		const [title] = await type.lines(sheet.title, (width - 2 * MARGIN) / 16, true);
		if (title) {
			type.draw(page, title, { x: MARGIN, y: height - MARGIN - 16 }, 16, width - 2 * MARGIN, INK);
		}
		for (const one of placed) {
			const picture = await doc.embedJpg(new Uint8Array(await one.frame.jpeg.arrayBuffer()));
			const { x, y, columnWidth } = one;
			page.drawImage(picture, {
				x,
				y: height - y - one.height,
				width: one.width,
				height: one.height
			});
			const lines = await type.lines(one.frame.caption, columnWidth / SIZE);
			const left = columnWidth > width / 2 ? MARGIN : x - (columnWidth - one.width) / 2;
			lines.slice(0, 3).forEach((line, i) => {
				const at = { x: left, y: height - one.captionY - SIZE * (1 + 1.25 * i) };
				type.draw(page, line, at, SIZE, columnWidth, SOFT);
			});
		}
	}
	return doc.save();
}
