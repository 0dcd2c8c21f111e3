import type { Camera, Shot } from '$core/format/shot';
import { byOdds } from '$core/odds/byOdds';
import type { Handling } from '$core/odds/chances';
import { OddsRun, oddsOf, type Odds } from '$core/odds/odds';
import { stopsBetween } from '$core/optics/fNumber';
import { study, type Study } from '$core/study/study';
import type { Take } from '$core/study/take';
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
const ROUNDS = [150, 1000, 5000] as const;
const DETAIL_FRAMES = 2000;

serve<OddsQuestions>({
	async table({ shot, spreads }, { tell, breathe }) {
		const last = ROUNDS.at(-1) as number;
		const { rungs } = study(shot, byOdds(spreads));
		const runs = rungs.map((take) => ({ take, run: new OddsRun(take, SEED, last, spreads) }));
		const known = (frames: number): OddsTable => ({
			rungs: runs.map(({ take, run }) => ({ fNumberExact: take.fNumber, odds: run.odds() })),
			progress: frames / last
		});
		for (const frames of ROUNDS) {
			for (const { run } of runs) {
				run.frames.draw(frames - run.frames.count);
				await breathe();
			}
			if (frames < last) tell(known(frames));
		}
		return known(last);
	},

	details({ shot, spreads }) {
		const studied = study(shot, byOdds(spreads));
		const { taken } = studied;
		if (!taken) return { helps: [], supports: [] };
		return {
			helps: helpsFor(studied, taken, spreads),
			supports: bySupport(studied, spreads)
		};
	}
});

function helpsFor({ shot, rungs }: Study, taken: Take, spreads: Spreads): Help[] {
	const share = (handling: Handling, take = taken) =>
		oddsOf(take, DETAIL_FRAMES, SEED, spreads, handling).share;
	const { shutterS } = new OddsRun(taken, SEED, 0, spreads).chances;
	const supports = (['braced', 'kneeling', 'monopod', 'tripod'] as const).filter(
		(support) => support !== shot.camera.support
	);
	const stopped = rungs.find(
		({ fNumber }) => Math.abs(stopsBetween(taken.fNumber, fNumber) - 1) < 0.1
	);
	return [
		...supports.map((support) => ({ kind: support, share: share({ support, shutterS }) })),
		{ kind: 'faster-shutter', share: share({ shutterS: shutterS / 2 }) },
		{ kind: 'single-focusing', share: share({ mode: 'single' }) },
		{ kind: 'continuous-focusing', share: share({ mode: 'continuous' }) },
		...(stopped ? [{ kind: 'one-more-stop' as const, share: share({}, stopped) }] : [])
	];
}

function bySupport({ shot, rungs }: Study, spreads: Spreads): OddsDetails['supports'] {
	const supports = [...new Set([shot.camera.support, 'braced', 'tripod'] as const)];
	return supports.map((support) => ({
		support,
		shares: rungs.map((take) => oddsOf(take, DETAIL_FRAMES / 4, SEED, spreads, { support }).share)
	}));
}
