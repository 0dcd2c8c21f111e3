import { describe, expect, it } from 'vitest';
import { there } from '$tests/support/there';
import { chartPicture, isInside, sheetSeen } from '$tests/support/chartPicture';
import { depthAt, homographyOf, poseOf, seenAt, type FlatPoint } from '../geometry/homography';
import { ringsIn } from '../measure/rings';
import { chartOf, CHART_PAPERS, RING_SHAPE, type ChartKind } from './chart';
import { seenChart } from './seenChart';

const SIDE = 700;
const SQUARE_ON = [
	[40, 130],
	[660, 130],
	[660, 568],
	[40, 568]
] as const;
/** Turned by 45 degrees, from some 25 focal lengths: the left edge is nearer. */
const ASLANT = [
	[80, 35],
	[600, 75],
	[600, 625],
	[80, 665]
] as const;
const UPSIDE_DOWN = [
	[655, 560],
	[45, 575],
	[30, 140],
	[640, 120]
] as const;

const points = (all: readonly (readonly [number, number])[]): FlatPoint[] =>
	all.map(([x, y]) => ({ x, y }));

describe.each<ChartKind>(['sharpness', 'scale'])('the chart for %s', (kind) => {
	const chart = chartOf(kind, 'a4');

	it.each([
		['straight on', SQUARE_ON, {}],
		['aslant', ASLANT, {}],
		['upside down', UPSIDE_DOWN, {}],
		['out of focus', SQUARE_ON, { blurPx: 3 }],
		['aslant and out of focus', ASLANT, { blurPx: 2 }],
		['in dim light, with noise', ASLANT, { dimmed: 0.15, noise: 0.01 }]
	])('is recognised %s', (_name, corners, more) => {
		const taken = { sidePx: SIDE, corners: points(corners), ...more };
		const picture = chartPicture(chart, CHART_PAPERS.a4, taken);
		const reading = seenChart(ringsIn(picture, RING_SHAPE), 'a4');
		if (!reading.ok) throw new Error(reading.problem);
		expect(reading.seen.chart.kind).toBe(kind);
		const truth = sheetSeen(CHART_PAPERS.a4, taken.corners);
		const edges = Object.values(chart.edges).flat();
		expect(edges.length).toBeGreaterThan(15);
		for (const place of [...chart.marks, ...edges]) {
			const [is, should] = [seenAt(reading.seen.toPicture, place), seenAt(truth, place)];
			expect(Math.hypot(is.x - should.x, is.y - should.y)).toBeLessThan(1);
		}
	});

	it('is told to be cut where a corner of it is missing', () => {
		const corners = points(SQUARE_ON).map(({ x, y }) => ({ x: x + 120, y }));
		const picture = chartPicture(chart, CHART_PAPERS.a4, { sidePx: SIDE, corners });
		expect(seenChart(ringsIn(picture, RING_SHAPE), 'a4')).toEqual({ ok: false, problem: 'cut' });
	});
});

it('there is no chart where there is none', () => {
	const light = Float32Array.from({ length: 200 * 200 }, (_, i) => 0.4 + 0.2 * Math.sin(i / 7));
	const rings = ringsIn({ widthPx: 200, heightPx: 200, light }, RING_SHAPE);
	expect(seenChart(rings, 'a4')).toEqual({ ok: false, problem: 'no-chart' });
});

describe('a chart on paper', () => {
	const all = (['a4', 'a3', 'letter'] as const).flatMap((paper) =>
		(['sharpness', 'scale'] as const).map((kind) => chartOf(kind, paper))
	);
	it.each(all.map((chart) => [`${chart.kind} ${chart.paper}`, chart] as const))(
		'%s stays on the sheet, its line is 150 mm long, its edges are slanted',
		(_name, { paper, shapes, length, edges }) => {
			const { widthMm, heightMm } = CHART_PAPERS[paper];
			for (const [x, y] of shapes.flatMap(({ outline }) => outline)) {
				expect(Math.abs(x)).toBeLessThan(widthMm / 2 - 8);
				expect(Math.abs(y)).toBeLessThan(heightMm / 2 - 8);
			}
			expect(length[1].x - length[0].x).toBe(150);
			expect(there(edges.centre).length).toBeGreaterThan(3);
		}
	);

	it('has every measured edge on an edge that is drawn, and clean on both sides', () => {
		for (const { shapes, edges } of all) {
			for (const { x, y, isUpright, halfLengthMm, roomMm } of Object.values(edges).flat()) {
				const isInk = (across: number) => {
					const at = isUpright ? { x: x + across, y } : { x, y: y + across };
					return shapes.some(({ outline }) => isInside(outline, at));
				};
				// one side black, the other white, as far as there is room
				for (const share of [0.05, 0.5, 0.9]) {
					expect(isInk(share * roomMm)).not.toBe(isInk(-share * roomMm));
				}
				expect(halfLengthMm).toBeGreaterThan(8);
			}
		}
	});
});

describe('the pose of a flat thing', () => {
	it('is that by which it was projected', () => {
		// turned by 45 degrees, 1500 mm away, a lens of 4000 pixels
		const [turn, focalPx] = [Math.PI / 4, 4000];
		const place = ({ x, y }: FlatPoint) => {
			const [X, Y, Z] = [x * Math.cos(turn), y, 1500 + x * Math.sin(turn)];
			return { x: (focalPx * X) / Z, y: (focalPx * Y) / Z };
		};
		const { marks } = chartOf('scale', 'a4');
		const seen = there(homographyOf(marks, marks.map(place)));
		const pose = poseOf(seen, focalPx);
		for (const [x, depth] of [
			[0, 1500],
			[-50, 1500 - 50 * Math.SQRT1_2],
			[50, 1500 + 50 * Math.SQRT1_2]
		] as const) {
			expect(depthAt(pose, { x, y: 20 })).toBeCloseTo(depth, 6);
		}
	});
});
