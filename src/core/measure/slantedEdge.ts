import { linearFit } from '../numeric/linearFit';
import { sinc } from '../numeric/sinc';
import { transpose, type Region } from './region';

/**
 * The spatial frequency response of lens and sensor by one straight, slightly slanted edge: edge spread function, line
 * spread, its transform. ISO 12233:2017, annex D (from memory): 4 times oversampled, Hamming's window.
 */
export interface EdgeResponse {
	/** Where the response has fallen to a half, cycles per pixel. */
	readonly mtf50: number;
	/** Response at each of `FREQUENCIES`; 1 at none. */
	readonly response: readonly number[];
	/** How far the edge swings beyond its ends, of its height: what sharpening does. */
	readonly overshoot: number;
	/** From upright or level, whichever is nearer. */
	readonly angleDeg: number;
	/** Brightness of the dark and the bright side, linear light. */
	readonly dark: number;
	readonly bright: number;
}

/** Why an edge cannot be measured. */
export type EdgeProblem =
	| 'no-edge'
	/** Dark and bright side are too much alike. */
	| 'low-contrast'
	/** The bright side is as white as can be. */
	| 'clipped'
	/** Upright, level or diagonal: every row meets the pixels alike. */
	| 'not-slanted'
	| 'too-small';

export type EdgeReading =
	| { readonly ok: true; readonly edge: EdgeResponse }
	| { readonly ok: false; readonly problem: EdgeProblem };

/** Cycles per pixel. */
export const FREQUENCIES: readonly number[] = Array.from({ length: 129 }, (_, i) => i / 128);

const OVERSAMPLING = 4;
const LEAST_ROWS = 16;
const LEAST_WIDTH_PX = 16;
const LEAST_STEP = 0.06;
/** The level that counts as clipped, and the share of the bright side that may be. */
const CLIPPED_LEVEL = 0.985;
const MOST_WHITE = 0.05;
/** Smaller angles meet too few phases of the pixels, larger ones meet them alike again. */
const ANGLES_DEG = [1.2, 30] as const;
/** The window reaches so many times as far as the edge is wide (10 to 90 %), and at least so far. */
const REACH_WIDTHS = 9;
const LEAST_REACH_PX = 20;
/** Nearer to the side of the piece than this, px, the edge cannot be measured. */
const LEAST_ROOM_PX = 10;
/** The share of each end of a row that is taken as its dark or bright level. */
const ROW_END_SHARE = 0.2;

/**
 * The slanted edge method: measures the edge in a piece of a picture, one edge from one side of it to the other.
 *
 * @returns the response, or why the edge cannot be measured
 */
export function slantedEdge(region: Region): EdgeReading {
	const upright = isUpright(region) ? region : transpose(region);
	const { widthPx, heightPx, light } = upright;
	if (heightPx < LEAST_ROWS || widthPx < LEAST_WIDTH_PX) return { ok: false, problem: 'too-small' };
	const ends = endsOf(upright);
	const step = Math.abs(ends.right - ends.left);
	if (step < LEAST_STEP) return { ok: false, problem: 'low-contrast' };
	const white =
		light.reduce((count, one) => count + (one > CLIPPED_LEVEL ? 1 : 0), 0) / light.length;
	if (white > MOST_WHITE) return { ok: false, problem: 'clipped' };
	const line = lineOf(upright, ends);
	if (!line) return { ok: false, problem: 'no-edge' };
	const angleDeg = (Math.atan(Math.abs(line.slope)) * 180) / Math.PI;
	if (angleDeg < ANGLES_DEG[0] || angleDeg > ANGLES_DEG[1] || heightPx * Math.abs(line.slope) < 1)
		return { ok: false, problem: 'not-slanted' };
	const spread = edgeSpreadFunction(upright, line);
	if (!spread) return { ok: false, problem: 'too-small' };
	const { response, overshoot } = responseOf(spread);
	const mtf50 = halfOf(response);
	if (mtf50 === null) return { ok: false, problem: 'no-edge' };
	const [dark, bright] = [Math.min(ends.left, ends.right), Math.max(ends.left, ends.right)];
	return { ok: true, edge: { mtf50, response, overshoot, angleDeg, dark, bright } };
}

/** Whether the edge runs rather up than across. */
function isUpright({ widthPx, heightPx, light }: Region): boolean {
	let [across, down] = [0, 0];
	for (let y = 0; y + 2 < heightPx; y++) {
		for (let x = 0; x + 2 < widthPx; x++) {
			const at = y * widthPx + x;
			across += Math.abs((light[at + 2] as number) - (light[at] as number));
			down += Math.abs((light[at + 2 * widthPx] as number) - (light[at] as number));
		}
	}
	return across >= down;
}

interface Ends {
	readonly left: number;
	readonly right: number;
}

/** Brightness at the left and the right end of the rows. */
function endsOf({ widthPx, heightPx, light }: Region): Ends {
	const taken = Math.max(2, Math.round(ROW_END_SHARE * widthPx));
	let [left, right] = [0, 0];
	for (let y = 0; y < heightPx; y++) {
		for (let x = 0; x < taken; x++) {
			left += light[y * widthPx + x] as number;
			right += light[(y + 1) * widthPx - 1 - x] as number;
		}
	}
	return { left: left / taken / heightPx, right: right / taken / heightPx };
}

/** Where the edge is in each row: `at` in the middle row, `slope` farther right with each row. */
interface Line {
	readonly at: number;
	readonly slope: number;
}

const FIT_ROUNDS = 4;

/** The line of the edge, by the middle of each row's slope around it; looked at more closely each time. */
function lineOf(region: Region, { left, right }: Ends): Line | null {
	const { widthPx, heightPx, light } = region;
	const middleRow = (heightPx - 1) / 2;
	const sign = Math.sign(right - left);
	const atRow = (y: number, { at, slope }: Line) => at + slope * (y - middleRow);
	const through = (places: readonly { readonly y: number; readonly x: number }[]): Line | null => {
		if (places.length < LEAST_ROWS / 2) return null;
		const found = linearFit(
			places.map(({ y, x }) => ({ terms: [1, y - middleRow], value: x, weight: 1 }))
		);
		return found && { at: found[0] as number, slope: found[1] as number };
	};
	// at first: how much of a row lies on its left side, by its sum
	let line = through(
		Array.from({ length: heightPx }, (_, y) => {
			let sum = 0;
			for (let x = 0; x < widthPx; x++) sum += (light[y * widthPx + x] as number) - right;
			return { y, x: sum / (left - right) - 0.5 };
		})
	);
	for (let look = 1; line && look <= FIT_ROUNDS; look++) {
		const reachPx = Math.max(LEAST_ROOM_PX, widthPx / 2 ** look);
		const last: Line = line;
		line = through(
			Array.from({ length: heightPx }, (_, y) => {
				const around = atRow(y, last);
				let [sum, moment] = [0, 0];
				const first = Math.max(1, Math.ceil(around - reachPx));
				for (let x = first; x < widthPx - 1 && x <= around + reachPx; x++) {
					const slope =
						(sign *
							((light[y * widthPx + x + 1] as number) - (light[y * widthPx + x - 1] as number))) /
						2;
					const weight = slope * (0.54 + 0.46 * Math.cos((Math.PI * (x - around)) / reachPx));
					sum += weight;
					moment += weight * x;
				}
				return { y, x: moment / sum, isFound: sum > Math.abs(right - left) / 4 };
			}).filter(({ isFound, x }) => isFound && x >= 0 && x < widthPx)
		);
	}
	return line;
}

/** Light by distance from the edge, from one end of the window to the other, `OVERSAMPLING` to a pixel. */
function edgeSpreadFunction(region: Region, { at, slope }: Line): Float64Array | null {
	const { widthPx, heightPx, light } = region;
	const middleRow = (heightPx - 1) / 2;
	const leanPx = (Math.abs(slope) * (heightPx - 1)) / 2;
	const cos = 1 / Math.hypot(1, slope);
	const roomPx = cos * (Math.min(at, widthPx - 1 - at) - leanPx);
	const whole = roomPx < LEAST_ROOM_PX ? null : averaged(roomPx);
	if (!whole) return null;
	const reachPx = Math.min(roomPx, Math.max(LEAST_REACH_PX, REACH_WIDTHS * widthOf(whole)));
	return reachPx < roomPx ? averaged(reachPx) : whole;

	function averaged(reach: number): Float64Array | null {
		const half = Math.floor(reach * OVERSAMPLING);
		const count = 2 * half + 1;
		const [sums, counts] = [new Float64Array(count), new Float64Array(count)];
		for (let y = 0; y < heightPx; y++) {
			const edge = at + slope * (y - middleRow);
			for (let x = 0; x < widthPx; x++) {
				const bin = Math.round((x - edge) * cos * OVERSAMPLING) + half;
				if (bin < 0 || bin >= count) continue;
				sums[bin] = (sums[bin] as number) + (light[y * widthPx + x] as number);
				counts[bin] = (counts[bin] as number) + 1;
			}
		}
		return filled(sums, counts);
	}
}

/** The mean of each bin; where none fell, between its neighbours. */
function filled(sums: Float64Array, counts: Float64Array): Float64Array | null {
	const means = sums.map((sum, i) => sum / (counts[i] as number));
	let last = -1;
	for (let i = 0; i < means.length; i++) {
		if (counts[i] === 0) continue;
		for (let k = last + 1; k < i; k++) {
			const share = (k - last) / (i - last);
			means[k] =
				last < 0
					? (means[i] as number)
					: (means[last] as number) * (1 - share) + (means[i] as number) * share;
		}
		last = i;
	}
	if (last < 0) return null;
	return means.fill(means[last] as number, last + 1);
}

/** Means of the two ends of an edge. */
function endsOfSpread(spread: Float64Array): Ends {
	const taken = Math.max(1, Math.round(spread.length * ROW_END_SHARE));
	const mean = (part: Float64Array) => part.reduce((sum, one) => sum + one, 0) / part.length;
	return { left: mean(spread.subarray(0, taken)), right: mean(spread.subarray(-taken)) };
}

/** From a tenth to nine tenths, px. */
function widthOf(spread: Float64Array): number {
	const { left, right } = endsOfSpread(spread);
	const share = (i: number) => ((spread[i] as number) - left) / (right - left);
	let from = spread.length >> 1;
	let to = from;
	while (from > 0 && share(from) > 0.1) from -= 1;
	while (to < spread.length - 1 && share(to) < 0.9) to += 1;
	return (to - from) / OVERSAMPLING;
}

function responseOf(spread: Float64Array): {
	readonly response: readonly number[];
	readonly overshoot: number;
} {
	const { left, right } = endsOfSpread(spread);
	const half = (spread.length - 1) / 2;
	const line = new Float64Array(spread.length);
	for (let i = 1; i < spread.length - 1; i++) {
		const window = 0.54 + 0.46 * Math.cos((Math.PI * (i - half)) / half);
		line[i] = (window * ((spread[i + 1] as number) - (spread[i - 1] as number))) / 2;
	}
	const sizeAt = (frequency: number) => {
		let [re, im] = [0, 0];
		const turn = (2 * Math.PI * frequency) / OVERSAMPLING;
		for (let i = 0; i < line.length; i++) {
			re += (line[i] as number) * Math.cos(turn * i);
			im += (line[i] as number) * Math.sin(turn * i);
		}
		return Math.hypot(re, im);
	};
	// by the whole step, not by what is left of it under the window: the tails of diffraction reach far
	const whole = Math.abs(right - left);
	const response = FREQUENCIES.map((frequency) => {
		// what the difference over two bins and the width of a bin have taken away
		const lost = sinc((2 * frequency) / OVERSAMPLING) * sinc(frequency / OVERSAMPLING);
		return sizeAt(frequency) / whole / lost;
	});
	const shares = spread.map((one) => (one - left) / (right - left));
	const most = shares.reduce((a, b) => Math.max(a, b), 0);
	const least = shares.reduce((a, b) => Math.min(a, b), 1);
	const beyond = Math.max(most - 1, -least) - OVER_NOISE * noiseOf(shares);
	return { response, overshoot: Math.max(0, beyond) };
}

/** How many standard deviations off the largest of so many values of noise lies. */
const OVER_NOISE = 3;

/** Spread of the noise of an edge, by how its dark end differs from neighbour to neighbour. */
function noiseOf(shares: Float64Array): number {
	const count = Math.max(2, Math.round(shares.length * ROW_END_SHARE));
	let sum = 0;
	for (let i = 1; i < count; i++) sum += ((shares[i] as number) - (shares[i - 1] as number)) ** 2;
	return Math.sqrt(sum / (count - 1) / 2);
}

/** Where a response falls to a half, cycles per pixel. */
function halfOf(response: readonly number[]): number | null {
	const i = response.findIndex((one) => one < 0.5);
	if (i < 1) return null;
	const [above, below] = [response[i - 1] as number, response[i] as number];
	const [from, to] = [FREQUENCIES[i - 1] as number, FREQUENCIES[i] as number];
	return from + ((above - 0.5) / (above - below)) * (to - from);
}

/** Diffraction’s own limit, where its response has fallen to a half, cycles per mm (Goodman, from memory). */
export const diffractionHalf = (fNumber: number, wavelengthMm = 0.00055): number =>
	0.404 / (wavelengthMm * fNumber);
