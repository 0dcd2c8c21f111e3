/**
 * The arithmetic mean; NaN of nothing.
 * @example mean([1, 2, 6]) // 3
 */
export function mean(values: readonly number[]): number {
	return values.reduce((sum, value) => sum + value, 0) / values.length;
}
