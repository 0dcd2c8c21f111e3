import type { Take } from '$core/study/candidate';
import type { Camera, Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import { oddsOf, oddsOfAll, type Odds, type Otherwise } from '$core/odds/odds';
import { standsForS } from '$core/study/light';
import { stopsBetween } from '$core/optics/fNumber';
import { study, type Study } from '$core/study/study';
import { techniqueOf } from '$core/study/technique';
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

/** A change in the way of working. */
export type HelpKind =
	| Camera['support']
	| 'faster-shutter'
	| 'single-focusing'
	| 'continuous-focusing'
	| 'one-more-stop';

/** A change in the way of working, and the share of keepers with it. */
export interface Help {
	readonly kind: HelpKind;
	readonly share: number;
}

export interface OddsDetails {
	readonly helps: readonly Help[];
	/** Share of keepers at each rung with other ways to hold the camera. */
	readonly supports: readonly {
		readonly support: Camera['support'];
		readonly shares: readonly number[];
	}[];
}

export type OddsQuestions = {
	/** Tells what is known after each round. */
	readonly table: { question: OddsQuestion; partial: OddsTable; answer: OddsTable };
	/** What would help, and the odds over the ladder by support. */
	readonly details: { question: OddsQuestion; partial: never; answer: OddsDetails };
};

/** The same everywhere, so that the same shot has the same odds. */
const SEED = 1;
/** Frames of each round: the first is there at once. */
const ROUNDS = [1000, 5000] as const;
/** As many as the last round has, so that what would help is compared with like. */
const DETAIL_FRAMES = ROUNDS[1];

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

	details({ shot, spreads }) {
		const studied = study(shot, chanceOf(spreads));
		const { taken } = studied;
		if (!taken) return { helps: [], supports: [] };
		return {
			helps: helpsFor(studied, taken, spreads),
			supports: bySupport(studied, spreads)
		};
	}
});

function helpsFor(studied: Study, taken: Take, spreads: Spreads): Help[] {
	const { shot, rungs } = studied;
	const share = (otherwise: Otherwise, take: Take | null = taken) =>
		take ? oddsOf(take, DETAIL_FRAMES, SEED, spreads, otherwise).share : 0;
	const shutterS = standsForS(taken);
	const other = techniqueOf(taken, null).mode === 'single' ? 'continuous' : 'single';
	const supports = (['braced', 'kneeling', 'monopod', 'tripod'] as const).filter(
		(support) => support !== shot.camera.support
	);
	const stopped = rungs.find(
		({ fNumber }) => Math.abs(stopsBetween(taken.fNumber, fNumber) - 1) < 0.1
	);
	return [
		...supports.map((support) => ({
			kind: support,
			share: share({ shutterS }, heldBy(studied, support).at(taken.fNumber))
		})),
		{ kind: 'faster-shutter', share: share({ shutterS: shutterS / 2 }) },
		{ kind: `${other}-focusing`, share: share({ mode: other }) },
		...(stopped ? [{ kind: 'one-more-stop' as const, share: share({}, stopped) }] : [])
	];
}

const heldBy = (studied: Study, support: Camera['support']): Study =>
	studied.another({ ...studied.shot, camera: { ...studied.shot.camera, support } });

function bySupport(studied: Study, spreads: Spreads): OddsDetails['supports'] {
	const supports = [...new Set([studied.shot.camera.support, 'braced', 'tripod'] as const)];
	return supports.map((support) => ({
		support,
		shares: oddsOfAll(heldBy(studied, support).rungs, DETAIL_FRAMES, SEED, spreads).map(
			({ share }) => share
		)
	}));
}
