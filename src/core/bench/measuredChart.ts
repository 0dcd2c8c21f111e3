import { radians } from '../geometry/angle';
import { seenAt, type FlatPoint } from '../geometry/homography';
import type { EdgeProblem } from '../measure/slantedEdge';
import type { PhotographFacts } from '../photograph/lensOf';
import { SLANT_DEG, type ChartEdge, type ChartKind, type ChartSpot } from './chart';
import type { ChartProblem, SeenChart } from './seenChart';

/** What is measured of one photograph of a chart. */
export interface MeasuredChart {
	readonly name: string;
	readonly kind: ChartKind;
	readonly facts: PhotographFacts;
	/** By the clock of the camera; null where the file does not say. */
	readonly localMs: number | null;
	readonly widthPx: number;
	readonly heightPx: number;
	readonly seen: SeenChart;
	readonly edges: readonly MeasuredEdge[];
	/** How bright the paper is, linear light. */
	readonly paper: number;
}

/** An edge of the chart, as it was measured. */
export interface MeasuredEdge {
	readonly spot: ChartSpot;
	/** Where it is on the sheet, mm. */
	readonly x: number;
	readonly y: number;
	/** Rather up and down than across, as it is seen. */
	readonly isUpright: boolean;
	/** Where its response falls to a half, cycles per pixel; null where it could not be measured. */
	readonly mtf50: number | null;
	readonly response: readonly number[];
	readonly overshoot: number;
	readonly problem: EdgeProblem | null;
}

/** Why a photograph is of no use here. */
export type ChartFrameProblem = ChartProblem | 'wrong-chart';

/** An upright piece of a picture, px. */
export interface ChartPiece {
	readonly left: number;
	readonly top: number;
	readonly widthPx: number;
	readonly heightPx: number;
}

/** Of the room beside an edge it may lean over so much within one piece. */
const MAX_LEAN_SHARE = 0.25;
/** Slant of the edges on the sheet: upright ones lean to the left, level ones rise to the right. */
const SLANT = Math.tan(radians(SLANT_DEG));
const LEAST_ROWS = 24;

/** The pieces of the picture in which an edge is measured: one below the other, so that it stays in their middle. */
export function piecesOf({ toPicture }: SeenChart, edge: ChartEdge): ChartPiece[] {
	const { x, y, halfLengthMm, roomMm, isUpright } = edge;
	const along = (mm: number): FlatPoint =>
		seenAt(
			toPicture,
			isUpright ? { x: x - SLANT * mm, y: y + mm } : { x: x + mm, y: y + SLANT * mm }
		);
	const beside = (mm: number): FlatPoint =>
		seenAt(toPicture, isUpright ? { x: x + mm, y } : { x, y: y + mm });
	const [from, to, before, behind] = [
		along(-halfLengthMm),
		along(halfLengthMm),
		beside(-roomMm),
		beside(roomMm)
	];
	const isSeenUpright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x);
	const [long, short] = isSeenUpright ? (['y', 'x'] as const) : (['x', 'y'] as const);
	const lengthPx = Math.abs(to[long] - from[long]);
	const leanPx = Math.abs(to[short] - from[short]);
	const roomPx = Math.abs(behind[short] - before[short]) / 2;
	const most = Math.max(1, Math.floor(lengthPx / LEAST_ROWS));
	const count = Math.min(most, Math.max(1, Math.ceil(leanPx / (MAX_LEAN_SHARE * roomPx))));
	const halfPx = roomPx - leanPx / count / 2;
	return Array.from({ length: count }, (_, i) => {
		const share = (i + 0.5) / count;
		const at = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
		const sides = { [long]: lengthPx / count, [short]: 2 * halfPx } as { x: number; y: number };
		return {
			left: Math.round(at.x - sides.x / 2),
			top: Math.round(at.y - sides.y / 2),
			widthPx: Math.round(sides.x),
			heightPx: Math.round(sides.y)
		};
	});
}
