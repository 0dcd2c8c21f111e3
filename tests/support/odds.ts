import { oddsOf, type Otherwise } from '$core/odds/odds';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import { takeOf } from './solved';
import { shotOf, type Sketch } from './shots';

/** Frames of each count in the tests. */
export const FRAMES = 20_000;

/** The odds of a sketch's plan. */
export function odds(
	sketch: Sketch,
	spreads: Spreads = ASSUMED,
	otherwise: Otherwise = {},
	seed = 1
) {
	const take = takeOf(shotOf(sketch));
	return { ...oddsOf(take, FRAMES, seed, spreads, otherwise), take };
}
