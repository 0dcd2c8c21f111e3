import type { Patch } from './patch';

/** Weights of four neighbours for a place between the middle two (Keys, "Cubic convolution interpolation", 1981). */
const keys = (t: number) =>
	[
		(-t + 2 * t * t - t * t * t) / 2,
		(2 - 5 * t * t + 3 * t * t * t) / 2,
		(t + 4 * t * t - 3 * t * t * t) / 2,
		(-t * t + t * t * t) / 2
	] as const;
const BEFORE = keys(0.75);
const AFTER = keys(0.25);

/** The same patch with twice as many pixels each way: edges of a pixel's width can then be followed. */
export function finer({ light, sidePx, scale }: Patch): Patch {
	const side = 2 * sidePx;
	// a line at a time, with what goes on beyond its ends
	const line = new Float64Array(sidePx + 4);
	const between = (
		from: ArrayLike<number>,
		fromStart: number,
		fromStep: number,
		to: Float32Array,
		toStart: number,
		toStep: number
	) => {
		for (let i = 0; i < sidePx; i++) line[i + 2] = from[fromStart + i * fromStep] as number;
		line.fill(line[2] as number, 0, 2);
		line.fill(line[sidePx + 1] as number, sidePx + 2);
		let [a, b, c, d] = [line[0], line[1], line[2], line[3]] as [number, number, number, number];
		for (let i = 0; i < sidePx; i++) {
			const e = line[i + 4] as number;
			const at = toStart + 2 * i * toStep;
			to[at] = a * BEFORE[0] + b * BEFORE[1] + c * BEFORE[2] + d * BEFORE[3];
			to[at + toStep] = b * AFTER[0] + c * AFTER[1] + d * AFTER[2] + e * AFTER[3];
			[a, b, c, d] = [b, c, d, e];
		}
	};
	const wide = new Float32Array(side * sidePx);
	for (let y = 0; y < sidePx; y++) between(light, y * sidePx, 1, wide, y * side, 1);
	const both = new Float32Array(side * side);
	for (let x = 0; x < side; x++) between(wide, x, side, both, x, side);
	return { light: both, sidePx: side, scale: scale / 2 };
}
