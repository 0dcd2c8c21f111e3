import type { Random } from './random';

/**
 * Values spread evenly over a distribution: with n of them, one from the middle of each n-th part of
 * it. Far fewer then settle a mean or a quantile than drawn by pure chance.
 */

/** Evenly from 0 to 1, as n values upwards. */
export const evenly = (n: number): Float64Array =>
	Float64Array.from({ length: n }, (_, i) => (i + 0.5) / n);

/** The same values in an order of their own. Source: Durstenfeld's shuffle, 1964. */
export function shuffled(values: Float64Array, random: Random): Float64Array {
	const all = values.slice();
	for (let i = all.length - 1; i > 0; i--) {
		const j = Math.floor(random.uniform() * (i + 1));
		const kept = all[i] as number;
		all[i] = all[j] as number;
		all[j] = kept;
	}
	return all;
}

const A = [
	-3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2,
	-3.066479806614716e1, 2.506628277459239
] as const;
const B = [
	-5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1,
	-1.328068155288572e1
] as const;
const C = [
	-7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734,
	4.374664141464968, 2.938163982698783
] as const;
const D = [
	7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416
] as const;
/** Below this, and above what is left to 1, the tails have a formula of their own. */
const TAIL_PROBABILITY = 0.02425;

/** Horner's rule, highest power first. */
const polynomial = (coefficients: readonly number[], x: number): number =>
	coefficients.reduce((sum, one) => sum * x + one, 0);

/**
 * Below which value of the standard normal distribution a share of it lies. Relative error under
 * 1.2e-9. Source: Acklam, "An algorithm for computing the inverse normal cumulative distribution
 * function", 2003 (from memory).
 *
 * @example normalQuantile(0.975) // 1.96
 */
export function normalQuantile(share: number): number {
	if (share > 0.5) return -normalQuantile(1 - share);
	if (share < TAIL_PROBABILITY) {
		const q = Math.sqrt(-2 * Math.log(share));
		return polynomial(C, q) / polynomial([...D, 1], q);
	}
	const q = share - 0.5;
	const r = q * q;
	return (polynomial(A, r) * q) / polynomial([...B, 1], r);
}

/** The same for Rayleigh's distribution with scale 1. */
export const rayleighQuantile = (share: number): number => Math.sqrt(-2 * Math.log(1 - share));
