import { radians } from '../geometry/angle';

/**
 * The two charts to print: black on white paper, lengths in mm from the middle of the sheet, x to the right, y up.
 * One is looked at straight on, for sharpness; the other aslant, for where a lens focuses.
 */

export type ChartPaper = 'a4' | 'a3' | 'letter';
/** Sheets as they lie on a table (ISO 216; ANSI X3.151). */
export const CHART_PAPERS: Readonly<
	Record<ChartPaper, { readonly widthMm: number; readonly heightMm: number }>
> = {
	a4: { widthMm: 297, heightMm: 210 },
	a3: { widthMm: 420, heightMm: 297 },
	letter: { widthMm: 279.4, heightMm: 215.9 }
};

export type ChartKind = 'sharpness' | 'scale';

interface PointMm {
	readonly x: number;
	readonly y: number;
}

type Outline = readonly (readonly [x: number, y: number])[];

/** A black shape, and what is left white inside it. */
interface ChartShape {
	readonly outline: Outline;
	readonly hole?: Outline;
}

/** A ring by which a photograph of the chart is recognised; with a dot in its middle, or without. */
interface Mark extends PointMm {
	readonly hasDot: boolean;
}

export const CORNERS = ['top-left', 'top-right', 'bottom-left', 'bottom-right'] as const;
export type Corner = (typeof CORNERS)[number];
export type ChartSpot = 'centre' | Corner;

/** An edge that is measured: its middle, half its length that is clean, and how far there is nothing else beside it. */
export interface ChartEdge extends PointMm {
	readonly halfLengthMm: number;
	readonly roomMm: number;
	/** Rather up and down than across. */
	readonly isUpright: boolean;
}

export interface Chart {
	readonly kind: ChartKind;
	readonly paper: ChartPaper;
	readonly shapes: readonly ChartShape[];
	/** In the order of `CORNERS`. */
	readonly marks: readonly Mark[];
	/** Edges to be measured, by where they are; of the scale all are in the centre, from the left to the right. */
	readonly edges: Readonly<Partial<Record<ChartSpot, readonly ChartEdge[]>>>;
	/** A line of known length, to be checked with a ruler: its ends. */
	readonly length: readonly [PointMm, PointMm];
}

/** Slant of the edges against the paper, degrees: what ISO 12233 asks for. */
export const SLANT_DEG = 5;
/** Printers do not reach the edge of the paper. */
const MARGIN_MM = 11;
/** A mark: its inside and its dot, of its outside; and the radius of that: aslant, those of the scale are out of focus. */
export const RING_SHAPE = { inner: 0.66, dot: 0.28 } as const;
export const MARK_MM: Readonly<Record<ChartKind, number>> = { sharpness: 10, scale: 16 };
/** What is drawn as a circle has so many corners. */
const CIRCLE_CORNERS = 48;
export const CHECK_LENGTH_MM = 150;
const LINE_MM = 0.5;

/** Sides of the squares whose edges are measured. */
const CENTRE_SQUARE_MM = 50;
const CORNER_SQUARE_MM = 34;
/** Of an edge so much of its half is clean of corners; and so much of half a side beside it. */
const CLEAN_SHARE = 0.66;

/** Bars of the scale: one edge for each of their widths. */
const BAR_MM = 10;
const BAR_HALF_HEIGHT_MM = 21;
const SCALE_Y_MM = -26;
/** The line that is focused on. */
const FOCUS_LINE = { widthMm: 6, fromMm: 6, toMm: 62 } as const;

/** A chart for a sheet of paper. */
export function chartOf(kind: ChartKind, paper: ChartPaper): Chart {
	const { widthMm, heightMm } = CHART_PAPERS[paper];
	const markMm = MARK_MM[kind];
	const far = { x: widthMm / 2 - MARGIN_MM - markMm, y: heightMm / 2 - MARGIN_MM - markMm };
	const corners = [
		{ x: -far.x, y: far.y },
		{ x: far.x, y: far.y },
		{ x: -far.x, y: -far.y },
		{ x: far.x, y: -far.y }
	];
	// what is without a dot says which chart it is, and where its top is
	const open = kind === 'sharpness' ? [0] : [0, 1];
	const marks = corners.map((at, i) => ({ ...at, hasDot: !open.includes(i) }));
	const lengthY = -heightMm / 2 + MARGIN_MM + 2;
	const length = [-1, 1].map((side) => ({ x: (side * CHECK_LENGTH_MM) / 2, y: lengthY })) as [
		PointMm,
		PointMm
	];
	const common = [...marks.flatMap((mark) => markShapes(mark, markMm)), ...lengthShapes(length)];
	if (kind === 'scale') {
		const xs = barEdges(far.x - markMm - 4);
		return {
			kind,
			paper,
			marks,
			length,
			shapes: [...common, ...focusLine(), ...bars(xs)],
			edges: {
				centre: xs.map((x) => ({
					x,
					y: SCALE_Y_MM,
					halfLengthMm: BAR_HALF_HEIGHT_MM - 1,
					roomMm: BAR_MM * 0.92,
					isUpright: true
				}))
			}
		};
	}
	const away = {
		x: far.x - markMm - 6 - CORNER_SQUARE_MM / 2,
		y: far.y + 1 - CORNER_SQUARE_MM / 3
	};
	const squares: readonly (readonly [ChartSpot, PointMm, number])[] = [
		['centre', { x: 0, y: 0 }, CENTRE_SQUARE_MM],
		...CORNERS.map((corner, i) => {
			const { x, y } = corners[i] as PointMm;
			const at = { x: Math.sign(x) * away.x, y: Math.sign(y) * away.y };
			return [corner, at, CORNER_SQUARE_MM] as const;
		})
	];
	return {
		kind,
		paper,
		marks,
		length,
		shapes: [...common, ...squares.map(([, at, sideMm]) => square(at, sideMm))],
		edges: Object.fromEntries(squares.map(([spot, at, sideMm]) => [spot, edgesOf(at, sideMm)]))
	};
}

const circle = ({ x, y }: PointMm, radiusMm: number): Outline =>
	Array.from({ length: CIRCLE_CORNERS }, (_, i) => {
		const angle = (2 * Math.PI * i) / CIRCLE_CORNERS;
		return [x + radiusMm * Math.cos(angle), y + radiusMm * Math.sin(angle)] as const;
	});

const markShapes = (mark: Mark, radiusMm: number): ChartShape[] => [
	{
		outline: circle(mark, radiusMm),
		hole: circle(mark, RING_SHAPE.inner * radiusMm).toReversed()
	},
	...(mark.hasDot ? [{ outline: circle(mark, RING_SHAPE.dot * radiusMm) }] : [])
];

const box = (left: number, bottom: number, right: number, top: number): ChartShape => ({
	outline: [
		[left, bottom],
		[right, bottom],
		[right, top],
		[left, top]
	]
});

const lengthShapes = ([a, b]: Chart['length']): ChartShape[] => [
	box(a.x, a.y - LINE_MM / 2, b.x, a.y + LINE_MM / 2),
	box(a.x, a.y - 2, a.x + LINE_MM, a.y + 2),
	box(b.x - LINE_MM, b.y - 2, b.x, b.y + 2)
];

const slant = radians(SLANT_DEG);

/** A square turned by the slant. */
function square({ x, y }: PointMm, sideMm: number): ChartShape {
	const half = sideMm / 2;
	const corner = (a: number, b: number) =>
		[
			x + half * (a * Math.cos(slant) - b * Math.sin(slant)),
			y + half * (a * Math.sin(slant) + b * Math.cos(slant))
		] as const;
	return { outline: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)] };
}

/** The four sides of such a square. */
const edgesOf = ({ x, y }: PointMm, sideMm: number): ChartEdge[] =>
	[0, 1, 2, 3].map((side) => {
		const angle = slant + (side * Math.PI) / 2;
		return {
			x: x + (sideMm / 2) * Math.cos(angle),
			y: y + (sideMm / 2) * Math.sin(angle),
			halfLengthMm: (CLEAN_SHARE * sideMm) / 2,
			roomMm: (CLEAN_SHARE * sideMm) / 2,
			isUpright: side % 2 === 0
		};
	});

/** Where the edges of the bars are at half their height: as many as there is room for, the same to both sides. */
function barEdges(mostMm: number): number[] {
	const count = Math.floor(mostMm / BAR_MM - 0.5);
	return Array.from({ length: 2 * count + 2 }, (_, i) => (i - count - 0.5) * BAR_MM);
}

/** A black bar between every other two edges, slanted. */
function bars(xs: readonly number[]): ChartShape[] {
	const lean = BAR_HALF_HEIGHT_MM * Math.tan(slant);
	const [top, foot] = [SCALE_Y_MM + BAR_HALF_HEIGHT_MM, SCALE_Y_MM - BAR_HALF_HEIGHT_MM];
	return xs.flatMap((x, i): ChartShape[] => {
		const next = xs[i + 1];
		if (i % 2 === 1 || next === undefined) return [];
		return [
			{
				outline: [
					[x + lean, foot],
					[next + lean, foot],
					[next - lean, top],
					[x - lean, top]
				]
			}
		];
	});
}

const focusLine = (): ChartShape[] => [
	box(-FOCUS_LINE.widthMm / 2, FOCUS_LINE.fromMm, FOCUS_LINE.widthMm / 2, FOCUS_LINE.toMm)
];
