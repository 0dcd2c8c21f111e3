import { oddsOf } from '../odds/odds';
import type { Candidate, Pair } from './candidates';
import { pickFrom } from './pick';
import type { Scene } from './scene';
import { intentsMet } from './things';

/** Frames and seed of the pick by odds: few enough for a plan to come at once, and always the same. */
const FRAMES = 400;
const SEED = 1;
/** A share of keepers that is good enough. */
const GOOD_SHARE = 0.5;

/**
 * The pick as the shot asks for it: the widest that holds everyone, or by odds.
 *
 * @param fNumbers widest first; one of them when the f-number is fixed
 */
export function choosePair(
	scene: Scene,
	candidates: readonly Candidate[],
	fNumbers: readonly number[]
): Pair | null {
	return scene.shot.choices.pickBy === 'odds' && fNumbers.length > 1
		? pickByOdds(scene, candidates, fNumbers)
		: pickFrom(scene, candidates, fNumbers);
}

/**
 * Among the rungs that lose no intent, the widest whose share of keepers is at least one half, else
 * the one with the best share.
 */
function pickByOdds(
	scene: Scene,
	candidates: readonly Candidate[],
	fNumbers: readonly number[]
): Pair | null {
	const rungs = fNumbers.flatMap((fNumber) => {
		const pair = pickFrom(scene, candidates, [fNumber]);
		return pair ? [{ pair, met: intentsMet(scene, pair.candidate.focus, fNumber) }] : [];
	});
	const most = Math.max(...rungs.map(({ met }) => met));
	let best: Pair | null = null;
	let bestShare = -1;
	for (const { pair, met } of rungs) {
		if (met < most) continue;
		const { share } = oddsOf(scene, pair, FRAMES, SEED, scene.spreads);
		if (share >= GOOD_SHARE) return pair;
		if (share > bestShare) [best, bestShare] = [pair, share];
	}
	return best;
}
