import { WAVELENGTH_MM } from '$core/optics/blur';
import type { LensSetting } from '../scene';

/** A square of weights that add up to 1, rows from below. */
export interface Kernel {
	readonly radius: number;
	readonly weights: Float32Array<ArrayBuffer>;
}

const MOST_RADIUS = 7;
/** Points across a pixel that its weight is averaged over. */
const PARTS = 5;

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
			for (let i = 0; i < PARTS * PARTS; i++) {
				const dx = ((i % PARTS) + 0.5) / PARTS - 0.5;
				const dy = (Math.floor(i / PARTS) + 0.5) / PARTS - 0.5;
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
	return x < 1e-4 ? 1 : ((2 * besselJ1(x)) / x) ** 2;
}

/**
 * J1(x) for x >= 0 by polynomials. Source: Abramowitz and Stegun, 9.4.4 and 9.4.6 (from memory).
 * Precision: 1e-7.
 */
export function besselJ1(x: number): number {
	if (x <= 3) {
		const t = (x / 3) ** 2;
		return (
			x *
			polynomial(
				t,
				[0.5, -0.56249985, 0.21093573, -0.03954289, 0.00443319, -0.00031761, 0.00001109]
			)
		);
	}
	const t = 3 / x;
	const size = polynomial(
		t,
		[0.79788456, 0.00000156, 0.01659667, 0.00017105, -0.00249511, 0.00113653, -0.00020033]
	);
	const angle =
		x +
		polynomial(
			t,
			[-2.35619449, 0.12499612, 0.0000565, -0.00637879, 0.00074348, 0.00079824, -0.00029166]
		);
	return (size * Math.cos(angle)) / Math.sqrt(x);
}

/** c0 + c1 t + c2 t² … */
const polynomial = (t: number, c: readonly number[]): number =>
	c.reduceRight((sum, next) => sum * t + next, 0);

/** Leaves everything as it is. */
export const NO_BLUR: Kernel = { radius: 0, weights: new Float32Array([1]) };
