import type { Patch } from './patch';

/**
 * Spread of the noise of a patch. Source: Immerkær, "Fast noise variance estimation", 1996, with the median in the
 * place of the mean, so that edges count for little.
 */
export function noiseSigma({ light, sidePx }: Patch): number {
	const at = (x: number, y: number) => light[y * sidePx + x] as number;
	const answers = new Float64Array(Math.max(0, sidePx - 2) ** 2);
	let count = 0;
	for (let y = 1; y < sidePx - 1; y++) {
		for (let x = 1; x < sidePx - 1; x++) {
			const corners = at(x - 1, y - 1) + at(x + 1, y - 1) + at(x - 1, y + 1) + at(x + 1, y + 1);
			const sides = at(x, y - 1) + at(x - 1, y) + at(x + 1, y) + at(x, y + 1);
			answers[count++] = Math.abs(corners - 2 * sides + 4 * at(x, y));
		}
	}
	answers.sort();
	const median = answers[answers.length >> 1] ?? 0;
	// the mask has the norm 6; half of all normal values lie within 0.6745 spreads
	return median / 6 / 0.6745;
}
