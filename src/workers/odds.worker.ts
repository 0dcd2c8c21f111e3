import type { Camera, Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import { oddsOfAll, type Odds } from '$core/odds/odds';
import { study, type Study } from '$core/study/study';
import type { Spreads } from '$core/tables/spreads';
import { serve } from './protocol';

/** Counts frames beside the page: roughly at once, then finer and finer while nothing changes. */

export interface OddsQuestion {
	readonly shot: Shot;
	readonly spreads: Spreads;
}

/** What is known so far. */
export interface OddsTable {
	/** The odds at each rung of the ladder, widest first. */
	readonly rungs: readonly { readonly fNumberExact: number; readonly odds: Odds }[];
	/** How much of the counting is done, 0 to 1. */
	readonly progress: number;
}

/** Share of keepers at each rung with a way to hold the camera. */
export interface SupportOdds {
	readonly support: Camera['support'];
	readonly shares: readonly number[];
}

export type OddsQuestions = {
	/** Tells what is known after each round. */
	readonly table: { question: OddsQuestion; partial: OddsTable; answer: OddsTable };
	/** The odds over the ladder by support. */
	readonly supports: { question: OddsQuestion; partial: never; answer: SupportOdds[] };
};

/** The same everywhere, so that the same shot has the same odds. */
const SEED = 1;
/** Frames of each round: the first is there at once. */
const ROUNDS = [1000, 5000] as const;
serve<OddsQuestions>({
	async table({ shot, spreads }, { tell, breathe }) {
		const last = ROUNDS.at(-1) as number;
		const { rungs } = study(shot, chanceOf(spreads));
		const known = (frames: number): OddsTable => {
			const all = oddsOfAll(rungs, frames, SEED, spreads);
			return {
				rungs: rungs.map(({ fNumber }, i) => ({ fNumberExact: fNumber, odds: all[i] as Odds })),
				progress: frames / last
			};
		};
		let table = known(ROUNDS[0]);
		for (const frames of ROUNDS.slice(1)) {
			tell(table);
			await breathe();
			table = known(frames);
		}
		return table;
	},

	supports: ({ shot, spreads }) => bySupport(study(shot, chanceOf(spreads)), spreads)
});

const heldBy = (studied: Study, support: Camera['support']): Study =>
	studied.another({ ...studied.shot, camera: { ...studied.shot.camera, support } });

function bySupport(studied: Study, spreads: Spreads): SupportOdds[] {
	const supports = [...new Set([studied.shot.camera.support, 'braced', 'tripod'] as const)];
	return supports.map((support) => ({
		support,
		shares: oddsOfAll(heldBy(studied, support).rungs, ROUNDS[1], SEED, spreads).map(
			({ share }) => share
		)
	}));
}
