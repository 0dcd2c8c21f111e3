import { imageDistanceMm } from '../geometry/thinLens';
import { defocusMm } from '../optics/blur';
import { depthOfVergence, vergence } from '../optics/vergence';

/** Something at a known depth whose blur was measured. */
export interface BlurAt {
	readonly depthM: number;
	/** How far off the depth may be, m. */
	readonly sigmaM: number;
	/** From defocus, px of the picture. */
	readonly discPx: number;
	readonly sigmaPx: number;
}

/** The lens that a frame was taken with. */
export interface TakenWith {
	readonly focalMm: number;
	readonly fNumber: number;
	readonly pxPerMm: number;
}

/** The depth that was in focus, m, and between which it is in nine of ten cases. */
export interface FocusFell {
	readonly planeM: number;
	readonly nearM: number;
	/** Infinity where nothing says how far it lies behind. */
	readonly farM: number;
	/** As likely on the other side of everybody: nothing measured says which; null where something does. */
	readonly otherwiseM: number | null;
}

/** Focus is searched as far from everybody as would blur them this many times what was measured. */
const SEARCH_BLUR_RATIO = 1.5;
const LEAST_BEYOND_PX = 3;
const SEARCH_STEPS = 600;
/**
 * Of a fit of one value nine of ten lie within so much of the least sum of squares (chi-squared, one degree: 2.71); half as
 * much again, since the eyes of a frame are wrong together (measured on practice frames).
 */
const NINE_OF_TEN = 4;

/** Some faces are measured quite wrongly (hair over an eye): this many standard deviations are all that they pull. */
const OUTLIER_SIGMAS = 4;
/** The pixel and the lens blur what is in focus, too: so much is measured of it, px. */
const IN_FOCUS_PX = 0.7;
const seenPx = (discPx: number): number => Math.sqrt(discPx * discPx + IN_FOCUS_PX ** 2);

/** Defocus of something so far out of focus, 1/m, px. */
function pxOver({ focalMm, fNumber, pxPerMm }: TakenWith, planeM: number, perM: number): number {
	const lensed = { focalMm, imageDistanceMm: imageDistanceMm(focalMm, planeM) };
	return defocusMm(lensed, fNumber, perM) * pxPerMm;
}

/** The ends of what is said lie so many spreads from its middle. */
export const SPREADS_TO_ENDS = Math.sqrt(NINE_OF_TEN);
const perMOf = (depthM: number): number => (depthM < Infinity ? vergence(depthM) : 0);

/** Defocus of what is at a depth, by where the focus fell; and how far off that may be, px. */
export function discBy(
	fell: FocusFell,
	lens: TakenWith,
	depthM: number,
	sigmaM: number
): { readonly discPx: number; readonly sigmaPx: number } {
	const errorPerM = Math.abs(vergence(depthM) - perMOf(fell.planeM));
	const halfPerM = (perMOf(fell.nearM) - perMOf(fell.farM)) / 2;
	const sigmaPerM = Math.hypot(halfPerM / SPREADS_TO_ENDS, sigmaM / depthM ** 2);
	const planeM = Math.min(fell.planeM, 1 / LEAST_PER_M);
	return {
		discPx: pxOver(lens, planeM, errorPerM),
		sigmaPx: pxOver(lens, planeM, sigmaPerM)
	};
}

/**
 * The depth of focus that best explains measured blurs by c = (f/N) v |1/D - 1/s| / 1000: least squares over
 * vergence, in which each is a V. Null without any.
 */
export function whereFocusFell(points: readonly BlurAt[], lens: TakenWith): FocusFell | null {
	if (points.length === 0) return null;
	const depths = points.map(({ depthM }) => depthM);
	const middleM = depths.reduce((a, b) => a + b, 0) / depths.length;
	const pxOf1 = pxOver(lens, middleM, 1);
	const farthestPx = Math.max(...points.map(({ discPx }) => discPx));
	const beyond = (SEARCH_BLUR_RATIO * farthestPx + LEAST_BEYOND_PX) / pxOf1;
	const from = vergence(Math.max(...depths)) - beyond;
	const to = vergence(Math.min(...depths)) + beyond;
	// what of them no focus changes, once
	const blurs = points.map(({ depthM, sigmaM, discPx, sigmaPx }) => ({
		perM: vergence(depthM),
		discPx,
		perPx: 1 / Math.hypot(sigmaPx, (pxOf1 * sigmaM) / depthM ** 2)
	}));
	const sumAt = (perM: number): number => {
		const perMPx = pxOver(lens, depthOfVergence(Math.max(LEAST_PER_M, perM)), 1);
		let sum = 0;
		for (const blur of blurs) {
			const spreads = (blur.discPx - seenPx(perMPx * Math.abs(blur.perM - perM))) * blur.perPx;
			sum += OUTLIER_SIGMAS * Math.log1p((spreads * spreads) / OUTLIER_SIGMAS);
		}
		return sum;
	};
	const sums = Array.from({ length: SEARCH_STEPS + 1 }, (_, i) => {
		const perM = from + ((to - from) * i) / SEARCH_STEPS;
		return { perM, sum: sumAt(perM) };
	});
	const best = sums.reduce((a, b) => (b.sum < a.sum ? b : a));
	// where even the best explains badly, the spreads are larger than they were said to be
	const within = best.sum + NINE_OF_TEN * Math.max(1, best.sum / Math.max(1, points.length - 1));
	const likely = sums.filter(({ sum }) => sum <= within);
	const [first, last] = stretchAround(best.perM, likely, (to - from) / SEARCH_STEPS);
	const others = likely.filter(({ perM }) => perM < first - 1e-9 || perM > last + 1e-9);
	const other = others.length > 0 ? others.reduce((a, b) => (b.sum < a.sum ? b : a)) : null;
	const depth = (perM: number) => (perM > LEAST_PER_M ? depthOfVergence(perM) : Infinity);
	return {
		planeM: depth(best.perM),
		nearM: depth(last),
		farM: depth(first),
		otherwiseM: other && depth(other.perM)
	};
}

/** As far as anything is, 1/m. */
const LEAST_PER_M = 1e-4;

/** The ends of the stretch without a gap that holds a value. */
function stretchAround(
	perM: number,
	likely: readonly { readonly perM: number }[],
	step: number
): readonly [number, number] {
	let [first, last] = [perM, perM];
	for (const one of likely) if (one.perM > last && one.perM - last < 1.5 * step) last = one.perM;
	for (const one of [...likely].reverse()) {
		if (one.perM < first && first - one.perM < 1.5 * step) first = one.perM;
	}
	return [first - step / 2, last + step / 2];
}
