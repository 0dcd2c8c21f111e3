import type { Candidate, Take } from './candidate';
import type { LightFlag } from '../format/plan';
import { factorOfStops } from '../optics/fNumber';
import { exposureOf, lightAllows } from './light';
import type { Scene } from './scene';
import { wantedThings, worstRatio } from './take';
import { becomesWanted } from './things';
import { RULES } from '../tables/rules';

/**
 * The widest f-number that holds everyone: faces before background, background before light.
 * Feasible with the margin if any take is, else without; of those the ones that meet the most
 * intents, of those the ones the light allows, if any, then the smallest f-number. When nothing is
 * feasible, what serves the `key` people best, then everyone.
 *
 * @param fNumbers widest first; one when the f-number is fixed
 * @returns null when there is nothing to focus on
 */
export function widestThatHolds(
	scene: Scene,
	candidates: readonly Candidate[],
	fNumbers: readonly number[]
): Take | null {
	const takes = fNumbers.flatMap((fNumber) =>
		candidates.map((candidate): Take => ({ scene, candidate, fNumber }))
	);
	if (takes.length === 0) return null;
	const margin = factorOfStops(scene.shot.choices.safetyStops);
	const within = (factor: number) => takes.filter((take) => worstRatio(take) * factor <= 1);
	const withMargin = within(margin);
	const feasible = withMargin.length > 0 ? withMargin : within(1);
	if (feasible.length === 0) return settle(leastBad(takes));
	const kept = mostIntents(feasible);
	// the light rules out rungs, not candidates: one exposure a rung is enough
	for (const fNumber of new Set(kept.map((take) => take.fNumber).sort((a, b) => a - b))) {
		const settled = settle(kept.filter((take) => take.fNumber === fNumber));
		if (lightAllows(settled)) return settled;
	}
	return settle(widestOf(kept));
}

/** The take at an f-number by the odds: as settled, but on a `key` person where that costs little. */
export function takeAtRung(
	scene: Scene,
	candidates: readonly Candidate[],
	fNumber: number
): Take | null {
	if (candidates.length === 0) return null;
	const takes = candidates.map((candidate): Take => ({ scene, candidate, fNumber }));
	const lowest = Math.min(...takes.map(worstRatio));
	const onKey = takes.filter(
		(take) => take.candidate.isKey && worstRatio(take) <= RULES.keyPreferredFactor * lowest
	);
	return settle(onKey.length > 0 ? onKey : takes);
}

/**
 * The pick by odds, among the takes at every f-number: of those sharp in nearly as many frames as the
 * best, the ones that meet the most intents, and of these the widest that is sure enough. A rung too
 * bright, or without the power, is passed over while another remains; light that is merely short shows
 * in the odds.
 *
 * @param rungs the take at every f-number, widest first
 * @returns null when none is feasible, or hardly a frame is sharp at any
 */
export function sureEnough(rungs: readonly Take[]): Take | null {
	const feasible = rungs.filter((take) => worstRatio(take) <= 1);
	const [first] = feasible;
	if (!first) return null;
	const { shot } = first.scene;
	// with a shutter that is fixed, light that is short spoils no frame and so would not show
	const ruledOut = (flag: LightFlag) =>
		flag === 'too-bright' ||
		flag === 'no-power' ||
		(flag === 'iso-high' && shot.choices.shutterS !== undefined);
	const lit = feasible.filter((take) => !exposureOf(take)?.flags.some(ruledOut));
	const all = (lit.length > 0 ? lit : feasible).map((take) => ({
		take,
		sharp: take.candidate.chance.sharpShare(take)
	}));
	const most = Math.max(...all.map(({ sharp }) => sharp));
	if (most < RULES.hopelessShare) return null;
	const sureness = shot.choices.sureness ?? usualSureness(first.scene);
	const nearly = all.filter(({ sharp }) => sharp >= (sureness - RULES.backgroundCost) * most);
	const kept = new Set(mostIntents(nearly.map(({ take }) => take)));
	const left = nearly.filter(({ take }) => kept.has(take));
	const best = Math.max(...left.map(({ sharp }) => sharp));
	const sure = left.filter(({ sharp }) => sharp >= sureness * best).map(({ take }) => take);
	return widestOf(sure)[0] ?? null;
}

/** How sure one wants to be unless one says so: the more people, the surer. */
function usualSureness({ sightings, targets }: Scene): number {
	const counting = sightings.filter(
		({ person: { id, need } }) =>
			(need === 'key' || need === 'sharp') && targets.some(({ personId }) => personId === id)
	).length;
	if (counting <= RULES.fewPeople) return RULES.surenessFew;
	return counting <= RULES.groupPeople ? RULES.surenessGroup : RULES.surenessCrowd;
}

/** The takes of a scene that meet the most intents. */
function mostIntents(takes: readonly Take[]): readonly Take[] {
	const [first] = takes;
	const wanted = first ? wantedThings(first.scene) : [];
	if (wanted.length === 0) return takes;
	const met = takes.map(
		({ scene, candidate: { focus }, fNumber }) =>
			wanted.filter((one) => becomesWanted(scene, one, focus, fNumber)).length
	);
	const most = Math.max(...met);
	return takes.filter((_, i) => met[i] === most);
}

function widestOf(takes: readonly Take[]): Take[] {
	const widest = Math.min(...takes.map(({ fNumber }) => fNumber));
	return takes.filter(({ fNumber }) => fNumber === widest);
}

/** When nothing is feasible: the f-number that serves `key` people best, then everyone. */
function leastBad(takes: readonly Take[]): Take[] {
	const keyShort = ({ candidate, fNumber }: Take) => Math.max(1, candidate.keyWorstAtF1 / fNumber);
	const first = takes.reduce((best, take) => {
		const gain = keyShort(best) - keyShort(take) || worstRatio(best) - worstRatio(take);
		return gain > 0 ? take : best;
	});
	return takes.filter(
		(take) =>
			take.fNumber === first.fNumber &&
			Math.abs(keyShort(take) - keyShort(first)) <= RULES.keyTieRatio
	);
}

/** Chooses among candidates that are about equally good: a key person, then the nearest to the centre. */
function settle(takes: readonly Take[]): Take {
	const lowest = Math.min(...takes.map(worstRatio));
	return takes
		.filter((take) => worstRatio(take) <= Math.max(RULES.asGoodFactor * lowest, RULES.asGoodRatio))
		.reduce((best, take) => (isBetterPlaced(take.candidate, best.candidate) ? take : best));
}

function isBetterPlaced(a: Candidate, b: Candidate): boolean {
	if (a.isKey !== b.isKey) return a.isKey;
	return a.offCentreMm < b.offCentreMm - RULES.centreTieMm;
}
