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
	const between = (
		from: ArrayLike<number>,
		fromStart: number,
		fromStep: number,
		to: Float32Array,
		toStart: number,
		toStep: number
	) => {
		const at = (i: number) =>
			from[fromStart + fromStep * Math.max(0, Math.min(sidePx - 1, i))] as number;
		for (let i = 0; i < sidePx; i++) {
			const [a, b, c, d, e] = [at(i - 2), at(i - 1), at(i), at(i + 1), at(i + 2)];
			to[toStart + 2 * i * toStep] = a * BEFORE[0] + b * BEFORE[1] + c * BEFORE[2] + d * BEFORE[3];
			to[toStart + (2 * i + 1) * toStep] =
				b * AFTER[0] + c * AFTER[1] + d * AFTER[2] + e * AFTER[3];
		}
	};
	const wide = new Float32Array(side * sidePx);
	for (let y = 0; y < sidePx; y++) between(light, y * sidePx, 1, wide, y * side, 1);
	const both = new Float32Array(side * side);
	for (let x = 0; x < side; x++) between(wide, x, side, both, x, side);
	return { light: both, sidePx: side, scale: scale / 2 };
}
