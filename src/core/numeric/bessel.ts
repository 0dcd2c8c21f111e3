/** Up to here the ascending series keeps its precision; beyond it its terms cancel too much. */
const SERIES_TO = 12;
const SERIES_TERMS = 40;

/**
 * The first Bessel function of order 1, for x >= 0: by its ascending series (Abramowitz and Stegun,
 * 9.1.10) to 1e-11 up to 12, then by polynomials to 1e-7 (9.4.6, from memory).
 *
 * @example besselJ1(1) // 0.4400505857
 */
export function besselJ1(x: number): number {
	if (x <= SERIES_TO) {
		const q = -(x * x) / 4;
		let term = x / 2;
		let sum = term;
		for (let k = 1; k <= SERIES_TERMS; k++) {
			term *= q / (k * (k + 1));
			sum += term;
		}
		return sum;
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

/** Its first zero, where a disc leaves nothing of a pattern. Abramowitz and Stegun, table 9.5. */
export const FIRST_ZERO_OF_J1 = 3.8317;

/** 2 J1(x)/x: 1 at 0. What a disc leaves of a pattern, and the amplitude of the Airy pattern. */
export const jinc = (x: number): number => (x < 1e-6 ? 1 : (2 * besselJ1(x)) / x);

/** c0 + c1 t + c2 t² … */
const polynomial = (t: number, c: readonly number[]): number =>
	c.reduceRight((sum, next) => sum * t + next, 0);
