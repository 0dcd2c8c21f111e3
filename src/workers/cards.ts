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
import type { ChartKind, ChartPaper as ChartPaper } from '$core/bench/chart';
import type { CardPaper } from '../files/out/paper/cardsPdf';
import type { Sheet } from '../files/out/paper/contactSheet';
import type { LensTable } from '../files/out/lensTable';
import type { PrintedCard } from '../files/out/printed';
import type { CardsQuestions, FontAddress } from './cards.worker';
import { WorkerPort } from './port';

/** Cards, tables and charts for paper, made beside the page; started when first asked. */

/** The fonts on paper, in the order in which they are asked for a letter. */
const FONTS: readonly FontAddress[] = [
	[latin400, latin700],
	[latinExt400, latinExt700],
	[vietnamese400, vietnamese700],
	[greek400, greek700],
	[greekExt400, greekExt700],
	[cyrillic400, cyrillic700],
	[cyrillicExt400, cyrillicExt700]
];

const port = new WorkerPort<CardsQuestions>(
	() => new Worker(new URL('./cards.worker.ts', import.meta.url), { type: 'module' })
);

export const cardsAsPdf = (
	title: string,
	cards: readonly PrintedCard[],
	paper: CardPaper
): Promise<Uint8Array> => port.ask('pdf', { title, cards, paper, fonts: FONTS });

export const sheetAsPdf = (sheet: Sheet, paper: CardPaper): Promise<Uint8Array> =>
	port.ask('sheet', { sheet, paper, fonts: FONTS });

export const chartAsPdf = (kind: ChartKind, paper: ChartPaper): Promise<Uint8Array> =>
	port.ask('chart', { kind, paper, fonts: FONTS });

export const tableAsPdf = (table: LensTable, paper: CardPaper): Promise<Uint8Array> =>
	port.ask('table', { table, paper, fonts: FONTS });
