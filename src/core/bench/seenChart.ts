import { homographyOf, type FlatPoint, type Homography } from '../geometry/homography';
import type { Ring } from '../measure/rings';
import { chartOf, CORNERS, type Chart, type ChartKind, type ChartPaper } from './chart';

/** A chart as it is seen in a photograph: which one, and where its places are. */
export interface SeenChart {
	readonly chart: Chart;
	/** From millimetres of the sheet to pixels of the picture, from its top left. */
	readonly toPicture: Homography;
	/** The middles of its marks, in the order of `CORNERS`, px. */
	readonly marks: readonly FlatPoint[];
}

/** Why no chart is seen. */
export type ChartProblem =
	| 'no-chart'
	/** Fewer than four of its marks are in the picture. */
	| 'cut';

export type ChartReading =
	| { readonly ok: true; readonly seen: SeenChart }
	| { readonly ok: false; readonly problem: ChartProblem };

/** More rings than this are no chart’s. */
const MOST_RINGS = 14;
/** The rings of one sheet differ in size by no more than that, aslant and near as they may be. */
const MOST_TIMES = 2.2;

/** Recognises the chart whose rings were found; the picture is not seen in a mirror. */
export function seenChart(rings: readonly Ring[], paper: ChartPaper): ChartReading {
	const largest = rings.toSorted((a, b) => b.halfHeightPx - a.halfHeightPx).slice(0, MOST_RINGS);
	const best = foursOf(largest)
		.flatMap((four) => {
			const ordered = inOrder(four);
			return ordered ? [{ ...ordered, area: areaOf(four) }] : [];
		})
		.toSorted((a, b) => b.area - a.area)[0];
	if (!best) return { ok: false, problem: rings.length > 0 ? 'cut' : 'no-chart' };
	const chart = chartOf(best.kind, paper);
	const toPicture = homographyOf(chart.marks, best.marks);
	if (!toPicture) return { ok: false, problem: 'no-chart' };
	return { ok: true, seen: { chart, toPicture, marks: best.marks } };
}

type Four = readonly [Ring, Ring, Ring, Ring];

/** All choices of four rings of like size that have nothing between them, each clockwise as they are seen. */
function foursOf(rings: readonly Ring[]): Four[] {
	const fours: Four[] = [];
	const pick = (from: number, taken: readonly Ring[]) => {
		if (taken.length === 4) {
			const sizes = taken.map(({ halfHeightPx }) => halfHeightPx);
			if (Math.max(...sizes) > MOST_TIMES * Math.min(...sizes)) return;
			const four = clockwise(taken);
			if (isConvex(four)) fours.push(four);
			return;
		}
		for (let i = from; i < rings.length; i++) pick(i + 1, [...taken, rings[i] as Ring]);
	};
	pick(0, []);
	return fours;
}

function clockwise(rings: readonly Ring[]): Four {
	const x = rings.reduce((sum, ring) => sum + ring.x, 0) / rings.length;
	const y = rings.reduce((sum, ring) => sum + ring.y, 0) / rings.length;
	// downwards is positive in a picture, so that a growing angle goes clockwise
	return rings.toSorted(
		(a, b) => Math.atan2(a.y - y, a.x - x) - Math.atan2(b.y - y, b.x - x)
	) as unknown as Four;
}

const cross = (a: Ring, b: Ring, c: Ring): number =>
	(b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);

const isConvex = (four: Four): boolean =>
	four.every((a, i) => cross(a, four[(i + 1) % 4] as Ring, four[(i + 2) % 4] as Ring) > 0);

const areaOf = ([a, b, c, d]: Four): number =>
	Math.abs((c.x - a.x) * (d.y - b.y) - (c.y - a.y) * (d.x - b.x)) / 2;

/** Which chart, and its marks in the order of `CORNERS`, by which of them have no dot. */
function inOrder(
	four: Four
): { readonly kind: ChartKind; readonly marks: readonly FlatPoint[] } | null {
	const open = four.flatMap(({ hasDot }, i) => (hasDot ? [] : [i]));
	const from = (first: number) => {
		const [topLeft, topRight, bottomRight, bottomLeft] = [0, 1, 2, 3].map(
			(i) => four[(first + i) % 4] as Ring
		);
		const marks = {
			'top-left': topLeft,
			'top-right': topRight,
			'bottom-left': bottomLeft,
			'bottom-right': bottomRight
		};
		return CORNERS.map((corner) => {
			const { x, y } = marks[corner] as Ring;
			return { x, y };
		});
	};
	const [a, b] = open;
	if (open.length === 1 && a !== undefined) return { kind: 'sharpness', marks: from(a) };
	if (open.length !== 2 || a === undefined || b === undefined) return null;
	if (b - a === 1) return { kind: 'scale', marks: from(a) };
	return a === 0 && b === 3 ? { kind: 'scale', marks: from(b) } : null;
}
