import type { State, TargetResult, ThingResult } from '../format/plan';
import { combinedBlurMm, defocusAt, diffractionMm } from '../optics/blur';
import { stateOf } from '../sharpness/state';
import type { Take } from './candidate';
import type { Scene, SeenThing } from './scene';
import { becomesWanted, judgeThing } from './things';

/** The worst ratio of a take, without the margin; 0 when nothing is asked for. */
export const worstRatio = ({ candidate, fNumber }: Take): number => candidate.worstAtF1 / fNumber;

/** Whether everything that must be sharp is. */
export const isFeasible = (take: Take): boolean =>
	take.scene.targets.length > 0 && worstRatio(take) <= 1;

/** With fewer of ten frames sharp nobody says that a plan holds. */
const HOLDS_FROM = 0.7;

/** Whether everything that must be sharp is, and in most frames: `marginal` where only in some. */
export function holdState(take: Take | null): State {
	if (!take || !isFeasible(take)) return 'soft';
	return take.candidate.chance.sharpShare(take) >= HOLDS_FROM ? 'sharp' : 'marginal';
}

/** The worst ratio of each person who has targets, by id. */
export function faceRatios({ candidate, fNumber }: Take): ReadonlyMap<string, number> {
	const worst = new Map<string, number>();
	for (const { target, ratioAtF1 } of candidate.judged()) {
		if (target.personId === null) continue;
		const ratio = ratioAtF1 / fNumber;
		worst.set(target.personId, Math.max(worst.get(target.personId) ?? 0, ratio));
	}
	return worst;
}

/** Ids of the people who are not sharp, in the order of the shot. */
export const failingPeople = (take: Take): string[] =>
	[...faceRatios(take)].flatMap(([id, ratio]) => (ratio > 1 ? [id] : []));

/** What becomes of every target. */
export function targetResults({ candidate, fNumber }: Take): TargetResult[] {
	const { focus } = candidate;
	const diffraction = diffractionMm(focus, fNumber);
	return candidate.judged().map(({ target, ratioAtF1 }) => {
		const defocus = defocusAt(focus, fNumber, target.seen);
		const ratio = ratioAtF1 / fNumber;
		const state: State = stateOf(ratio);
		return {
			...(target.personId ? { personId: target.personId } : {}),
			...(target.thingId ? { thingId: target.thingId } : {}),
			landmark: target.landmark,
			depthM: target.seen.depthM,
			defocusMm: defocus,
			blurMm: combinedBlurMm(defocus, diffraction),
			ratio,
			state
		};
	});
}

/** Every thing, and the background where something is asked of it. */
const withBackground = ({ things, background }: Scene): readonly SeenThing[] =>
	background ? [...things, background] : things;

/** What becomes of every thing. */
export const thingResults = ({ scene, candidate, fNumber }: Take): ThingResult[] =>
	withBackground(scene).map((seen) => judgeThing(scene, seen, candidate.focus, fNumber));

/** Things that become what they should, of those in the frame that should become something. */
export interface Intents {
	readonly met: number;
	readonly of: number;
}

/** The things of which something is asked; one that may become anything is none. */
export const wantedThings = (scene: Scene): SeenThing[] =>
	withBackground(scene).filter(({ thing, inFrame }) => inFrame && thing.intent !== 'any');

/** The things that do not become what they should. */
export const missedThings = ({ scene, candidate, fNumber }: Take): SeenThing[] =>
	wantedThings(scene).filter((seen) => !becomesWanted(scene, seen, candidate.focus, fNumber));

/** How many intents a take meets. */
export function intentsOf(take: Take): Intents {
	const of = wantedThings(take.scene).length;
	return { met: of - missedThings(take).length, of };
}

/** Whether the small opening itself softens the picture more than is allowed. */
export const isDiffracted = ({ scene, candidate, fNumber }: Take): boolean =>
	diffractionMm(candidate.focus, fNumber) > scene.toleranceMm;
