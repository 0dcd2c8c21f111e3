/** How a sharp patch of a picture became a blurred one: the disc and the streak that explain it best. */

/** Light of a square, rows from the top. */
export interface Patch {
	readonly light: Float64Array;
	readonly side: number;
}

/** Weights of a disc drawn out along a line, in pixels around the middle. */
export function kernelOf(discPx: number, streakPx: number, angle: number): Map<string, number> {
	const weights = new Map<string, number>();
	const steps = 14;
	for (let t = 0; t < steps; t++) {
		const along = ((t + 0.5) / steps - 0.5) * streakPx;
		for (let i = 0; i < steps; i++) {
			// rings of equal area
			const radius = (discPx / 2) * Math.sqrt((i + 0.5) / steps);
			for (let k = 0; k < steps; k++) {
				const turn = (2 * Math.PI * (k + i * 0.618)) / steps;
				const x = radius * Math.cos(turn) + along * Math.cos(angle);
				const y = radius * Math.sin(turn) - along * Math.sin(angle);
				const [left, top] = [Math.floor(x), Math.floor(y)];
				// shared out among the four pixels around
				for (const [dx, dy] of [
					[0, 0],
					[1, 0],
					[0, 1],
					[1, 1]
				] as const) {
					const share = (1 - Math.abs(x - left - dx)) * (1 - Math.abs(y - top - dy));
					const key = `${left + dx} ${top + dy}`;
					weights.set(key, (weights.get(key) ?? 0) + share / steps ** 3);
				}
			}
		}
	}
	return weights;
}

/** How far a sharp patch, blurred, is from another: mean of squares, away from the edges. */
export function leftOver(
	sharp: Patch,
	blurred: Patch,
	kernel: Map<string, number>,
	edge: number
): number {
	const { side } = sharp;
	const taps = [...kernel].map(([key, weight]) => {
		const [dx, dy] = key.split(' ').map(Number) as [number, number];
		return [dy * side + dx, weight] as const;
	});
	let sum = 0;
	for (let y = edge; y < side - edge; y++) {
		for (let x = edge; x < side - edge; x++) {
			const at = y * side + x;
			let found = 0;
			for (const [off, weight] of taps) found += weight * (sharp.light[at + off] as number);
			sum += (found - (blurred.light[at] as number)) ** 2;
		}
	}
	return sum;
}

/** Diameter of the disc with the spread of a kernel across a direction: 4 standard deviations. */
export function acrossOf(kernel: Map<string, number>, angle: number): number {
	let sum = 0;
	for (const [key, weight] of kernel) {
		const [dx, dy] = key.split(' ').map(Number) as [number, number];
		sum += weight * (dx * Math.sin(angle) + dy * Math.cos(angle)) ** 2;
	}
	return 4 * Math.sqrt(sum);
}

/** Where something is least, between two values, by golden sections. */
export function least(of: (value: number) => number, low: number, high: number): number {
	const golden = (Math.sqrt(5) - 1) / 2;
	let [a, b] = [low, high];
	for (let i = 0; i < 14; i++) {
		const [c, d] = [b - golden * (b - a), a + golden * (b - a)];
		if (of(c) < of(d)) b = d;
		else a = c;
	}
	return (a + b) / 2;
}
