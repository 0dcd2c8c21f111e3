import { jinc } from '$core/numeric/bessel';
import { WAVELENGTH_MM } from '$core/optics/blur';
import type { LensSetting } from '../scene';

/** A square of weights that add up to 1, rows from below. */
export interface Kernel {
	readonly radius: number;
	readonly weights: Float32Array<ArrayBuffer>;
}

const MOST_RADIUS = 7;
/** Points across a pixel that its weight is averaged over. */
const SAMPLES_PER_PX = 5;

/**
 * What diffraction makes of a point of light: the Airy pattern (2 J1(x)/x)², x = pi r / (wavelength
 * N'), N' = N v/f, for green light, gathered in pixels. Source: Goodman, Introduction to Fourier
 * Optics (from memory). Reaches to the second dark ring.
 */
export function airyKernel({ focus, fNumber }: LensSetting, pxMm: number): Kernel {
	const working = (fNumber * focus.imageDistanceMm) / focus.focalMm;
	const unit = WAVELENGTH_MM * working;
	const radius = Math.min(MOST_RADIUS, Math.ceil((2.233 * unit) / pxMm));
	const side = 2 * radius + 1;
	const weights = new Float32Array(side * side);
	const at = (x: number, y: number) => airy((Math.PI * Math.hypot(x, y) * pxMm) / unit);
	for (let row = -radius; row <= radius; row++) {
		for (let column = -radius; column <= radius; column++) {
			let sum = 0;
			for (let i = 0; i < SAMPLES_PER_PX * SAMPLES_PER_PX; i++) {
				const dx = ((i % SAMPLES_PER_PX) + 0.5) / SAMPLES_PER_PX - 0.5;
				const dy = (Math.floor(i / SAMPLES_PER_PX) + 0.5) / SAMPLES_PER_PX - 0.5;
				sum += at(column + dx, row + dy);
			}
			weights[(row + radius) * side + column + radius] = sum;
		}
	}
	const whole = weights.reduce((sum, weight) => sum + weight, 0);
	return { radius, weights: weights.map((weight) => weight / whole) };
}

/** (2 J1(x)/x)²: 1 in the middle, dark at 3.8317, 7.0156 … */
export function airy(x: number): number {
	return jinc(x) ** 2;
}

/** Leaves everything as it is. */
export const NO_BLUR: Kernel = { radius: 0, weights: new Float32Array([1]) };
