/** The value at x on straight lines from point to point, rising in x; beyond the ends that of the end. */
export function piecewise(
	points: readonly (readonly [x: number, value: number])[],
	x: number
): number {
	const after = points.findIndex(([at]) => at >= x);
	// before the first and, with -1, behind the last
	const [high, to] = points.at(after) ?? [NaN, NaN];
	if (after <= 0) return to;
	const [low, from] = points[after - 1] as readonly [number, number];
	return from + ((to - from) * (x - low)) / (high - low);
}
