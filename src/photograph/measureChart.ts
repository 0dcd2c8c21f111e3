import { RING_SHAPE, type ChartKind, type ChartPaper, type ChartSpot } from '$core/bench/chart';
import {
	piecesOf,
	type ChartFrameProblem,
	type MeasuredChart,
	type MeasuredEdge,
	type ChartPiece
} from '$core/bench/measuredChart';
import { seenChart } from '$core/bench/seenChart';
import type { Region } from '$core/measure/region';
import { ringsIn } from '$core/measure/rings';
import { slantedEdge, type EdgeProblem, type EdgeResponse } from '$core/measure/slantedEdge';
import { mean } from '$core/numeric/mean';
import { linearLight } from './patch';
import type { OpenPicture } from './read/openPicture';
import { localMsOf } from './read/takenAt';

/** Everything that is measured of a photograph of a chart. The picture is given back. */
export type ChartMeasuring =
	| { readonly ok: true; readonly measured: MeasuredChart }
	| { readonly ok: false; readonly problem: ChartFrameProblem };

/** Marks are looked for in a picture so long. */
const SMALL_PX = 1500;

/** Measures a photograph of the wanted chart. */
export function measureChart(
	{ bitmap, facts }: OpenPicture,
	name: string,
	wanted: ChartKind,
	paper: ChartPaper
): ChartMeasuring {
	try {
		const { width: widthPx, height: heightPx } = bitmap;
		const times = Math.max(1, Math.max(widthPx, heightPx) / SMALL_PX);
		const rings = ringsIn(smallOf(bitmap, times), RING_SHAPE).map((ring) => ({
			...ring,
			x: ring.x * times,
			y: ring.y * times
		}));
		const reading = seenChart(rings, paper);
		if (!reading.ok) return reading;
		const { seen } = reading;
		if (seen.chart.kind !== wanted) return { ok: false, problem: 'wrong-chart' };
		const looked = Object.entries(seen.chart.edges).flatMap(([spot, edges]) =>
			edges.map((edge) => {
				const pieces = piecesOf(seen, edge).map((piece) => regionOf(bitmap, piece));
				const { x, y } = edge;
				return { spot: spot as ChartSpot, x, y, pieces };
			})
		);
		const brightness: number[] = [];
		const edges = looked.map(({ spot, x, y, pieces }): MeasuredEdge => {
			const { edge, problem, isUpright } = together(pieces);
			if (edge) brightness.push(edge.bright);
			const { mtf50 = null, response = [], overshoot = 0 } = edge ?? {};
			return { spot, x, y, isUpright, mtf50, response, overshoot, problem };
		});
		return {
			ok: true,
			measured: {
				name: name.slice(0, 300),
				kind: wanted,
				facts,
				localMs: localMsOf(facts.takenAt),
				widthPx,
				heightPx,
				seen,
				edges,
				paper: brightness.length > 0 ? mean(brightness) : 0
			}
		};
	} finally {
		bitmap.close();
	}
}

/** What the pieces of one edge say together. */
function together(pieces: readonly (Region | null)[]): {
	readonly edge: EdgeResponse | null;
	readonly problem: EdgeProblem | null;
	readonly isUpright: boolean;
} {
	const known = pieces.flatMap((piece) => piece ?? []);
	const isUpright = known.every(({ widthPx, heightPx }) => heightPx >= widthPx);
	const readings = known.map(slantedEdge);
	const edges = readings.flatMap((reading) => (reading.ok ? [reading.edge] : []));
	const [first] = edges;
	if (!first) {
		const failed = readings.find((reading) => !reading.ok);
		return { edge: null, problem: failed?.problem ?? 'too-small', isUpright };
	}
	const of = (value: (edge: EdgeResponse) => number) => mean(edges.map(value));
	return {
		edge: {
			...first,
			mtf50: of(({ mtf50 }) => mtf50),
			overshoot: of(({ overshoot }) => overshoot),
			bright: of(({ bright }) => bright),
			response: first.response.map((_, i) => of(({ response }) => response[i] as number))
		},
		problem: null,
		isUpright
	};
}

/** A piece of a picture in linear light; null where it is not wholly in the picture. */
function regionOf(
	bitmap: ImageBitmap,
	{ left, top, widthPx, heightPx }: ChartPiece
): Region | null {
	const isInside =
		left >= 0 && top >= 0 && left + widthPx <= bitmap.width && top + heightPx <= bitmap.height;
	if (!isInside || widthPx < 1 || heightPx < 1) return null;
	const { data } = drawn(widthPx, heightPx, (context) => context.drawImage(bitmap, -left, -top));
	return { widthPx, heightPx, light: linearLight(data) };
}

/** The whole picture so many times smaller. */
function smallOf(bitmap: ImageBitmap, times: number): Region {
	const [widthPx, heightPx] = [bitmap.width, bitmap.height].map((side) =>
		Math.round(side / times)
	) as [number, number];
	const { data } = drawn(widthPx, heightPx, (context) => {
		context.imageSmoothingQuality = 'high';
		context.drawImage(bitmap, 0, 0, widthPx, heightPx);
	});
	return { widthPx, heightPx, light: linearLight(data) };
}

function drawn(
	widthPx: number,
	heightPx: number,
	draw: (context: OffscreenCanvasRenderingContext2D) => void
): ImageData {
	const canvas = new OffscreenCanvas(widthPx, heightPx);
	const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
	if (!context) throw new Error('there is no memory for a picture of this size');
	draw(context);
	return context.getImageData(0, 0, widthPx, heightPx);
}
