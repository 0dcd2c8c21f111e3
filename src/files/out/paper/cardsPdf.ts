import {
	clip,
	degrees,
	endPath,
	lineTo,
	moveTo,
	popGraphicsState,
	pushGraphicsState,
	rgb,
	type PDFImage,
	type PDFPage
} from 'pdf-lib';
import { GROUND, RING, type FrameShapes, type PrintedCard } from '../printed';
import { newPdf, Typesetter, type DrawText, type FontFile, type Line } from './typesetting';

/** Cards on paper, four to a sheet, as PDF. */

/** Sheets, points. */
export const CARD_PAPERS = {
	A4: [595.28, 841.89],
	Letter: [612, 792]
} as const;
export type CardPaper = keyof typeof CARD_PAPERS;

const MARGIN = 30;
const PADDING = 9;
const INK = rgb(0.106, 0.165, 0.255);
const SOFT = rgb(0.35, 0.39, 0.45);
const RULE = rgb(0.75, 0.72, 0.66);
const MARK = rgb(0.66, 0.23, 0.15);
/** Tried one after the other until everything fits. */
const SCALES = [1, 0.9, 0.8, 0.7, 0.6, 0.5] as const;
const LEADING = 1.25;

type Block =
	| {
			readonly lines: readonly Line[];
			readonly size: number;
			readonly color: typeof INK;
			readonly indent: number;
			/** Stands beside the one before it, not below. */
			readonly isBeside?: boolean;
	  }
	| { readonly frame: FrameShapes; readonly height: number };

/**
 * @param title of the job, in the properties of the file
 * @param fonts in the order of preference
 * @param drawText draws what no font has
 */
export async function cardsPdf(
	title: string,
	cards: readonly PrintedCard[],
	paper: CardPaper,
	fonts: readonly FontFile[],
	drawText: DrawText
): Promise<Uint8Array> {
	const doc = await newPdf(title);
	const type = new Typesetter(doc, fonts, drawText);
	const [width, height] = CARD_PAPERS[paper];
	const cell = { width: (width - 2 * MARGIN) / 2, height: (height - 2 * MARGIN) / 2 };
	let page: PDFPage | null = null;
	for (const [i, card] of cards.entries()) {
		if (!page || i % 4 === 0) {
			page = doc.addPage([width, height]);
			cutMarks(page, width, height);
		}
		const column = i % 2;
		const row = Math.floor((i % 4) / 2);
		const box = {
			x: MARGIN + column * cell.width + PADDING,
			top: height - MARGIN - row * cell.height - PADDING,
			width: cell.width - 2 * PADDING,
			height: cell.height - 2 * PADDING
		};
		await drawCard(page, type, card, box);
	}
	if (cards.length === 0) doc.addPage([width, height]);
	return doc.save();
}

interface Box {
	readonly x: number;
	readonly top: number;
	readonly width: number;
	readonly height: number;
}

async function drawCard(page: PDFPage, type: Typesetter, card: PrintedCard, box: Box) {
	const jpeg = card.frame?.picture;
	const picture = jpeg ? await page.doc.embedJpg(jpeg) : null;
	let blocks: Block[] = [];
	for (const scale of SCALES) {
		blocks = await blocksOf(type, card, box.width, scale);
		if (heightOf(blocks) <= box.height) break;
	}
	let { top } = box;
	let last = top;
	for (const block of blocks) {
		if ('frame' in block) {
			drawFrame(page, block.frame, picture, { ...box, top, height: block.height });
			last = top;
			top -= block.height + GAP;
			continue;
		}
		const start = block.isBeside ? last : top;
		let y = start;
		for (const line of block.lines) {
			y -= block.size * LEADING;
			if (y < box.top - box.height) return;
			const at = { x: box.x + block.indent, y: y + block.size * 0.3 };
			type.draw(page, line, at, block.size, box.width - block.indent, block.color);
		}
		last = start;
		top = Math.min(top, y);
	}
}

const GAP = 5;

function heightOf(blocks: readonly Block[]): number {
	let bottom = 0;
	let last = 0;
	for (const block of blocks) {
		const start = 'lines' in block && block.isBeside ? last : bottom;
		const height =
			'frame' in block ? block.height + GAP : block.lines.length * block.size * LEADING;
		last = start;
		bottom = Math.max(bottom, start + height);
	}
	return bottom;
}

async function blocksOf(
	type: Typesetter,
	{ title, when, notes, taken, content, frame }: PrintedCard,
	width: number,
	scale: number
): Promise<Block[]> {
	const blocks: Block[] = [];
	const add = async (
		text: string,
		points: number,
		{ isBold = false, color = INK, indent = 0, isBeside = false } = {}
	) => {
		if (!text) return;
		const size = points * scale;
		const lines = await type.lines(text, (width - indent) / size, isBold);
		blocks.push({ lines, size, color, indent, isBeside });
	};
	await add(when, 9, { color: SOFT });
	await add(title, 13, { isBold: true });
	if (!content) {
		await add('Nothing in it is meant to be sharp.', 10);
		return blocks;
	}
	const settings = content.settings.map(({ label, value }) =>
		label === 'ISO' ? `ISO ${value}` : label === 'flash' ? `flash ${value}` : value
	);
	await add(settings.join(' · '), 19, { isBold: true, color: MARK });
	await add(content.focusOn, 11, { isBold: true });
	await add(content.where, 10);
	if (frame) blocks.push({ frame, height: 90 * scale });
	await add(content.sentences.join(' '), 9);
	const facts = [
		...content.facts,
		...(content.checks.length > 0 ? [{ label: 'look at', value: content.checks.join(', ') }] : []),
		...(taken ? [{ label: 'taken', value: taken }] : []),
		...(notes ? [{ label: 'note', value: notes }] : [])
	];
	for (const { label, value } of facts) {
		await add(label, 9, { color: SOFT });
		await add(value, 9, { indent: 40 * scale, isBeside: true });
	}
	await add(content.cautions.join(' '), 7.5, { color: SOFT });
	return blocks;
}

/** Hair lines where the cards are cut. */
function cutMarks(page: PDFPage, width: number, height: number) {
	const line = { thickness: 0.4, color: RULE };
	page.drawLine({
		start: { x: width / 2, y: MARGIN },
		end: { x: width / 2, y: height - MARGIN },
		...line
	});
	page.drawLine({
		start: { x: MARGIN, y: height / 2 },
		end: { x: width - MARGIN, y: height / 2 },
		...line
	});
}

/** The frame in small, as high as the box. */
function drawFrame(page: PDFPage, frame: FrameShapes, picture: PDFImage | null, box: Box) {
	const scale = Math.min(box.height / frame.height, box.width / frame.width);
	const [width, height] = [frame.width * scale, frame.height * scale];
	const left = box.x;
	const bottom = box.top - height;
	const middle = { x: left + width / 2, y: bottom + height / 2 };
	const at = (x: number, y: number) => ({ x: middle.x + x * scale, y: middle.y - y * scale });
	page.pushOperators(
		pushGraphicsState(),
		moveTo(left, bottom),
		lineTo(left + width, bottom),
		lineTo(left + width, bottom + height),
		lineTo(left, bottom + height),
		clip(),
		endPath()
	);
	if (picture) page.drawImage(picture, { x: left, y: bottom, width, height });
	else page.drawRectangle({ x: left, y: bottom, width, height, color: colorOf(GROUND) });
	for (const shape of picture ? [] : frame.shapes) {
		const color = colorOf(shape.fill);
		if (shape.kind === 'path') {
			const border = shape.stroke ? { borderColor: colorOf(shape.stroke), borderWidth: 0.4 } : {};
			page.drawSvgPath(shape.d, { ...middle, scale, color, ...border });
		} else if (shape.kind === 'ellipse') {
			page.drawEllipse({
				...at(shape.x, shape.y),
				xScale: shape.rx * scale,
				yScale: shape.ry * scale,
				rotate: degrees(-shape.angleDeg),
				color
			});
		} else if (shape.kind === 'rect') {
			const corner = at(shape.x, shape.y + shape.height);
			page.drawRectangle({
				...corner,
				width: shape.width * scale,
				height: shape.height * scale,
				color
			});
		}
	}
	if (frame.ring) {
		page.drawCircle({
			...at(frame.ring.x, frame.ring.y),
			size: frame.ring.radius * scale,
			borderColor: colorOf(RING),
			borderWidth: 1.6
		});
	}
	page.pushOperators(popGraphicsState());
	page.drawRectangle({ x: left, y: bottom, width, height, borderColor: INK, borderWidth: 0.6 });
}

/** "#1b2a41" */
function colorOf(hex: string) {
	const value = parseInt(hex.slice(1), 16);
	return rgb((value >> 16) / 255, ((value >> 8) & 255) / 255, (value & 255) / 255);
}
