/** A rate that was seen, or that it is less than could be seen. */
export interface Rate {
	readonly rate: number;
	readonly isLess: boolean;
}

/** Fewer observations decide nothing. */
const LEAST_SEEN = 3;

/**
 * The scale of Rayleigh's distribution that makes the rates likeliest, those that are only known to be less included
 * (left-censored maximum likelihood); null where too few were seen. By bisection of the slope.
 */
export function rayleighScale(rates: readonly Rate[]): number | null {
	const seen = rates.filter(({ isLess }) => !isLess);
	if (seen.length < LEAST_SEEN) return null;
	const squares = seen.reduce((sum, { rate }) => sum + rate * rate, 0);
	// the derivative of the log likelihood by the square of the scale, times its square
	const slope = (square: number) =>
		squares / 2 -
		seen.length * square -
		rates
			.filter(({ isLess }) => isLess)
			.reduce((sum, { rate }) => {
				const half = (rate * rate) / 2;
				return sum + half / Math.expm1(half / square);
			}, 0);
	let [low, high] = [0, squares / seen.length];
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (slope(middle) > 0) low = middle;
		else high = middle;
	}
	return Math.sqrt(high);
}
