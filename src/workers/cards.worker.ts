import { expose, transfer } from 'comlink';
import latin400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import latin700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import latinExt400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import latinExt700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import cyrillic400 from '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff?url';
import cyrillic700 from '@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff?url';
import cyrillicExt400 from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff?url';
import cyrillicExt700 from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-700-normal.woff?url';
import greek400 from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url';
import greek700 from '@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff?url';
import greekExt400 from '@fontsource/noto-sans/files/noto-sans-greek-ext-400-normal.woff?url';
import greekExt700 from '@fontsource/noto-sans/files/noto-sans-greek-ext-700-normal.woff?url';
import vietnamese400 from '@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff?url';
import vietnamese700 from '@fontsource/noto-sans/files/noto-sans-vietnamese-700-normal.woff?url';
import { cardsPdf, type Paper } from '../files/cardsPdf';
import type { PrintedCard } from '../files/printed';
import type { DrawText, FontFile } from '../files/typesetting';

/** Makes the cards for paper, beside the page. */

/** The fonts on paper, in the order in which they are asked for a letter. */
const FONTS: readonly (readonly [string, string])[] = [
	[latin400, latin700],
	[latinExt400, latinExt700],
	[vietnamese400, vietnamese700],
	[greek400, greek700],
	[greekExt400, greekExt700],
	[cyrillic400, cyrillic700],
	[cyrillicExt400, cyrillicExt700]
];

async function bytesOf(address: string): Promise<Uint8Array> {
	const response = await fetch(address);
	if (!response.ok) throw new Error('a font could not be loaded');
	return new Uint8Array(await response.arrayBuffer());
}

let fonts: Promise<FontFile[]> | null = null;
const load = () =>
	Promise.all(
		FONTS.map(async ([regular, bold]) => ({
			regular: await bytesOf(regular),
			bold: await bytesOf(bold)
		}))
	);

const PX_PER_EM = 64;

const drawText: DrawText = async (text, isBold) => {
	const font = `${isBold ? 'bold ' : ''}${PX_PER_EM}px sans-serif`;
	const canvas = new OffscreenCanvas(1, 1);
	const context = canvas.getContext('2d');
	if (!context) throw new Error('this browser cannot draw text');
	context.font = font;
	const measured = context.measureText(text);
	const [ascent, descent] = [PX_PER_EM, Math.ceil(PX_PER_EM * 0.3)];
	canvas.width = Math.max(1, Math.ceil(measured.width));
	canvas.height = ascent + descent;
	context.font = font;
	context.fillStyle = '#1b2a41';
	context.fillText(text, 0, ascent);
	const png = new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer());
	return {
		png,
		widthEm: canvas.width / PX_PER_EM,
		ascentEm: ascent / PX_PER_EM,
		descentEm: descent / PX_PER_EM
	};
};

const service = {
	async pdf(title: string, cards: readonly PrintedCard[], paper: Paper): Promise<Uint8Array> {
		// a failed load is tried again the next time
		fonts ??= load().catch((error: unknown) => {
			fonts = null;
			throw error;
		});
		const bytes = await cardsPdf(title, cards, paper, await fonts, drawText);
		return transfer(bytes, [bytes.buffer]);
	}
};

export type CardsService = typeof service;
expose(service);
