import { depthAt, poseOf, type FlatPose } from '../geometry/homography';
import { imageDistanceMm } from '../geometry/thinLens';
import { linearFit } from '../numeric/linearFit';
import { median, medianInterval } from '../numeric/median';
import type { MeanInterval } from '../numeric/interval';
import type { MeasuredChart, MeasuredEdge } from './measuredChart';

/**
 * Whether a lens focuses in front or behind (section 12): the scale seen aslant, focused on its line anew for each
 * photograph; where along it everything is sharpest.
 */
export interface FocusTry {
	readonly name: string;
	/** From the line to the sharpest depth along the optical axis, mm: in front is positive. */
	readonly offMm: number;
	/** The same on the image side. */
	readonly biasMm: number;
	/** Depth of the line, mm. */
	readonly lineMm: number;
}

export interface FocusBias {
	readonly tries: readonly FocusTry[];
	/** Median over the tries, and between which it lies in nineteen of twenty cases. */
	readonly offMm: MeanInterval;
	readonly biasMm: number;
	/** From try to try, mm on the image side. */
	readonly spreadMm: number;
}

/** Why a photograph of the scale says nothing. */
export type TryProblem =
	/** The file does not say how long the lens is on its sensor. */
	| 'no-focal'
	/** Seen too straight on, or too flat: it should be 45 degrees. */
	| 'angle'
	/** The sharpest place is at the end of the scale, or beyond. */
	| 'beyond'
	| 'too-blurred'
	/** The bars are too narrow in the picture. */
	| 'too-small';

export type TryReading =
	| { readonly ok: true; readonly try: FocusTry }
	| { readonly ok: false; readonly problem: TryProblem };

/** The scale is seen at such angles, degrees. */
const ANGLES_DEG = [25, 65] as const;
/** Edges so sharp against the sharpest make the peak. */
const PEAK_SHARE = 0.45;
const LEAST_EDGES = 4;
/** More bars that are too narrow leave a side without any. */
const MOST_SMALL = 0.2;

/**
 * Where a photograph of the scale is sharpest.
 * @param focalMm of the lens, @param pxPerMm pixels of the picture to a millimetre of the sensor
 */
export function focusTry(frame: MeasuredChart, focalMm: number, pxPerMm: number): TryReading {
	const pose = poseOfChart(frame, focalMm, pxPerMm);
	const angleDeg = (Math.atan2(Math.abs(pose.right[2]), Math.abs(pose.right[0])) * 180) / Math.PI;
	if (angleDeg < ANGLES_DEG[0] || angleDeg > ANGLES_DEG[1]) return { ok: false, problem: 'angle' };
	const peak = sharpestAt(frame.edges);
	if (typeof peak === 'string') return { ok: false, problem: peak };
	const y = frame.edges[0]?.y ?? 0;
	const [lineMm, sharpestMm] = [depthAt(pose, { x: 0, y }), depthAt(pose, { x: peak, y })];
	const image = (depthMm: number) => imageDistanceMm(focalMm, depthMm / 1000);
	return {
		ok: true,
		try: {
			name: frame.name,
			offMm: lineMm - sharpestMm,
			biasMm: image(sharpestMm) - image(lineMm),
			lineMm
		}
	};
}

/** How the chart of a frame stands before the camera, mm; close by, the image lies farther behind the lens than far off. */
export function poseOfChart(frame: MeasuredChart, focalMm: number, pxPerMm: number): FlatPose {
	const { seen, widthPx, heightPx } = frame;
	// from the middle of the picture, to the right and up
	const [u, v, w] = seen.toPicture as readonly [Row, Row, Row];
	const level = u.map((one, i) => one - (widthPx / 2) * (w[i] as number)) as unknown as Row;
	const upright = v.map((one, i) => (heightPx / 2) * (w[i] as number) - one) as unknown as Row;
	const poseBy = (imageMm: number) => poseOf([level, upright, w], imageMm * pxPerMm);
	return poseBy(imageDistanceMm(focalMm, poseBy(focalMm).middle[2] / 1000));
}

type Row = readonly [number, number, number];

/** Where along the scale edges are sharpest, mm: the top of a parabola through the logarithms around the sharpest. */
function sharpestAt(edges: readonly MeasuredEdge[]): number | TryProblem {
	const known = edges
		.flatMap(({ x, mtf50 }) => (mtf50 === null ? [] : [{ x, mtf50 }]))
		.toSorted((a, b) => a.x - b.x);
	const small = edges.filter(({ problem }) => problem === 'too-small').length;
	if (small > MOST_SMALL * edges.length) return 'too-small';
	if (known.length < LEAST_EDGES) return 'too-blurred';
	const most = Math.max(...known.map(({ mtf50 }) => mtf50));
	const at = known.findIndex(({ mtf50 }) => mtf50 === most);
	// those around it that hang together: farther off, noise may pretend
	const isOfPeak = (i: number) => (known[i]?.mtf50 ?? 0) > PEAK_SHARE * most;
	let [from, to] = [at, at];
	while (isOfPeak(from - 1)) from -= 1;
	while (isOfPeak(to + 1)) to += 1;
	if (from === 0 || to === known.length - 1) return 'beyond';
	const around = known.slice(Math.min(from, at - 2), Math.max(to, at + 2) + 1);
	if (around.length < LEAST_EDGES) return 'too-blurred';
	const middle = (known[at] as { readonly x: number }).x;
	const fit = linearFit(
		around.map(({ x, mtf50 }) => ({
			terms: [1, x - middle, (x - middle) ** 2],
			value: Math.log(mtf50),
			// the sharper, the surer
			weight: mtf50 * mtf50
		}))
	);
	const [, slope = 0, bend = 0] = fit ?? [];
	if (!(bend < 0)) return 'beyond';
	const top = middle - slope / (2 * bend);
	const [first, last] = [around[0], around.at(-1)] as [{ x: number }, { x: number }];
	return top > first.x && top < last.x ? top : 'beyond';
}

/** What tries say together; null of none. */
export function focusBias(tries: readonly FocusTry[]): FocusBias | null {
	if (tries.length === 0) return null;
	const biases = tries.map(({ biasMm }) => biasMm);
	return {
		tries,
		offMm: medianInterval(tries.map(({ offMm }) => offMm)),
		biasMm: median(biases),
		spreadMm: spreadOf(biases)
	};
}

/** Spread by the mean of squares; 0 of a single value. */
function spreadOf(values: readonly number[]): number {
	if (values.length < 2) return 0;
	const middle = values.reduce((sum, one) => sum + one, 0) / values.length;
	return Math.sqrt(values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (values.length - 1));
}

/** What a setting of the body’s own correction gave. */
export interface Corrected {
	readonly setting: number;
	readonly biasMm: number;
}

/** The setting of a body’s correction at which the bias is nothing: where a straight line crosses it; null where none does. */
export function settingOfNoBias(all: readonly Corrected[]): number | null {
	if (new Set(all.map(({ setting }) => setting)).size < 2) return null;
	const fit = linearFit(
		all.map(({ setting, biasMm }) => ({ terms: [1, setting], value: biasMm, weight: 1 }))
	);
	const [at = NaN, slope = 0] = fit ?? [];
	const zero = -at / slope;
	return Number.isFinite(zero) ? zero : null;
}
