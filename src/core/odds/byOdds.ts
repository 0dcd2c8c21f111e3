import { widestThatHolds, type PickRule } from '../study/pick';
import { intentsOf, type Take } from '../study/take';
import type { Spreads } from '../tables/spreads';
import { oddsOf } from './odds';

/** Frames and seed of the pick by odds: few enough for a plan to come at once, and always the same. */
const FRAMES = 400;
const SEED = 1;
/** A share of keepers that is good enough. */
const GOOD_SHARE = 0.5;

/**
 * The pick by odds: among the rungs that lose no intent, the widest whose share of keepers is at
 * least one half, else the one with the best share.
 *
 * @param spreads of one's own hands and focusing
 */
export const byOdds =
	(spreads: Spreads): PickRule =>
	(scene, candidates, fNumbers) => {
		const rungs = fNumbers.flatMap((fNumber) => {
			const take = widestThatHolds(scene, candidates, [fNumber]);
			return take ? [{ take, met: intentsOf(take).met }] : [];
		});
		const most = Math.max(...rungs.map(({ met }) => met));
		let best: { readonly take: Take; readonly share: number } | null = null;
		for (const { take, met } of rungs) {
			if (met < most) continue;
			const { share } = oddsOf(take, FRAMES, SEED, spreads);
			if (share >= GOOD_SHARE) return take;
			if (!best || share > best.share) best = { take, share };
		}
		return best?.take ?? null;
	};
