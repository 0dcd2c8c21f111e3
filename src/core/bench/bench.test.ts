import { describe, expect, it } from 'vitest';
import { there } from '$tests/support/there';
import { homographyOf } from '../geometry/homography';
import { imageDistanceMm } from '../geometry/thinLens';
import { FREQUENCIES } from '../measure/slantedEdge';
import { Random } from '../numeric/random';
import { apertureSeries } from './apertureSeries';
import { chartOf, CORNERS, type ChartKind, type ChartSpot } from './chart';
import { focusBias, focusTry, settingOfNoBias } from './focusScale';
import { handsOf, heldShare, streakPx } from './hands';
import type { MeasuredChart, MeasuredEdge } from './measuredChart';

const FOCAL_MM = 85;
const PX_PER_MM = 6000 / 36;
const SIZE = { widthPx: 6000, heightPx: 4000 };

interface Stand {
	readonly distanceMm: number;
	readonly turnDeg: number;
}

/** A frame of a chart that stands so before the camera; edges as they are asked for. */
function frameOf(
	kind: ChartKind,
	{ distanceMm, turnDeg }: Stand,
	edges: readonly MeasuredEdge[],
	more: Partial<MeasuredChart> = {}
): MeasuredChart {
	const chart = chartOf(kind, 'a3');
	const turn = (turnDeg * Math.PI) / 180;
	const imagePx = imageDistanceMm(FOCAL_MM, distanceMm / 1000) * PX_PER_MM;
	const marks = chart.marks.map(({ x, y }) => {
		const depthMm = distanceMm + x * Math.sin(turn);
		return {
			x: SIZE.widthPx / 2 + (imagePx * x * Math.cos(turn)) / depthMm,
			y: SIZE.heightPx / 2 - (imagePx * y) / depthMm
		};
	});
	return {
		name: 'a.jpg',
		kind,
		facts: { focalMm: FOCAL_MM, fNumber: 4, shutterS: 1 / 125, iso: 100 },
		localMs: 0,
		...SIZE,
		seen: { chart, marks, toPicture: there(homographyOf(chart.marks, marks)) },
		edges,
		paper: 0.7,
		...more
	};
}

const edge = (
	spot: ChartSpot,
	mtf50: number | null,
	more: Partial<MeasuredEdge> = {}
): MeasuredEdge => ({
	spot,
	x: 0,
	y: 0,
	isUpright: true,
	mtf50,
	response: [],
	overshoot: 0,
	problem: null,
	...more
});

const NEAR = { distanceMm: 1090, turnDeg: 0 };

/** Frames at f-numbers: what the centre and the corners give at each. */
function seriesOf(
	all: readonly (readonly [fNumber: number, centre: readonly number[], corners: number])[]
): MeasuredChart[] {
	return all.flatMap(([fNumber, centre, corners]) =>
		centre.map((value, i) =>
			frameOf(
				'sharpness',
				NEAR,
				[edge('centre', value), ...CORNERS.map((corner) => edge(corner, corners))],
				{
					name: `${fNumber}-${i}.jpg`,
					facts: { focalMm: FOCAL_MM, fNumber, shutterS: 1 / 125, iso: 100 }
				}
			)
		)
	);
}

const GOOD = seriesOf([
	[1.4, [0.15, 0.152], 0.08],
	[2, [0.22, 0.222], 0.13],
	[2.8, [0.279, 0.281], 0.22],
	[4, [0.283, 0.277], 0.26],
	[5.6, [0.281, 0.278], 0.27],
	[8, [0.25, 0.251], 0.25]
]);

describe('the aperture series', () => {
	const series = () => {
		const reading = apertureSeries(GOOD);
		if (!reading.ok) throw new Error(reading.problem.code);
		return reading.series;
	};
	it('names the sharpest, and those that are as good', () => {
		const { stops, best, from, to } = series();
		expect(there(stops[best]).fNumber).toBe(2.8);
		// f/4 and f/5.6 lie within its interval, f/2 and f/8 do not
		expect(there(stops[from]).fNumber).toBe(2.8);
		expect(there(stops[to]).fNumber).toBe(5.6);
	});
	it('says when the corners come', () => {
		const { stops, cornersFrom, softCorners } = series();
		expect(there(stops[there(cornersFrom)]).fNumber).toBe(2.8);
		expect(softCorners).toEqual([]);
	});

	const broken = (change: (frame: MeasuredChart, i: number) => MeasuredChart) => {
		const reading = apertureSeries(GOOD.map(change));
		return reading.ok ? null : reading.problem;
	};
	it.each<[string, (frame: MeasuredChart, i: number) => MeasuredChart]>([
		[
			'two-lenses',
			(frame, i) => (i === 3 ? { ...frame, facts: { ...frame.facts, focalMm: 50 } } : frame)
		],
		[
			'no-f-number',
			(frame, i) => (i === 3 ? { ...frame, facts: { ...frame.facts, fNumber: undefined } } : frame)
		],
		['flicker', (frame, i) => (i % 2 ? { ...frame, paper: 0.5 } : frame)],
		['clipped', (frame) => ({ ...frame, edges: [edge('centre', null, { problem: 'clipped' })] })],
		[
			'moved',
			(frame, i) =>
				i === 5
					? frameOf('sharpness', { distanceMm: 1140, turnDeg: 0 }, frame.edges, {
							facts: frame.facts
						})
					: frame
		],
		[
			'too-small',
			(frame) =>
				frameOf('sharpness', { distanceMm: 2000, turnDeg: 0 }, frame.edges, { facts: frame.facts })
		],
		['few-apertures', (frame) => ({ ...frame, facts: { ...frame.facts, fNumber: 4 } })]
	])('is told to be worth nothing: %s', (code, change) => {
		expect(broken(change)?.code).toBe(code);
	});
});

/** The scale as it is seen, sharpest at a depth: blur grows with the distance from it. */
function scaleOf(
	offMm: number,
	noise: number,
	random: Random,
	stand = { distanceMm: 2380, turnDeg: 45 }
) {
	const edges = there(chartOf('scale', 'a3').edges.centre).map(({ x, y }) => {
		const depthMm = x * Math.sin((stand.turnDeg * Math.PI) / 180);
		const mtf50 = 0.45 / Math.hypot(1, (depthMm + offMm) / 14);
		return edge('centre', mtf50 * (1 + noise * random.normal()), { x, y });
	});
	return focusTry(frameOf('scale', stand, edges), FOCAL_MM, PX_PER_MM);
}

describe('front or back', () => {
	it.each([-30, -12, 0, 7, 30])('finds %d mm', (offMm) => {
		const reading = scaleOf(offMm, 0, new Random(1));
		if (!reading.ok) throw new Error(reading.problem);
		const { offMm: found, lineMm, biasMm } = reading.try;
		expect(Math.abs(found - offMm)).toBeLessThan(0.5);
		expect(Math.abs(lineMm / 2380 - 1)).toBeLessThan(0.01);
		// by the square of the magnification, close enough
		const magnification = FOCAL_MM / (2380 - FOCAL_MM);
		expect(Math.abs(biasMm - found * magnification ** 2)).toBeLessThan(0.002);
	});

	it('finds it in noise, by several tries', () => {
		const random = new Random(5);
		const tries = Array.from({ length: 9 }, () => scaleOf(18, 0.06, random)).flatMap((one) =>
			one.ok ? [one.try] : []
		);
		const bias = there(focusBias(tries));
		expect(Math.abs(bias.offMm.mean - 18)).toBeLessThan(1.5);
		expect(bias.offMm.low).toBeLessThan(18);
		expect(bias.offMm.high).toBeGreaterThan(18);
	});

	it('tells what cannot be: too straight on, beyond the scale', () => {
		const random = new Random(1);
		expect(scaleOf(0, 0, random, { distanceMm: 2380, turnDeg: 10 })).toMatchObject({
			problem: 'angle'
		});
		expect(scaleOf(190, 0, random)).toMatchObject({ problem: 'beyond' });
	});

	it('says which setting of the body brings it to nothing', () => {
		const noted = [
			{ setting: 0, biasMm: 0.03 },
			{ setting: 10, biasMm: -0.02 }
		];
		expect(settingOfNoBias(noted)).toBeCloseTo(6, 9);
		expect(settingOfNoBias(noted.slice(1))).toBeNull();
	});
});

const gaussian = FREQUENCIES.map((f) => Math.exp(-2 * (Math.PI * 0.7 * f) ** 2));
const moved = (px: number) =>
	gaussian.map((one, i) => {
		const x = Math.PI * px * there(FREQUENCIES[i]);
		return one * (x === 0 ? 1 : Math.abs(Math.sin(x) / x));
	});

describe('hands', () => {
	it.each([0, 1.5, 4, 11, 30])('a streak of %d px is found in the response', (px) => {
		expect(Math.abs(streakPx(moved(px), gaussian) - px)).toBeLessThan(0.1 + 0.02 * px);
	});

	it('finds the scale of the shake, and the sway', () => {
		const random = new Random(21);
		const [shakeMmPerS, swayMm] = [1.4, 7];
		let swayed = swayMm * random.normal();
		const frames = [1 / 1000, 1 / 60, 1 / 30, 1 / 15].flatMap((shutterS, group) =>
			Array.from({ length: 60 }, (_, i) => {
				const rate = shakeMmPerS * Math.sqrt(-2 * Math.log(1 - random.uniform()));
				const angle = 2 * Math.PI * random.uniform();
				const along = (part: number) => moved(Math.abs(rate * shutterS * PX_PER_MM * part));
				// frames two seconds apart
				const kept = Math.exp(-2);
				swayed = kept * swayed + Math.sqrt(1 - kept * kept) * swayMm * random.normal();
				const edges = [
					edge('centre', 0.2, { response: along(Math.cos(angle)) }),
					edge('centre', 0.2, { response: along(Math.sin(angle)), isUpright: false })
				];
				return frameOf('sharpness', { distanceMm: 1200 + swayed, turnDeg: 0 }, edges, {
					facts: { focalMm: FOCAL_MM, fNumber: 5.6, shutterS, iso: 100 },
					localMs: (group * 60 + i) * 2000
				});
			})
		);
		const reading = handsOf(frames, FOCAL_MM, PX_PER_MM);
		if (!reading.ok) throw new Error(reading.problem);
		const { hands } = reading;
		expect(Math.abs(there(hands.shakeMmPerS).value / shakeMmPerS - 1)).toBeLessThan(0.15);
		expect(Math.abs(there(hands.swayMm).value / swayMm - 1)).toBeLessThan(0.15);
	});

	it('says how often a shutter is held (Rayleigh: a half where what is allowed is 1.18 of the scale)', () => {
		expect(heldShare(1.2, 1 / 60, (1.1774 * 1.2) / 60)).toBeCloseTo(0.5, 4);
	});

	it('says what is missing', () => {
		const frame = frameOf('sharpness', NEAR, []);
		expect(handsOf([frame], FOCAL_MM, PX_PER_MM)).toMatchObject({ problem: 'few-frames' });
		const ten = Array.from({ length: 10 }, () => frame);
		expect(handsOf(ten, FOCAL_MM, PX_PER_MM)).toMatchObject({ problem: 'one-shutter' });
	});
});
