import { Random } from '$core/numeric/random';
import type { Patch } from '$core/measure/patch';
import { smoothed } from '$core/measure/smooth';

/** Squares of a picture to be measured. */

export const SIDE_PX = 96;

/** Something with all finenesses, as faces have. */
export function texture(seed: number): Patch {
	const random = new Random(seed);
	const light = new Float32Array(SIDE_PX * SIDE_PX);
	for (const [sigma, weight] of [
		[0.6, 0.5],
		[1.5, 1],
		[4, 3]
	] as const) {
		const layer = smoothed(
			Float32Array.from({ length: SIDE_PX * SIDE_PX }, () => random.normal()),
			SIDE_PX,
			sigma
		);
		layer.forEach((value, i) => (light[i] = (light[i] ?? 0) + 0.1 * weight * value));
	}
	return { sidePx: SIDE_PX, scale: 1, light: light.map((value) => 0.5 + value) };
}

/** Light of an eye around its middle, px: pupil, iris, white, the lashes above it, skin. */
function eyeAt(x: number, y: number): number {
	const [away, lids] = [Math.hypot(x, y), Math.hypot(x / 8, y / 3.5)];
	if (lids < 1) return away < 1.2 ? 0.03 : away < 3 ? 0.2 : 0.8;
	return lids < 1.15 && y < 0 ? 0.08 : 0.45;
}

/** A sharp eye whose iris is six px wide, each px counted in points of a quarter of one. */
export function smallEye(): Patch {
	const times = 4;
	const middle = (SIDE_PX - 1) / 2;
	const fine = Float32Array.from({ length: SIDE_PX * SIDE_PX }, (_, i) => {
		const [x, y] = [(i % SIDE_PX) - middle, Math.floor(i / SIDE_PX) - middle];
		return eyeAt(x / times - 0.3, y / times - 0.2);
	});
	const lensed = smoothed(fine, SIDE_PX, 0.3 * times);
	const sidePx = SIDE_PX / times;
	const light = Float32Array.from({ length: sidePx * sidePx }, (_, i) => {
		let sum = 0;
		for (let k = 0; k < times * times; k++) {
			const x = (i % sidePx) * times + (k % times);
			const y = Math.floor(i / sidePx) * times + Math.floor(k / times);
			sum += lensed[y * SIDE_PX + x] as number;
		}
		return sum / times ** 2;
	});
	return { sidePx, scale: 1, light };
}
