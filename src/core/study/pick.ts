import { factorOfStops } from '../optics/fNumber';
import type { Candidate } from './candidates';
import { lightAllows } from './light';
import type { Scene } from './scene';
import { intentsOf, worstRatio, type Take } from './take';

/** Candidates this much worse than the best, or this good, are as good as the best. */
const AS_GOOD_FACTOR = 1.05;
const AS_GOOD_RATIO = 0.02;
/** Ratios and distances from the centre this close count as equal. */
const TIE_RATIO = 1e-9;
const TIE_MM = 0.001;

/**
 * How one take is chosen among candidates and f-numbers.
 *
 * @param fNumbers widest first; one when the f-number is fixed
 * @returns null when there is nothing to focus on
 */
export type PickRule = (
	scene: Scene,
	candidates: readonly Candidate[],
	fNumbers: readonly number[]
) => Take | null;

/**
 * The widest f-number that holds everyone: faces before background, background before light.
 * Feasible with the margin if any take is, else without; of those the ones that meet the most
 * intents, of those the ones the light allows, if any, then the smallest f-number. When nothing is
 * feasible, what serves the `key` people best, then everyone.
 */
export const widestThatHolds: PickRule = (scene, candidates, fNumbers) => {
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
	const lit = kept.filter(lightAllows(scene));
	return settle(widestOf(lit.length > 0 ? lit : kept));
};

/** The takes that meet the most intents. */
function mostIntents(takes: readonly Take[]): Take[] {
	const met = takes.map((take) => intentsOf(take).met);
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
			take.fNumber === first.fNumber && Math.abs(keyShort(take) - keyShort(first)) <= TIE_RATIO
	);
}

/** Of candidates about as good as each other: a key person, then the nearest to the centre. */
function settle(takes: readonly Take[]): Take {
	const lowest = Math.min(...takes.map(worstRatio));
	return takes
		.filter((take) => worstRatio(take) <= Math.max(AS_GOOD_FACTOR * lowest, AS_GOOD_RATIO))
		.reduce((best, take) => (isBetterPlaced(take.candidate, best.candidate) ? take : best));
}

function isBetterPlaced(a: Candidate, b: Candidate): boolean {
	if (a.isKey !== b.isKey) return a.isKey;
	return a.offCentreMm < b.offCentreMm - TIE_MM;
}
