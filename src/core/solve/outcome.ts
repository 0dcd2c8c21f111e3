import type { Shot } from '../format/shot';
import { ladderOf, nearestRung, stopsBetween, widestFNumber } from '../optics/fNumber';
import { ASSUMED, type Spreads } from '../odds/spreads';
import { candidatesOf, spotsOf, type Candidate, type Pair } from './candidates';
import { choosePair } from './choose';
import { exposureOf, lightAllows } from './light';
import { worstRatio } from './pick';
import { lookAt, type Scene } from './scene';
import { intentsMet } from './things';

/** What comes of a shot in short: enough to compare it with another, without its whole plan. */
export interface Outcome {
	readonly scene: Scene;
	readonly pair: Pair;
	readonly feasible: boolean;
	/** f-number at which everything is just sharp, without margin; never below the lens's widest. */
	readonly needed: number;
	/** Things that become what they should, of those in the frame that should become something. */
	readonly intentsMet: number;
	readonly intents: number;
	readonly isLit: boolean;
}

/** The candidates of a scene and the f-numbers that may be chosen from. */
function pairsOf(scene: Scene): { candidates: Candidate[]; ladder: number[] } {
	const { lens, camera, choices } = scene.shot;
	const ladder = ladderOf(lens, camera.focalMm);
	const fixed = choices.fNumberExact;
	return {
		candidates: candidatesOf(scene, spotsOf(scene).within),
		ladder: fixed === undefined ? ladder : [ladder[nearestRung(ladder, fixed)] as number]
	};
}

/** @returns null when there is nothing to focus on, or nothing that should be sharp is seen */
export function outcomeOf(shot: Shot, spreads: Spreads = ASSUMED): Outcome | null {
	const scene = lookAt(shot, spreads);
	if (scene.targets.length === 0) return null;
	const { candidates, ladder } = pairsOf(scene);
	const pair = choosePair(scene, candidates, ladder);
	if (!pair) return null;
	const wanted = scene.things.filter(({ thing, inFrame }) => inFrame && thing.intent !== 'any');
	const free = scene.things.filter(({ thing, inFrame }) => inFrame && thing.intent === 'any');
	return {
		scene,
		pair,
		feasible: worstRatio(pair) <= 1,
		needed: Math.max(
			Math.min(...candidates.map(({ worstAtF1 }) => worstAtF1)),
			widestFNumber(shot.lens, shot.camera.focalMm)
		),
		intentsMet: intentsMet(scene, pair.candidate.focus, pair.fNumber) - free.length,
		intents: wanted.length,
		isLit: lightAllows(scene)(pair)
	};
}

/** How many people have an eye that can be seen: nobody may be lost by a change. */
export const seenPeople = ({ scene }: Outcome): number =>
	scene.sightings.filter(({ nearEye, person }) => nearEye && person.need !== 'free').length;

/** Ids of the people who are not sharp. */
export function failingPeople({ scene, pair: { candidate, fNumber } }: Outcome): string[] {
	const failing = scene.targets.flatMap(({ personId }, i) =>
		personId !== null && (candidate.ratiosAtF1[i] as number) / fNumber > 1 ? [personId] : []
	);
	return [...new Set(failing)];
}

/** Stops by which the f-number needed falls from one outcome to another. */
export const stopsGained = (before: Outcome, after: Outcome): number =>
	stopsBetween(after.needed, before.needed);

export const exposureFor = ({ scene, pair }: Outcome) => exposureOf(scene, pair);
