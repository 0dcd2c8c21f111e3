import type { Shot } from '$core/format/shot';
import type { Odds } from '$core/odds/odds';
import type { Spreads } from '$core/odds/spreads';
import { countOdds, type OddsTable } from '../../../workers/odds';

interface Question {
	readonly shot: Shot;
	readonly spreads: Spreads;
}

/** The odds of the shot that is open, as far as they are known; never those of another. */
export class OddsView {
	#known = $state.raw<{ readonly question: Question; readonly table: OddsTable } | null>(null);

	/** Counts anew; a count that goes on for an older question stops. */
	ask(question: Question): void {
		void countOdds(question, (table) => (this.#known = { question, table }));
	}

	/** What is known of this very question; null while nothing is. */
	to(question: Question): OddsTable | null {
		return this.#known?.question === question ? this.#known.table : null;
	}
}

/** The odds at a rung. */
export function oddsAt(table: OddsTable | null, fNumberExact: number | null): Odds | null {
	return table?.rungs.find((one) => one.fNumberExact === fNumberExact)?.odds ?? null;
}
