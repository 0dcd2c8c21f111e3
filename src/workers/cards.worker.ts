import type { ChartKind, ChartPaper as ChartPaper } from '$core/bench/chart';
import { transfer } from 'comlink';
import { cardsPdf, type CardPaper } from '../files/out/paper/cardsPdf';
import { chartPdf } from '../files/out/paper/chartPdf';
import { contactSheetPdf, type Sheet } from '../files/out/paper/contactSheet';
import type { LensTable } from '../files/out/lensTable';
import { lensTablePdf } from '../files/out/paper/lensTablePdf';
import type { PrintedCard } from '../files/out/printed';
import type { DrawText, FontFile } from '../files/out/paper/typesetting';
import { serve } from './protocol';

/** Makes cards, tables and charts for paper, beside the page. */

async function bytesOf(address: string): Promise<Uint8Array> {
	const response = await fetch(address);
	if (!response.ok) throw new Error('a font could not be loaded');
	return new Uint8Array(await response.arrayBuffer());
}

/** Where a font lies, in its two weights. */
export type FontAddress = readonly [string, string];

let fonts: Promise<FontFile[]> | null = null;
const load = (addresses: readonly FontAddress[]) =>
	Promise.all(
		addresses.map(async ([regular, bold]) => ({
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

export type CardsQuestions = {
	readonly pdf: {
		question: {
			readonly title: string;
			readonly cards: readonly PrintedCard[];
			readonly paper: CardPaper;
			readonly fonts: readonly FontAddress[];
		};
		partial: never;
		answer: Uint8Array;
	};
	readonly sheet: {
		question: {
			readonly sheet: Sheet;
			readonly paper: CardPaper;
			readonly fonts: readonly FontAddress[];
		};
		partial: never;
		answer: Uint8Array;
	};
	readonly chart: {
		question: {
			readonly kind: ChartKind;
			readonly paper: ChartPaper;
			readonly fonts: readonly FontAddress[];
		};
		partial: never;
		answer: Uint8Array;
	};
	readonly table: {
		question: {
			readonly table: LensTable;
			readonly paper: CardPaper;
			readonly fonts: readonly FontAddress[];
		};
		partial: never;
		answer: Uint8Array;
	};
};

function fontsFrom(addresses: readonly FontAddress[]): Promise<FontFile[]> {
	// a failed load is tried again the next time
	fonts ??= load(addresses).catch((error: unknown) => {
		fonts = null;
		throw error;
	});
	return fonts;
}

serve<CardsQuestions>({
	async pdf({ title, cards, paper, fonts: addresses }) {
		const bytes = await cardsPdf(title, cards, paper, await fontsFrom(addresses), drawText);
		return transfer(bytes, [bytes.buffer]);
	},
	async sheet({ sheet, paper, fonts: addresses }) {
		const bytes = await contactSheetPdf(sheet, paper, await fontsFrom(addresses), drawText);
		return transfer(bytes, [bytes.buffer]);
	},
	async chart({ kind, paper, fonts: addresses }) {
		const bytes = await chartPdf(kind, paper, await fontsFrom(addresses), drawText);
		return transfer(bytes, [bytes.buffer]);
	},
	async table({ table, paper, fonts: addresses }) {
		const bytes = await lensTablePdf(table, paper, await fontsFrom(addresses), drawText);
		return transfer(bytes, [bytes.buffer]);
	}
});
