/** A square smoothed by a Gaussian of so many pixels; its edge goes on beyond it. */
export function smoothed(light: ArrayLike<number>, sidePx: number, sigmaPx: number): Float32Array {
	const reach = Math.max(1, Math.ceil(3 * sigmaPx));
	const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
		Math.exp(-((i - reach) ** 2) / (2 * sigmaPx * sigmaPx))
	);
	const sum = weights.reduce((a, b) => a + b, 0);
	const pass = (from: ArrayLike<number>, along: number, across: number) => {
		const to = new Float32Array(sidePx * sidePx);
		for (let line = 0; line < sidePx; line++) {
			for (let i = 0; i < sidePx; i++) {
				let value = 0;
				for (let k = -reach; k <= reach; k++) {
					const at = Math.max(0, Math.min(sidePx - 1, i + k));
					value += (weights[k + reach] as number) * (from[line * across + at * along] as number);
				}
				to[line * across + i * along] = value / sum;
			}
		}
		return to;
	};
	return pass(pass(light, 1, sidePx), sidePx, 1);
}
