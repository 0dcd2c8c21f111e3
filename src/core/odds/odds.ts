import type { Landmark } from '../tables/landmarks';
import type { Take } from '../study/take';
import type { Spreads } from '../tables/spreads';
import { framesFor95, wilson, type Interval } from './certainty';
import { chancesOf, type Chances, type Handling } from './chances';
import { CAUSES, type Cause } from '../format/odds';
import { Frames, type Accidents } from './frames';

/** The odds of a plan: how many frames are keepers, and what spoils the others. */

export interface Share extends Interval {
	readonly share: number;
}

export interface Odds extends Share {
	readonly frames: number;
	/** Frames to take to be 95% sure of one keeper; null when there is none. */
	readonly toTake: number | null;
	/** For each person: how often sharp with open eyes. */
	readonly people: readonly (Share & { readonly personId: string })[];
	/** Share of all frames that each cause spoilt, the most frequent first. */
	readonly causes: readonly { readonly cause: Cause; readonly share: number }[];
	/** The target that fails most often; null when none ever does. */
	readonly hardest: {
		readonly personId: string | null;
		readonly thingId: string | null;
		readonly landmark: Landmark | 'thing';
		/** How often it fails, a share of the frames. */
		readonly missed: number;
	} | null;
}

const shareOf = (hits: number, of: number): Share => ({
	share: of === 0 ? 0 : hits / of,
	...wilson(hits, of)
});

/** A run of frames of a take, to be drawn bit by bit. */
export class OddsRun {
	readonly #take: Take;
	readonly chances: Chances;
	readonly frames: Frames;

	constructor(
		take: Take,
		seed: number,
		capacity: number,
		spreads: Spreads,
		handling: Handling = {}
	) {
		this.#take = take;
		this.chances = chancesOf(take, spreads, handling);
		this.frames = new Frames(this.chances, seed, capacity);
	}

	/** What the frames drawn so far say. */
	odds(): Odds {
		const { frames, chances } = this;
		const { count } = frames;
		const all = shareOf(frames.keepers, count);
		const causes = CAUSES.map((cause, i) => ({
			cause,
			share: count === 0 ? 0 : (frames.spoilt[i] as number) / count
		}));
		const misses = [...frames.targetMisses];
		const most = misses.indexOf(Math.max(...misses));
		const target = this.#take.scene.targets[most];
		return {
			...all,
			frames: count,
			toTake: framesFor95(all.share),
			people: chances.personIds.map((personId, i) => ({
				personId,
				...shareOf(frames.personHits[i] as number, count)
			})),
			causes: causes.filter(({ share }) => share > 0).sort((a, b) => b.share - a.share),
			hardest:
				target && (misses[most] as number) > 0
					? {
							personId: target.personId,
							thingId: target.thingId,
							landmark: target.landmark,
							missed: (misses[most] as number) / count
						}
					: null
		};
	}
}

/**
 * The odds of a take in one go.
 *
 * @param seed the same one gives the same numbers everywhere
 */
export function oddsOf(
	take: Take,
	frames: number,
	seed: number,
	spreads: Spreads,
	handling: Handling = {}
): Odds {
	const run = new OddsRun(take, seed, frames, spreads, handling);
	run.frames.draw(frames);
	return run.odds();
}

/** How bad the frame is that the likely bad one stands for: nine in ten are better. */
const WORST_TENTH = 0.9;

/**
 * The very accidents of the frame at the worst tenth.
 *
 * @returns copies: the frames are drawn once more up to it
 */
export function likelyBadFrame(
	take: Take,
	frames: number,
	seed: number,
	spreads: Spreads
): { readonly accidents: Accidents; readonly personIds: readonly string[] } | null {
	const run = new OddsRun(take, seed, frames, spreads);
	run.frames.draw(frames);
	const order = Array.from(run.frames.worst.keys()).sort(
		(a, b) => (run.frames.worst[a] as number) - (run.frames.worst[b] as number)
	);
	const index = order[Math.min(frames - 1, Math.floor(WORST_TENTH * frames))];
	if (index === undefined) return null;
	const again = new OddsRun(take, seed, frames, spreads);
	again.frames.draw(index + 1);
	return { accidents: again.frames.accidents, personIds: again.chances.personIds };
}
