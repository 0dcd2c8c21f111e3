import { factorOfStops } from '../optics/fNumber';
import type { Candidate, Pair } from './candidates';
import { lightAllows } from './light';
import type { Scene } from './scene';
import { intentsMet } from './things';

/** Candidates this much worse than the best, or this good, are as good as the best. */
const AS_GOOD_FACTOR = 1.05;
const AS_GOOD_RATIO = 0.02;
/** Ratios and distances from the centre this close count as equal. */
const TIE_RATIO = 1e-9;
const TIE_MM = 0.001;

/**
 * The pick among candidates and f-numbers: faces before background, background before light.
 * Feasible with the margin if any pair is, else without; of those the ones that meet the most
 * intents, of those the ones the light allows, if any, then the smallest f-number. When nothing is feasible, what serves the `key` people best,
 * then everyone.
 *
 * @param fNumbers widest first
 * @returns null when there is nothing to focus on
 */
export function pickFrom(
	scene: Scene,
	candidates: readonly Candidate[],
	fNumbers: readonly number[]
): Pair | null {
	const pairs = fNumbers.flatMap((fNumber) =>
		candidates.map((candidate): Pair => ({ candidate, fNumber }))
	);
	if (pairs.length === 0) return null;
	const margin = factorOfStops(scene.shot.choices.safetyStops);
	const within = (factor: number) =>
		pairs.filter(({ candidate, fNumber }) => (candidate.worstAtF1 * factor) / fNumber <= 1);
	const withMargin = within(margin);
	const feasible = withMargin.length > 0 ? withMargin : within(1);
	if (feasible.length === 0) return settle(leastBad(pairs));
	const kept = mostIntents(scene, feasible);
	const lit = kept.filter(lightAllows(scene));
	return settle(widestOf(lit.length > 0 ? lit : kept));
}

/** The pairs that meet the most intents. */
function mostIntents(scene: Scene, pairs: readonly Pair[]): Pair[] {
	const hasIntents = scene.things.some(({ thing, inFrame }) => inFrame && thing.intent !== 'any');
	const met = hasIntents
		? pairs.map(({ candidate, fNumber }) => intentsMet(scene, candidate.focus, fNumber))
		: pairs.map(() => 0);
	const most = Math.max(...met);
	return pairs.filter((_, i) => met[i] === most);
}

function widestOf(pairs: readonly Pair[]): Pair[] {
	const widest = Math.min(...pairs.map(({ fNumber }) => fNumber));
	return pairs.filter(({ fNumber }) => fNumber === widest);
}

/** When nothing is feasible: the f-number that serves `key` people best, then everyone. */
function leastBad(pairs: readonly Pair[]): Pair[] {
	const keyShort = ({ candidate, fNumber }: Pair) => Math.max(1, candidate.keyWorstAtF1 / fNumber);
	const first = pairs.reduce((best, pair) => {
		const gain = keyShort(best) - keyShort(pair) || worstRatio(best) - worstRatio(pair);
		return gain > 0 ? pair : best;
	});
	return pairs.filter(
		(pair) =>
			pair.fNumber === first.fNumber && Math.abs(keyShort(pair) - keyShort(first)) <= TIE_RATIO
	);
}

/** Of candidates about as good as each other: a key person, then the nearest to the centre. */
function settle(pairs: readonly Pair[]): Pair {
	const lowest = Math.min(...pairs.map(worstRatio));
	return pairs
		.filter((pair) => worstRatio(pair) <= Math.max(AS_GOOD_FACTOR * lowest, AS_GOOD_RATIO))
		.reduce((best, pair) => (isBetterPlaced(pair.candidate, best.candidate) ? pair : best));
}

function isBetterPlaced(a: Candidate, b: Candidate): boolean {
	if (a.isKey !== b.isKey) return a.isKey;
	return a.offCentreMm < b.offCentreMm - TIE_MM;
}

/** The worst ratio of a pair, without the margin. */
export function worstRatio({ candidate, fNumber }: Pair): number {
	return candidate.worstAtF1 / fNumber;
}
