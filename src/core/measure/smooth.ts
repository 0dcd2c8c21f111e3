/** A square smoothed by a Gaussian of so many pixels; its edge goes on beyond it. */
export function smoothed(light: ArrayLike<number>, sidePx: number, sigmaPx: number): Float32Array {
	const reach = Math.max(1, Math.ceil(3 * sigmaPx));
	const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
		Math.exp(-((i - reach) ** 2) / (2 * sigmaPx * sigmaPx))
	);
	const sum = weights.reduce((a, b) => a + b, 0);
	// one line at a time, with what goes on beyond its ends
	const line = new Float64Array(sidePx + 2 * reach);
	const pass = (from: ArrayLike<number>, along: number, across: number) => {
		const to = new Float32Array(sidePx * sidePx);
		for (let start = 0; start < sidePx * across; start += across) {
			for (let i = 0; i < sidePx; i++) line[i + reach] = from[start + i * along] as number;
			line.fill(line[reach] as number, 0, reach);
			line.fill(line[sidePx - 1 + reach] as number, sidePx + reach);
			for (let i = 0; i < sidePx; i++) {
				let value = 0;
				for (let k = 0; k <= 2 * reach; k++) {
					value += (weights[k] as number) * (line[i + k] as number);
				}
				to[start + i * along] = value / sum;
			}
		}
		return to;
	};
	return pass(pass(light, 1, sidePx), sidePx, 1);
}
