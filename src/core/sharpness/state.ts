import type { State } from '../format/plan';

/** A ratio up to here is a stop short of sharp. */
const MARGINAL_RATIO = Math.SQRT2;

/** The state of a ratio (defocus over what is allowed). */
export function stateOf(ratio: number): State {
	if (ratio <= 1) return 'sharp';
	return ratio <= MARGINAL_RATIO ? 'marginal' : 'soft';
}
