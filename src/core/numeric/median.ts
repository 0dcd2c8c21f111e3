import type { MeanInterval } from './interval';

/** The middle of values; between the two in the middle of an even number. */
export function median(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	const half = sorted.length >> 1;
	return sorted.length % 2 === 1
		? (sorted[half] as number)
		: ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
}

/** A two-sided 95 % leaves so much on each side. */
const ONE_SIDE = 0.025;

/**
 * The median and between which it lies in nineteen of twenty cases, by order alone: whatever the distribution, a value
 * is below the median as often as above. Endless for fewer than six. Source: Conover, "Practical Nonparametric
 * Statistics" (from memory).
 */
export function medianInterval(values: readonly number[]): MeanInterval {
	const sorted = values.toSorted((a, b) => a - b);
	const count = sorted.length;
	// how many may be cut off at each end: the binomial distribution of one half
	let [chance, sum, cut] = [0.5 ** count, 0, -1];
	for (let k = 0; k < count / 2; k++) {
		sum += chance;
		if (sum > ONE_SIDE) break;
		cut = k;
		chance *= (count - k) / (k + 1);
	}
	return {
		mean: median(values),
		low: cut < 0 ? -Infinity : (sorted[cut] as number),
		high: cut < 0 ? Infinity : (sorted[count - 1 - cut] as number),
		count
	};
}
