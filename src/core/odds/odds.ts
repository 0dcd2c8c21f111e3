import type { Take } from '../study/candidate';
import { CAUSES, type Cause } from '../format/odds';
import { defocusMm } from '../optics/blur';
import { fieldCurvatureFactor, vergenceOfImage } from '../optics/focus';
import { vergence } from '../optics/vergence';
import { effectiveExposureS } from '../study/light';
import type { Handling } from '../study/technique';
import type { Landmark } from '../tables/landmarks';
import type { Spreads } from '../tables/spreads';
import type { Accidents } from './accidents';
import { framesFor95, wilson, type ShareInterval } from './certainty';
import { imageOf } from './conditions';
import { drawsOf } from './draws';
import type { FrameSet } from './frameSet';
import { FrameSets } from './frameSets';

/** The odds of a plan: how many frames are keepers, and what spoils the others. */

export interface Share extends ShareInterval {
	readonly share: number;
}

export interface Odds extends Share {
	readonly frames: number;
	/** Share of the frames that are sharp, blinks left aside. */
	readonly sharpShare: number;
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

/** What is done otherwise than the plan has it. */
export interface Otherwise {
	readonly mode?: Handling['mode'];
	readonly shutterS?: number;
}

const shareOf = (hits: number, of: number): Share => ({
	share: of === 0 ? 0 : hits / of,
	...wilson(hits, of)
});

/**
 * The odds of a take.
 *
 * @param seed the same one gives the same numbers everywhere
 */
export function oddsOf(
	take: Take,
	frames: number,
	seed: number,
	spreads: Spreads,
	{ mode, shutterS = effectiveExposureS(take) }: Otherwise = {}
): Odds {
	const sets = new FrameSets(spreads, () => drawsOf(seed, frames));
	return countedOf(take, sets.of(take, mode), shutterS);
}

/** The odds of several takes of one study: frames of the same focus are drawn once. */
export function oddsOfAll(
	takes: readonly Take[],
	frames: number,
	seed: number,
	spreads: Spreads
): Odds[] {
	const sets = new FrameSets(spreads, () => drawsOf(seed, frames));
	return takes.map((take) => countedOf(take, sets.of(take), effectiveExposureS(take)));
}

/** Looks at every frame. */
function countedOf({ scene, fNumber }: Take, set: FrameSet, shutterS: number): Odds {
	const { people, targets } = set.conditions;
	const { disc, streak } = set.blurs;
	const [wide, long] = [1 / (fNumber * fNumber), shutterS * shutterS];
	const misses = new Uint32Array(targets.length);
	const hits = set.openFrames.slice();
	const spoilt = new Uint32Array(CAUSES.length);
	const isMissed = new Uint8Array(people.length);
	let sharp = 0;
	let keepers = 0;
	const blame = (cause: Cause) => {
		const i = CAUSES.indexOf(cause);
		spoilt[i] = (spoilt[i] as number) + 1;
	};
	/** Looks at every target; the worst that is not sharp, or -1. */
	const missedIn = (frame: number): number => {
		isMissed.fill(0);
		let worst = 1;
		let worstTarget = -1;
		for (let i = 0; i < targets.length; i++) {
			const at = frame * targets.length + i;
			const excess = (disc[at] as number) * wide + (streak[at] as number) * long;
			if (excess <= 1) continue;
			misses[i] = (misses[i] as number) + 1;
			const owner = targets[i]?.owner ?? -1;
			if (owner >= 0) isMissed[owner] = 1;
			if (excess > worst) [worst, worstTarget] = [excess, i];
		}
		return worstTarget;
	};
	for (let frame = 0; frame < set.frames; frame++) {
		const worstTarget = set.areSharp(frame, fNumber, shutterS) ? -1 : missedIn(frame);
		if (set.isWrong(frame)) {
			blame('wrong-place');
			continue;
		}
		if (worstTarget >= 0) {
			for (let i = 0; i < people.length; i++) {
				if (isMissed[i] === 1 && !set.isShut(frame, i)) hits[i] = (hits[i] as number) - 1;
			}
			blame(causeAt(set, frame, worstTarget, fNumber, shutterS));
			continue;
		}
		sharp += 1;
		if (set.hasBlink(frame)) blame('blinking');
		else keepers += 1;
	}
	const { frames } = set;
	const all = shareOf(keepers, frames);
	const most = misses.indexOf(Math.max(...misses));
	const hardest = scene.targets[most];
	const missed = (misses[most] ?? 0) / frames;
	return {
		...all,
		frames,
		sharpShare: sharp / frames,
		toTake: framesFor95(all.share),
		people: people.map(({ personId }, i) => ({ personId, ...shareOf(hits[i] as number, frames) })),
		causes: CAUSES.map((cause, i) => ({ cause, share: (spoilt[i] as number) / frames }))
			.filter(({ share }) => share > 0)
			.sort((a, b) => b.share - a.share),
		hardest:
			hardest && missed > 0
				? {
						personId: hardest.personId,
						thingId: hardest.thingId,
						landmark: hardest.landmark,
						missed
					}
				: null
	};
}

/** Causes that are weighed against each other. */
const WEIGHED = ['camera', 'people', 'focusing', 'reframing', 'motion', 'shake'] as const;

/** What weighs most at a target that failed; the depth when it fails without any accident. */
function causeAt(
	set: FrameSet,
	frame: number,
	target: number,
	fNumber: number,
	shutterS: number
): Cause {
	const { conditions } = set;
	const { focalMm, plannedM, planeM, targets } = conditions;
	const { depthM, asideM, owner, allowedMm } = targets[target] as (typeof targets)[number];
	const { cameraM, imageMm, shakeMmPerS } = set.cameraAccidents(frame);
	const { awayM, speedMmPerS } = set.movedIn(frame, owner);
	const discMm = (atM: number, focusMm: number): number => {
		const bend = fieldCurvatureFactor(conditions.fieldCurvature, atM / Math.hypot(atM, asideM));
		const plane = vergenceOfImage(focalMm, focusMm) / bend;
		const lens = { focalMm, imageDistanceMm: focusMm };
		return defocusMm(lens, fNumber, Math.abs(vergence(atM) - plane));
	};
	const plannedMm = imageOf(conditions, plannedM);
	const planned = discMm(depthM, plannedMm);
	if (planned > allowedMm) return 'depth';
	const off = (atM: number, focusMm: number) => Math.abs(discMm(atM, focusMm) - planned);
	const focusedMm = imageOf(conditions, planeM);
	const weights = [
		off(depthM - cameraM, plannedMm),
		off(depthM + awayM, plannedMm),
		off(depthM, plannedMm + imageMm - focusedMm),
		off(depthM, focusedMm),
		(shutterS * speedMmPerS * imageMm) / (1000 * depthM),
		shutterS * shakeMmPerS
	];
	return WEIGHED[weights.indexOf(Math.max(...weights))] ?? WEIGHED[0];
}

/** How bad the frame is that the likely bad one stands for: nine in ten are better. */
const WORST_TENTH = 0.9;

/** The very accidents of the frame at the worst tenth of those that were focused where they should. */
export function likelyBadFrame(
	take: Take,
	frames: number,
	seed: number,
	spreads: Spreads
): Accidents {
	const set = new FrameSets(spreads, () => drawsOf(seed, frames)).of(take);
	const shutterS = effectiveExposureS(take);
	const { targets } = set.conditions;
	const worst = Array.from({ length: frames }, (_, frame) =>
		Math.max(...targets.map((_target, i) => set.excess(frame, i, take.fNumber, shutterS)))
	);
	const order = [...worst.keys()]
		.filter((frame) => !set.isWrong(frame))
		.sort((a, b) => (worst[a] as number) - (worst[b] as number));
	return set.accidents(order[Math.floor(WORST_TENTH * (order.length - 1))] ?? 0);
}
