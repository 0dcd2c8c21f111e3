import type { State } from '../format/plan';
import { RULES } from '../tables/rules';

/** The state of a ratio (defocus over what is allowed). */
export function stateOf(ratio: number): State {
	if (ratio <= 1) return 'sharp';
	return ratio <= RULES.marginalRatio ? 'marginal' : 'soft';
}
