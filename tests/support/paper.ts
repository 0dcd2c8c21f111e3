import { readFileSync } from 'node:fs';
import { encode } from 'fast-png';
import { extractText, getDocumentProxy } from 'unpdf';
import type { DrawText, FontFile } from '$files/out/paper/typesetting';

/** Files for paper, made with the app's own fonts and read by a PDF reader. */

const FOLDER = 'node_modules/@fontsource';
const font = (family: string, subset: string): FontFile => {
	const bytes = (weight: number) =>
		new Uint8Array(
			readFileSync(`${FOLDER}/${family}/files/${family}-${subset}-${weight}-normal.woff`)
		);
	return { regular: bytes(400), bold: bytes(700) };
};
const FONTS: readonly FontFile[] = [
	font('atkinson-hyperlegible-next', 'latin'),
	font('atkinson-hyperlegible-next', 'latin-ext'),
	font('noto-sans', 'vietnamese'),
	font('noto-sans', 'greek'),
	font('noto-sans', 'cyrillic')
];

/** Makes a file, reads it, and tells which texts no font had. */
export async function onPaper(
	make: (fonts: readonly FontFile[], drawText: DrawText) => Promise<Uint8Array>
) {
	const drawn: string[] = [];
	const drawText: DrawText = (text) => {
		drawn.push(text);
		const png = encode({ width: 2, height: 2, data: new Uint8Array(16).fill(9), channels: 4 });
		return Promise.resolve({ png, widthEm: 2, ascentEm: 1, descentEm: 0.3 });
	};
	const pdf = await getDocumentProxy((await make(FONTS, drawText)).slice());
	const { text } = await extractText(pdf, { mergePages: false });
	return { pdf, pages: text, drawn };
}

export const squeezed = (text: string) => text.normalize('NFC').replace(/\s+/g, '');
