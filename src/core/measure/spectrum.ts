import { transformSquare } from '../numeric/fourier';
import { noiseSigma } from './noise';
import type { Patch } from './patch';

/**
 * Power spectrum of a patch, by frequency band and direction: what is compared between frames of the same thing.
 * It holds no picture.
 */
export interface Spectrum {
	/** Power against that of the mean light, in rings of frequency and ways over half a turn; 0 where nothing is known. */
	readonly power: Float32Array<ArrayBuffer>;
	/** The power of the noise in each band. */
	readonly noise: number;
	/** Pixels of the picture to one of the patch. */
	readonly scale: number;
	/** Side of what was looked at, px of the patch. */
	readonly sidePx: number;
}

export const FREQUENCY_BANDS = 12;
export const DIRECTION_BANDS = 8;
/** Cycles in a pixel: coarser there is the light, finer the noise. */
const LOWEST_CYCLES_PER_PX = 0.03;
const HIGHEST_CYCLES_PER_PX = 0.45;
const NOISE_FROM = 0.46;
/** The mean of exponentially distributed power is its median over ln 2. */
const MEDIAN_OVER_MEAN = Math.LN2;

/** Middle of a ring, cycles in a pixel. */
export const frequencyOf = (ring: number): number =>
	LOWEST_CYCLES_PER_PX *
	(HIGHEST_CYCLES_PER_PX / LOWEST_CYCLES_PER_PX) ** ((ring + 0.5) / FREQUENCY_BANDS);

/** How many places of the transform fall into each, for the weight of each. */
const counts = new Map<number, readonly number[]>();

interface Cell {
	readonly at: number;
	readonly cell: number | null;
	readonly isNoise: boolean;
}

const layouts = new Map<number, readonly Cell[]>();

/** Which ring and way each place of a transform belongs to: one half of it, the other is its mirror. */
function layoutOf(side: number): readonly Cell[] {
	const known = layouts.get(side);
	if (known) return known;
	const cells: Cell[] = [];
	for (let row = 0; row < side; row++) {
		for (let column = 0; column <= side / 2; column++) {
			if (column === 0 && row > side / 2) continue;
			const [fx, fy] = [column / side, (row < side / 2 ? row : row - side) / side];
			const f = Math.hypot(fx, fy);
			const isNoise = f > NOISE_FROM;
			if (f < LOWEST_CYCLES_PER_PX || (f > HIGHEST_CYCLES_PER_PX && !isNoise)) continue;
			const ring = Math.floor(
				(FREQUENCY_BANDS * Math.log(f / LOWEST_CYCLES_PER_PX)) /
					Math.log(HIGHEST_CYCLES_PER_PX / LOWEST_CYCLES_PER_PX)
			);
			const turn = ((Math.atan2(fy, fx) + Math.PI) % Math.PI) / Math.PI;
			const way = Math.round(turn * DIRECTION_BANDS) % DIRECTION_BANDS;
			const at = row * side + column;
			cells.push({
				at,
				cell: isNoise ? null : Math.min(ring, FREQUENCY_BANDS - 1) * DIRECTION_BANDS + way,
				isNoise
			});
		}
	}
	layouts.set(side, cells);
	return cells;
}

/** How many places of a transform of such a side each ring and way has. */
export function placesOf(side: number): readonly number[] {
	const known = counts.get(side);
	if (known) return known;
	const places = new Array<number>(FREQUENCY_BANDS * DIRECTION_BANDS).fill(0);
	for (const { cell } of layoutOf(side)) if (cell !== null) places[cell] = (places[cell] ?? 0) + 1;
	counts.set(side, places);
	return places;
}

/** The spectrum of the middle of a patch, as large a power of two as fits; null for the smallest and the blackest. */
export function spectrumOf(patch: Patch): Spectrum | null {
	const { light, sidePx, scale } = patch;
	const side = 2 ** Math.floor(Math.log2(sidePx));
	if (side < 16) return null;
	const from = Math.floor((sidePx - side) / 2);
	// Hann's window: what is at the edge counts for nothing
	const window = Float64Array.from(
		{ length: side },
		(_, i) => Math.sin((Math.PI * (i + 0.5)) / side) ** 2
	);
	const [real, imaginary] = [new Float64Array(side * side), new Float64Array(side * side)];
	let [sum, weights, squares] = [0, 0, 0];
	const each = (act: (at: number, weight: number, value: number) => void) => {
		for (let y = 0; y < side; y++) {
			for (let x = 0; x < side; x++) {
				const weight = (window[x] as number) * (window[y] as number);
				act(y * side + x, weight, light[(y + from) * sidePx + x + from] as number);
			}
		}
	};
	each((_, weight, value) => {
		sum += weight * value;
		weights += weight;
		squares += weight * weight;
	});
	const mean = sum / weights;
	if (!(mean > 0)) return null;
	each((at, weight, value) => (real[at] = weight * (value / mean - 1)));
	transformSquare(real, imaginary, side);
	const power = new Float64Array(FREQUENCY_BANDS * DIRECTION_BANDS);
	const layout = layoutOf(side);
	const noisy = new Float64Array(layout.length);
	let noisyCount = 0;
	for (const { at, cell, isNoise } of layout) {
		const value = ((real[at] as number) ** 2 + (imaginary[at] as number) ** 2) / squares;
		if (isNoise) noisy[noisyCount++] = value;
		else if (cell !== null) power[cell] = (power[cell] as number) + value;
	}
	const sorted = noisy.subarray(0, noisyCount).sort();
	const finest = (sorted[noisyCount >> 1] as number) / MEDIAN_OVER_MEAN;
	const noise = side > FINE_TO_ITS_END ? finest : Math.min(finest, (noiseSigma(patch) / mean) ** 2);
	const places = placesOf(side);
	return {
		power: Float32Array.from(power, (value, i) => (places[i] ? value / (places[i] as number) : 0)),
		noise: Math.max(LEAST_NOISE, noise),
		scale,
		sidePx: side
	};
}

/** In a square of so many px a small eye itself is as fine as pixels can be: what is finest there is not noise alone. */
const FINE_TO_ITS_END = 32;
/** Rounding to 256 values leaves so much. */
const LEAST_NOISE = 1e-7;

/**
 * Power above the noise in the finer half of the rings over that in the coarser half: the more, the sharper.
 *
 * @returns a ratio from 0 upwards; huge where nothing coarse stands above the noise
 */
export function fineness({ power, noise }: Spectrum): number {
	const over = (from: number, to: number) =>
		power.slice(from, to).reduce((sum, value) => sum + Math.max(0, value - noise), 0);
	const middle = (FREQUENCY_BANDS / 2) * DIRECTION_BANDS;
	return over(middle, power.length) / Math.max(Number.MIN_VALUE, over(0, middle));
}
