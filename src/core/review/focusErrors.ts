import { imageDistanceMm } from '../geometry/thinLens';
import { conditionsOf, focusUnitMm } from '../odds/conditions';
import { median } from '../numeric/median';
import { ASSUMED } from '../tables/spreads';
import type { SetOfShot } from './setOfShot';
import { SPREADS_TO_ENDS } from './whereFocusFell';

/** How far frames are focused from what was meant, and what of it is focusing, what the sway of the camera. */

export interface FocusError {
	/** At the sensor, in front positive, in units of the depth of focus. */
	readonly error: number;
	/** The unit, mm. */
	readonly unitMm: number;
	/** What the camera’s sway between focus and release adds to its square, as assumed. */
	readonly swaySquare: number;
	/** What people’s sway and measuring itself add to its square. */
	readonly othersSquare: number;
}

/** Beyond this many standard deviations the camera focused on something else, which is counted apart. */
const WRONG_PLACE_SIGMAS = 4;
const LEAST_SIGMA = 0.05;
/** A median of absolute deviations times this is the spread of a normal distribution. */
const MAD_TO_SIGMA = 1.4826;
/** The median of a normal distribution is so much less certain than its mean. */
const MEDIAN_TO_MEAN = 1.2533;

/** Spread of a normal distribution by the median of how far its values lie from the middle one. */
function sigmaOf(values: readonly number[]): number {
	const middle = median(values);
	return MAD_TO_SIGMA * median(values.map((value) => Math.abs(value - middle)));
}

/**
 * How far each frame is focused from what was meant. Without those that were focused on something else, or taken from somewhere
 * else than planned.
 */
export function focusErrors({ shot, set, take, handling }: SetOfShot): FocusError[] {
	const unitMm = focusUnitMm(shot, shot.camera.focalMm);
	const { plannedM, cameraM, people, lockedOn } = conditionsOf(
		take.scene,
		take.candidate,
		handling,
		ASSUMED
	);
	const errors = set.frames.flatMap(({ fell, frame, vantage }): FocusError[] => {
		if (vantage.fartherM !== 0 || !fell || fell.otherwiseM !== null || !Number.isFinite(fell.farM))
			return [];
		const focalMm = frame.facts.focalMm ?? shot.camera.focalMm;
		const image = (depthM: number) => imageDistanceMm(focalMm, depthM) / unitMm;
		const swayed = (byM: number) => image(plannedM) - image(plannedM + byM);
		const measured = (image(fell.nearM) - image(fell.farM)) / 2 / SPREADS_TO_ENDS;
		return [
			{
				error: image(fell.planeM) - image(plannedM),
				unitMm,
				swaySquare: swayed(cameraM) ** 2,
				othersSquare: swayed(people[lockedOn]?.swayM ?? 0) ** 2 + measured ** 2
			}
		];
	});
	if (errors.length === 0) return [];
	const all = errors.map(({ error }) => error);
	const [middle, sigma] = [median(all), sigmaOf(all)];
	return errors.filter(
		({ error }) => Math.abs(error - middle) <= WRONG_PLACE_SIGMAS * Math.max(sigma, LEAST_SIGMA)
	);
}

/** How far a lens focuses in front, mm at the sensor; null while it may as well be nothing. */
export function biasOf(errors: readonly FocusError[]): number | null {
	const offMm = errors.map(({ error, unitMm }) => error * unitMm);
	const middle = median(offMm);
	const uncertain = (MEDIAN_TO_MEAN * sigmaOf(offMm)) / Math.sqrt(offMm.length);
	return Math.abs(middle) > Z_95 * uncertain ? middle : null;
}

/** A spread, and how many frames it is worth: a frame counts by the share of its error that is this. */
export interface WeightedSpread {
	readonly spread: number;
	readonly weight: number;
}

/** Spreads of focusing that are tried, in units of the depth of focus; and of sway, as multiples of what is assumed. */
const FOCUSING = Array.from({ length: 150 }, (_, i) => 0.01 * (i + 1));
const SWAYS = Array.from({ length: 76 }, (_, i) => 0.1 * 1.05 ** i);
/** 95 % of twice the log likelihood of one value lie within this of the best (chi-squared, one degree of freedom). */
const NINETEEN_OF_TWENTY = 3.84;
const Z_95 = 1.96;

/** How unlikely errors are by spreads of focusing and of sway, one bias for all: twice the negative logarithm. */
function unlikeliness(errors: readonly FocusError[], focusing: number, sway: number): number {
	let [weights, weighted] = [0, 0];
	const squares = errors.map(({ error, swaySquare, othersSquare }) => {
		const square = focusing ** 2 + sway ** 2 * swaySquare + othersSquare;
		weights += 1 / square;
		weighted += error / square;
		return square;
	});
	const bias = weighted / weights;
	return errors.reduce((sum, { error }, i) => {
		const square = squares[i] as number;
		return sum + Math.log(square) + (error - bias) ** 2 / square;
	}, 0);
}

const likeliest = (values: readonly number[], cost: (value: number) => number) =>
	values.map((value) => ({ value, cost: cost(value) })).reduce((a, b) => (b.cost < a.cost ? b : a));

/**
 * The spread of focusing, in units of the depth of focus, that makes the errors likeliest beside what sway and measuring
 * add to each (normal distributions).
 */
export function focusingSpread(errors: readonly FocusError[], sway = 1): WeightedSpread {
	const { value: spread } = likeliest(FOCUSING, (focusing) => unlikeliness(errors, focusing, sway));
	const weight = errors.reduce(
		(sum, { swaySquare, othersSquare }) =>
			sum + spread ** 2 / (spread ** 2 + sway ** 2 * swaySquare + othersSquare),
		0
	);
	return { spread, weight };
}

/**
 * How far the camera sways, as a multiple of what is assumed, where frames tell it from focusing: errors of focusing grow
 * with the distance as the depth of field does, those of sway are as far close by as far off. Null where, at any spread
 * of focusing, none at all or twice as much would be as likely.
 */
export function swayTimes(errors: readonly FocusError[]): WeightedSpread | null {
	const best = (sway: number) =>
		likeliest(FOCUSING, (focusing) => unlikeliness(errors, focusing, sway));
	const { value, cost } = likeliest(SWAYS, (sway) => best(sway).cost);
	const isUnlikely = (sway: number) => best(sway).cost > cost + NINETEEN_OF_TWENTY;
	if (!isUnlikely(0) || !isUnlikely(2 * value)) return null;
	const { value: focusing } = best(value);
	const weight = errors.reduce((sum, { swaySquare, othersSquare }) => {
		const swayed = value ** 2 * swaySquare;
		return sum + swayed / (focusing ** 2 + swayed + othersSquare);
	}, 0);
	return { spread: value, weight };
}
