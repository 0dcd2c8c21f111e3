import { nearestRung } from '../optics/fNumber';
import type { ReviewedSet } from './reviewSet';

/** A rung of the ladder and what was to be expected there. */
interface Expected {
	readonly fNumberExact: number;
	readonly odds: { readonly share: number };
}

/**
 * The share of good frames that was to be expected as a set was really taken: at the rung nearest to the f-number in
 * the middle of its frames. Null where no file says its f-number.
 */
export function expectedShare(rungs: readonly Expected[], { frames }: ReviewedSet): number | null {
	const taken = frames.flatMap(({ frame }) => frame.facts.fNumber ?? []).sort((a, b) => a - b);
	const middle = taken[taken.length >> 1];
	if (middle === undefined || rungs.length === 0) return null;
	const ladder = rungs.map(({ fNumberExact }) => fNumberExact);
	return rungs[nearestRung(ladder, middle)]?.odds.share ?? null;
}
