import { expose } from 'comlink';
import type { Camera, Shot } from '$core/format/shot';
import type { Handling } from '$core/odds/chances';
import { OddsRun, oddsOf, type Odds } from '$core/odds/odds';
import type { Spreads } from '$core/odds/spreads';
import { stopsBetween } from '$core/optics/fNumber';
import type { Pair } from '$core/solve/candidates';
import { solve, type Solution } from '$core/solve/solve';

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

/** A change in the way of working, and what it does to the odds. */
export interface Help {
	readonly words: string;
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

/** The same everywhere, so that the same shot has the same odds. */
const SEED = 1;
/** Frames of each round: the first is there at once. */
const ROUNDS = [150, 1000, 5000] as const;
const DETAIL_FRAMES = 2000;

let turn = 0;
/** Work between two looks for another question, ms: a timer costs some of its own. */
const SLICE_MS = 20;
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

const service = {
	/** Tells what is known after each round; stops when another question comes. */
	async odds({ shot, spreads }: OddsQuestion, tell: (table: OddsTable) => void): Promise<void> {
		const mine = ++turn;
		const { scene, rungs } = solve(shot, spreads);
		const last = ROUNDS.at(-1) as number;
		const runs = rungs.map((pair) => new OddsRun(scene, pair, SEED, last, spreads));
		let rested = performance.now();
		for (const frames of ROUNDS) {
			for (const run of runs) {
				run.frames.draw(frames - run.frames.count);
				if (performance.now() - rested < SLICE_MS) continue;
				await breathe();
				if (mine !== turn) return;
				rested = performance.now();
			}
			tell({
				rungs: runs.map((run, i) => ({
					fNumberExact: (rungs[i] as Pair).fNumber,
					odds: run.odds()
				})),
				progress: frames / last
			});
		}
	},

	/** What would help, and the odds over the ladder by support. */
	details({ shot, spreads }: OddsQuestion): OddsDetails {
		const solution = solve(shot, spreads);
		const { pair } = solution;
		if (!pair) return { helps: [], supports: [] };
		return { helps: helpsFor(solution, pair, spreads), supports: bySupport(solution, spreads) };
	}
};

function helpsFor(solution: Solution, pair: Pair, spreads: Spreads): Help[] {
	const { scene, rungs } = solution;
	const { camera } = scene.shot;
	const share = (handling: Handling, one = pair) =>
		oddsOf(scene, one, DETAIL_FRAMES, SEED, spreads, handling).share;
	const shutterS = new OddsRun(scene, pair, SEED, 0, spreads).chances.shutterS;
	const SUPPORTS = [
		['braced', 'lean on something'],
		['kneeling', 'kneel'],
		['monopod', 'take a monopod'],
		['tripod', 'take a tripod']
	] as const;
	const stopped = rungs.find(
		({ fNumber }) => Math.abs(stopsBetween(pair.fNumber, fNumber) - 1) < 0.1
	);
	return [
		...SUPPORTS.filter(([support]) => support !== camera.support).map(([support, words]) => ({
			words,
			share: share({ support, shutterS })
		})),
		{ words: 'a shutter twice as fast', share: share({ shutterS: shutterS / 2 }) },
		{ words: 'single focusing', share: share({ mode: 'single' }) },
		{ words: 'continuous focusing', share: share({ mode: 'continuous' }) },
		...(stopped ? [{ words: 'one more stop', share: share({}, stopped) }] : [])
	];
}

function bySupport({ scene, rungs }: Solution, spreads: Spreads): OddsDetails['supports'] {
	const own = scene.shot.camera.support;
	const supports = [...new Set([own, 'braced', 'tripod'] as const)];
	return supports.map((support) => ({
		support,
		shares: rungs.map(
			(pair) => oddsOf(scene, pair, DETAIL_FRAMES / 4, SEED, spreads, { support }).share
		)
	}));
}

export type OddsService = typeof service;
expose(service);
