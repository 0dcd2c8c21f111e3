import { sheetPictureText as say } from '$words/screens/review/out';
import { sheetPages, type Sheet } from '$files/out/paper/contactSheet';

/** The first page of a contact sheet as a picture. */

const SIZE = [595, 842] as const;
const SCALE = 3;

/** @throws where the browser gives no canvas of that size */
export async function sheetPicture(sheet: Sheet): Promise<Blob> {
	const [width, height] = SIZE;
	const pages = sheetPages(sheet, SIZE);
	const canvas = new OffscreenCanvas(
		width * SCALE,
		height * SCALE * Math.min(pages.length, MOST_PAGES)
	);
	const context = canvas.getContext('2d', { alpha: false });
	if (!context) throw new Error(say.thereIsNoMemoryForA);
	context.scale(SCALE, SCALE);
	context.fillStyle = '#fff';
	context.fillRect(0, 0, width, height * pages.length);
	context.textBaseline = 'alphabetic';
	for (const [i, { placed }] of pages.slice(0, MOST_PAGES).entries()) {
		const top = i * height;
		context.fillStyle = '#1b2a41';
		context.font = "600 16px 'Fraunces Variable', serif";
		context.fillText(sheet.title, 36, top + 52, width - 72);
		for (const { frame, x, y, width: w, height: h, captionY, columnWidth } of placed) {
			const picture = await createImageBitmap(frame.jpeg);
			context.drawImage(picture, x, top + y, w, h);
			picture.close();
			context.fillStyle = '#596373';
			context.font = "7.5px 'Atkinson Hyperlegible Next Variable', sans-serif";
			const left = columnWidth > width / 2 ? 36 : x - (columnWidth - w) / 2;
			linesOf(context, frame.caption, columnWidth)
				.slice(0, 3)
				.forEach((line, k) => context.fillText(line, left, top + captionY + 7.5 * (1 + 1.25 * k)));
		}
	}
	return canvas.convertToBlob({ type: 'image/png' });
}

/** Pages below each other in one picture; browsers draw no higher ones. */
const MOST_PAGES = 6;

function linesOf(
	context: OffscreenCanvasRenderingContext2D,
	text: string,
	width: number
): string[] {
	const lines: string[] = [];
	let line = '';
	for (const word of text.split(' ')) {
		const longer = line ? `${line} ${word}` : word;
		if (line && context.measureText(longer).width > width) {
			lines.push(line);
			line = word;
		} else line = longer;
	}
	return [...lines, line];
}
