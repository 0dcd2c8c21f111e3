import fontkit, { type Font } from '@pdf-lib/fontkit';
import { PDFDocument, type PDFFont, type PDFImage, type PDFPage, type RGB } from 'pdf-lib';

/**
 * Text for paper: real text in embedded fonts where they have the letters, pictures of the text where
 * they do not, so that no name is lost.
 */

/** A PDF that says whose it is. @param title in the properties of the file */
export async function newPdf(title: string): Promise<PDFDocument> {
	const doc = await PDFDocument.create();
	doc.setTitle(title);
	doc.setProducer('Focalis');
	doc.setCreator('Focalis');
	return doc;
}

/** A font file in its two weights. */
export interface FontFile {
	readonly regular: Uint8Array;
	readonly bold: Uint8Array;
}

/** A text as a picture; lengths in ems. */
interface TextPicture {
	readonly png: Uint8Array;
	readonly widthEm: number;
	readonly ascentEm: number;
	readonly descentEm: number;
}
export type DrawText = (text: string, isBold: boolean) => Promise<TextPicture>;

type Part =
	| { readonly text: string; readonly font: PDFFont; readonly widthEm: number }
	| { readonly picture: TextPicture; readonly image: PDFImage; readonly widthEm: number };

/** What is never broken: a word, or a run of words that is one picture. */
interface Word {
	readonly parts: readonly Part[];
	readonly widthEm: number;
}
export type Line = readonly Word[];

interface Face {
	readonly known: Font;
	readonly bytes: Uint8Array;
	embedded: Promise<PDFFont> | null;
}

const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });
/** Marks that direct a text or join its letters: they have no shape of their own. */
const INVISIBLE = /\p{Default_Ignorable_Code_Point}/gu;

export class Typesetter {
	readonly #doc: PDFDocument;
	readonly #faces: { readonly regular: readonly Face[]; readonly bold: readonly Face[] };
	readonly #drawText: DrawText;
	readonly #pictures = new Map<string, Promise<Part>>();

	/** @param fonts the first that has a letter gives it */
	constructor(doc: PDFDocument, fonts: readonly FontFile[], drawText: DrawText) {
		doc.registerFontkit(fontkit);
		const faces = (weight: keyof FontFile) =>
			fonts.map((font): Face => ({
				known: fontkit.create(font[weight]),
				bytes: font[weight],
				embedded: null
			}));
		this.#doc = doc;
		this.#faces = { regular: faces('regular'), bold: faces('bold') };
		this.#drawText = drawText;
	}

	/** A text in lines at most so many ems wide; what is wider than a line is drawn smaller. */
	async lines(text: string, widthEm: number, isBold = false): Promise<Line[]> {
		const lines: Word[][] = [];
		for (const paragraph of text.split(/\r\n|\r|\n/)) {
			let line: Word[] = [];
			let used = 0;
			for (const word of await this.#wordsOf(paragraph, isBold)) {
				const gap = line.length > 0 ? SPACE_EM : 0;
				if (line.length > 0 && used + gap + word.widthEm > widthEm) {
					lines.push(line);
					line = [];
					used = 0;
				}
				used += (line.length > 0 ? SPACE_EM : 0) + word.widthEm;
				line.push(word);
			}
			lines.push(line);
		}
		return lines;
	}

	/** Puts a line on a page, its base line at y, all in points. */
	draw(
		page: PDFPage,
		line: Line,
		at: { x: number; y: number },
		size: number,
		widthPt: number,
		color: RGB
	): void {
		const natural = line.reduce((sum, { widthEm }) => sum + widthEm, SPACE_EM * (line.length - 1));
		const fitted = Math.min(size, widthPt / Math.max(natural, 0.01));
		let { x } = at;
		for (const word of line) {
			for (const part of word.parts) {
				if ('font' in part) {
					page.drawText(part.text, { x, y: at.y, size: fitted, font: part.font, color });
				} else {
					const { ascentEm, descentEm } = part.picture;
					page.drawImage(part.image, {
						x,
						y: at.y - descentEm * fitted,
						width: part.widthEm * fitted,
						height: (ascentEm + descentEm) * fitted
					});
				}
				x += part.widthEm * fitted;
			}
			x += SPACE_EM * fitted;
		}
	}

	/** Whether the fonts have every letter of a word. */
	#covers(word: string, isBold: boolean): boolean {
		return [...graphemes.segment(word)].every(({ segment }) => this.#faceOf(segment, isBold));
	}

	#faceOf(grapheme: string, isBold: boolean): Face | undefined {
		const points = [...grapheme].map((one) => one.codePointAt(0) ?? 0);
		const faces = isBold ? this.#faces.bold : this.#faces.regular;
		return faces.find(({ known }) => points.every((point) => known.hasGlyphForCodePoint(point)));
	}

	async #wordsOf(paragraph: string, isBold: boolean): Promise<Word[]> {
		const words: Word[] = [];
		let drawn: string[] = [];
		const flush = async () => {
			if (drawn.length === 0) return;
			const part = await this.#pictured(drawn.join(' '), isBold);
			words.push({ parts: [part], widthEm: part.widthEm });
			drawn = [];
		};
		for (const word of paragraph.normalize('NFC').split(/\s+/).filter(Boolean)) {
			const visible = word.replace(INVISIBLE, '');
			if (visible && this.#covers(visible, isBold)) {
				await flush();
				const parts = await this.#set(visible, isBold);
				words.push({ parts, widthEm: parts.reduce((sum, { widthEm }) => sum + widthEm, 0) });
			} else if (visible) {
				// what runs from right to left keeps its order only in one picture
				drawn.push(word);
			}
		}
		await flush();
		return words;
	}

	/** A covered word in runs of one font each. */
	async #set(word: string, isBold: boolean): Promise<Part[]> {
		const runs: { face: Face; text: string }[] = [];
		for (const { segment } of graphemes.segment(word)) {
			const face = this.#faceOf(segment, isBold) as Face;
			const last = runs.at(-1);
			if (last?.face === face) last.text += segment;
			else runs.push({ face, text: segment });
		}
		return Promise.all(
			runs.map(async ({ face, text }) => {
				// letters stay whole: taken apart, their pieces could not be read back from the file
				face.embedded ??= this.#doc.embedFont(face.bytes, {
					subset: true,
					features: { ccmp: false, liga: false }
				});
				const font = await face.embedded;
				return { text, font, widthEm: font.widthOfTextAtSize(text, 1) };
			})
		);
	}

	#pictured(text: string, isBold: boolean): Promise<Part> {
		const key = `${isBold} ${text}`;
		const made =
			this.#pictures.get(key) ??
			this.#drawText(text, isBold).then(async (picture) => ({
				picture,
				image: await this.#doc.embedPng(picture.png),
				widthEm: picture.widthEm
			}));
		this.#pictures.set(key, made);
		return made;
	}
}

const SPACE_EM = 0.25;
