import type { Handling } from '$core/odds/chances';
import { oddsOf } from '$core/odds/odds';
import { ASSUMED, type Spreads } from '$core/odds/spreads';
import { solve } from '$core/solve/solve';
import { shotOf, type Sketch } from './shots';

/** Frames of each count in the tests. */
export const FRAMES = 20_000;

/** The odds of a sketch's plan. */
export function odds(
	sketch: Sketch,
	spreads: Spreads = ASSUMED,
	handling: Handling = {},
	seed = 1
) {
	const { scene, pair } = solve(shotOf(sketch));
	if (!pair) throw new Error('nothing to focus on');
	return { ...oddsOf(scene, pair, FRAMES, seed, spreads, handling), scene, pair };
}
