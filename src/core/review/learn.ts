import { imageDistanceMm } from '../geometry/thinLens';
import { LEAST_STREAK_PX } from '../measure/spread';
import type { Shot } from '../format/shot';
import {
	conditionsOf,
	FOCUSING_KEYS,
	focusingKey,
	focusUnitMm,
	type Handling
} from '../odds/conditions';
import type { Take } from '../study/candidate';
import { ASSUMED, type SpreadKey } from '../tables/spreads';
import type { ReviewedFrame, ReviewedSet } from './reviewSet';
import { SPREADS_TO_ENDS } from './whereFocusFell';

/**
 * What the frames that came home say of hands, focusing and people: spreads of section 8, as the mean of the assumption
 * with the weight of 20 frames and of the measurement with the weight of its own.
 */

/** What an assumption counts for, frames. */
const ASSUMED_FRAMES = 20;
/** A median of absolute deviations times this is the spread of a normal distribution. */
const MAD_TO_SIGMA = 1.4826;
/** Fewer frames say nothing. */
const LEAST_FRAMES = 8;
/** Farther off than so many spreads, the camera took something else; that is another number. */
const ELSEWHERE = 4;

/** A spread as it was measured, together with the assumption, and how many frames stand behind it. */
export interface Learned {
	readonly key: SpreadKey;
	readonly frames: number;
	readonly value: number;
}

/** The frames of a shot, as they were planned and as they came home. */
export interface SetOfShot {
	readonly shot: Shot;
	readonly set: ReviewedSet;
	/** The take that was planned, and how it is focused. */
	readonly take: Take;
	readonly handling: Handling;
}

const median = (values: readonly number[]): number => {
	const sorted = values.toSorted((a, b) => a - b);
	const half = sorted.length >> 1;
	return sorted.length % 2 === 1
		? (sorted[half] as number)
		: ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
};

/** What is learned from sets, against what was assumed. */
export function learn(sets: readonly SetOfShot[]): Learned[] {
	const learned: Learned[] = [];
	const told = (key: SpreadKey, measured: number, frames: number, weight = frames) => {
		const value = (ASSUMED_FRAMES * ASSUMED[key] + weight * measured) / (ASSUMED_FRAMES + weight);
		learned.push({ key, frames, value });
	};
	for (const key of FOCUSING_KEYS) {
		const its = sets.filter(({ shot, handling }) => focusingKey(shot, handling) === key);
		const errors = its.flatMap(focusErrors);
		const focusing = errors.length >= LEAST_FRAMES ? focusingSpread(errors) : null;
		if (focusing) told(key, focusing.spread, errors.length, focusing.weight);
	}
	const offMm = sets.flatMap((one) =>
		focusErrors(one).map(({ error }) => error * focusUnitMm(one.shot, one.shot.camera.focalMm))
	);
	if (offMm.length >= LEAST_FRAMES) told('biasMm', median(offMm), offMm.length);
	const rates = sets.flatMap(shakeRates);
	const scale = rates.length >= LEAST_FRAMES ? rayleighScale(rates) : null;
	if (scale !== null) told('shake', scale, rates.length);
	const frames = sets.flatMap(({ set }) =>
		set.frames.map(({ faces }) =>
			faces.filter((face, i) => face !== null && !set.people[i]?.isPointed)
		)
	);
	const looks = frames.flat();
	if (frames.length >= LEAST_FRAMES && looks.length > 0) {
		const share = looks.filter((face) => face?.isShut).length / looks.length;
		told('blinksPerMinute', (60 * share) / ASSUMED.blinkS, frames.length, looks.length);
	}
	return learned;
}

/** Spread of a normal distribution by the median of how far its values lie from the middle one. */
function sigmaOf(values: readonly number[]): number {
	const middle = median(values);
	return MAD_TO_SIGMA * median(values.map((value) => Math.abs(value - middle)));
}

/** Spreads of focusing that are tried, in units of the depth of focus. */
const SPREAD_STEP = 0.01;
const SPREAD_STEPS = 150;

/**
 * The spread of focusing that makes the errors likeliest beside what sway and measuring add to each (normal
 * distributions, one bias for all), and how many frames that is worth: a frame counts by the share of its error
 * that focusing has. Null where the others hide it.
 */
export function focusingSpread(
	errors: readonly FocusError[]
): { readonly spread: number; readonly weight: number } | null {
	const lessLikely = (spread: number) => {
		const squares = errors.map(({ othersSquare }) => spread ** 2 + othersSquare);
		const weights = squares.reduce((sum, square) => sum + 1 / square, 0);
		const bias =
			errors.reduce((sum, { error }, i) => sum + error / (squares[i] as number), 0) / weights;
		return errors.reduce((sum, { error }, i) => {
			const square = squares[i] as number;
			return sum + Math.log(square) + (error - bias) ** 2 / square;
		}, 0);
	};
	const tried = Array.from({ length: SPREAD_STEPS }, (_, i) => {
		const spread = SPREAD_STEP * (i + 1);
		return { spread, cost: lessLikely(spread) };
	});
	const { spread } = tried.reduce((a, b) => (b.cost < a.cost ? b : a));
	const weight = errors.reduce(
		(sum, { othersSquare }) => sum + spread ** 2 / (spread ** 2 + othersSquare),
		0
	);
	return weight >= LEAST_FRAMES ? { spread, weight } : null;
}

export interface FocusError {
	/** At the sensor, in front positive, in units of the depth of focus. */
	readonly error: number;
	/** What sway between focus and release and measuring itself add to its square. */
	readonly othersSquare: number;
}

/** How far each frame is focused from what was meant. Without those that were focused on something else. */
function focusErrors({ shot, set, take, handling }: SetOfShot): FocusError[] {
	const unit = focusUnitMm(shot, shot.camera.focalMm);
	const { plannedM, cameraM, people, lockedOn } = conditionsOf(
		take.scene,
		take.candidate,
		handling,
		ASSUMED
	);
	const swayM = Math.hypot(cameraM, people[lockedOn]?.swayM ?? 0);
	const errors = set.frames.flatMap(({ fell, frame }): FocusError[] => {
		if (!fell || fell.otherwiseM !== null || !Number.isFinite(fell.farM)) return [];
		const focalMm = frame.facts.focalMm ?? shot.camera.focalMm;
		const image = (depthM: number) => imageDistanceMm(focalMm, depthM) / unit;
		const swayed = image(plannedM) - image(plannedM + swayM);
		const measured = (image(fell.nearM) - image(fell.farM)) / 2 / SPREADS_TO_ENDS;
		return [
			{ error: image(fell.planeM) - image(plannedM), othersSquare: swayed ** 2 + measured ** 2 }
		];
	});
	if (errors.length === 0) return [];
	const all = errors.map(({ error }) => error);
	const [middle, sigma] = [median(all), sigmaOf(all)];
	return errors.filter(
		({ error }) => Math.abs(error - middle) <= ELSEWHERE * Math.max(sigma, LEAST_SIGMA)
	);
}

const LEAST_SIGMA = 0.05;

/** How fast a picture shook, or that it shook less than could be seen. */
export interface Rate {
	readonly rate: number;
	readonly isLess: boolean;
}

/** Fewer that were seen decide nothing. */
const LEAST_SEEN = 3;

/**
 * The scale of Rayleigh's distribution that makes the rates likeliest, those that are only known to be less included
 * (left-censored maximum likelihood); null where too few were seen. By bisection of the slope.
 */
export function rayleighScale(rates: readonly Rate[]): number | null {
	const seen = rates.filter(({ isLess }) => !isLess);
	if (seen.length < LEAST_SEEN) return null;
	const squares = seen.reduce((sum, { rate }) => sum + rate * rate, 0);
	// the derivative of the log likelihood by the square of the scale, times its square
	const slope = (square: number) =>
		squares / 2 -
		seen.length * square -
		rates
			.filter(({ isLess }) => isLess)
			.reduce((sum, { rate }) => {
				const half = (rate * rate) / 2;
				return sum + half / Math.expm1(half / square);
			}, 0);
	let [low, high] = [0, squares / seen.length];
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (slope(middle) > 0) low = middle;
		else high = middle;
	}
	return Math.sqrt(high);
}

/** How fast the picture shook on the sensor in each frame, against what is allowed at one over the focal length. */
function shakeRates({ shot, set, take, handling }: SetOfShot): Rate[] {
	const { sensor } = shot.body;
	const { shakeMmPerS } = conditionsOf(take.scene, take.candidate, handling, ASSUMED);
	const perS = shakeMmPerS / ASSUMED.shake;
	// on a tripod nothing shakes
	if (perS === 0) return [];
	return set.frames.flatMap((reviewed) => {
		const { shutterS } = reviewed.frame.facts;
		const streakPx = commonStreakPx(reviewed);
		if (!shutterS || streakPx === null) return [];
		const { widthPx, heightPx } = reviewed.frame;
		const mm = (px: number) => (px * sensor.widthMm) / Math.max(widthPx, heightPx);
		const isLess = streakPx === 0;
		return [{ rate: mm(isLess ? LEAST_STREAK_PX : streakPx) / shutterS / perS, isLess }];
	});
}

/** The streak that everybody in a frame has: the least of them, since people move besides. Null where nobody is known. */
function commonStreakPx({ faces }: ReviewedFrame): number | null {
	const streaks = faces.flatMap((face) => face?.blurs[face.near]?.streakPx ?? []);
	return streaks.length === 0 ? null : Math.min(...streaks);
}
