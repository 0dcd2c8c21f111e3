import type { Chance, Take } from '../study/candidate';
import { effectiveExposureS } from '../study/light';
import type { Spreads } from '../tables/spreads';
import { drawsOf } from './draws';
import { FrameSets } from './frameSets';

/** Frames and seed of what a plan decides by: enough to be steady, few enough for every drag. */
export const DECIDING_FRAMES = 1000;
export const SEED = 1;

/** What chance does to takes, with one's own hands and focusing. */
export function chanceOf(spreads: Spreads): Chance {
	const sets = new FrameSets(spreads, () => drawsOf(SEED, DECIDING_FRAMES));
	/** Asked of a rung by the pick, the ladder and the verdict. */
	const sharpShares = new WeakMap<Take, number>();
	return {
		shutterLimits: (take) => sets.of(take).shutterLimits,
		sharpShare(take) {
			const share =
				sharpShares.get(take) ?? sets.of(take).sharpShare(take.fNumber, effectiveExposureS(take));
			sharpShares.set(take, share);
			return share;
		},
		keeperShare: (take) => sets.of(take).keeperShare(take.fNumber, effectiveExposureS(take))
	};
}
