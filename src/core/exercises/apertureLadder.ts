import { median } from '../numeric/median';
import { stopsBetween } from '../optics/fNumber';
import type { MeasuredFrame } from '../format/review';
import type { Body } from '../format/shot';
import { reviewSet, type ReviewedSet } from '../review/reviewSet';
import {
	depthRatios,
	objectRatios,
	OBJECTS,
	sharpObject,
	type ObjectRatios,
	type Score
} from './exercise';

/** The f-numbers from the widest to the smallest, focused on one object; then the same on another. */
export interface ApertureLadder {
	readonly exercise: 'aperture-ladder';
	readonly rounds: readonly LadderRound[];
	/** Frames in which an object is not where it is in the others: indices. */
	readonly moved: readonly number[];
	/** Frames that do not say their f-number. */
	readonly untold: readonly number[];
	/** Frames in which the object focused on is sharp. */
	readonly score: Score;
	/** The widest frame of each round, and the frame at the smallest aperture of the first. */
	readonly best: readonly number[];
}

export interface LadderRound {
	/** Indices of its frames, as they were taken. */
	readonly frames: readonly number[];
	/** What was focused on: the sharpest at its widest; null where none is. */
	readonly object: number | null;
	/** The f-number from which on each object is sharp up to the smallest opening; null: never. */
	readonly sharpFrom: readonly (number | null)[];
	/** f-numbers that were taken more than once. */
	readonly twice: readonly number[];
	/** Frames in which what was focused on is not sharp. */
	readonly lost: readonly number[];
}

/** f-numbers are engraved round: closer than that they are the same. */
const SAME_STOP = 0.17;
/** An object that is so far from where it is in the others has moved, or the camera has: a share of the width. */
const MOVED_SHARE = 0.012;

/**
 * Judges the frames of an aperture ladder, in the order they were taken. A new round begins where the aperture opens
 * again.
 *
 * @param bodies that the frames may have been taken with
 * @returns the rounds, the frames that moved, those whose file names no f-number, the score, and the best for a sheet;
 *   frames are given by their place in the list
 */
export function apertureLadder(
	frames: readonly MeasuredFrame[],
	bodies: readonly Body[]
): ApertureLadder {
	const set = reviewSet(frames, null, bodies);
	const ratios = objectRatios(set);
	const fNumbers = set.frames.map(({ frame }) => frame.facts.fNumber ?? null);
	const rounds = roundsOf(fNumbers).map((frames) => roundOf(frames, fNumbers, ratios));
	const taken = rounds.flatMap(({ frames, object }) => (object === null ? [] : frames));
	const lost = rounds.flatMap((round) => round.lost);
	return {
		exercise: 'aperture-ladder',
		rounds,
		moved: movedIn(set),
		untold: fNumbers.flatMap((fNumber, i) => (fNumber === null ? [i] : [])),
		score: { good: taken.length - lost.length, of: set.frames.length },
		best: [
			...rounds.flatMap(({ frames }) => frames[0] ?? []),
			...(rounds[0]?.frames.slice(1).slice(-1) ?? [])
		]
	};
}

/** A new round begins where the opening gets wider again. */
function roundsOf(fNumbers: readonly (number | null)[]): number[][] {
	const rounds: number[][] = [];
	let last = Infinity;
	fNumbers.forEach((fNumber, i) => {
		if (fNumber === null) return;
		if (last === Infinity || stopsBetween(fNumber, last) > SAME_STOP) rounds.push([]);
		rounds.at(-1)?.push(i);
		last = fNumber;
	});
	return rounds;
}

function roundOf(
	frames: readonly number[],
	fNumbers: readonly (number | null)[],
	ratios: readonly ObjectRatios[]
): LadderRound {
	const at = (frame: number) => fNumbers[frame] as number;
	const isSharp = (frame: number, one: number) =>
		(depthRatios(ratios[frame] ?? [])[one] ?? Infinity) <= 1;
	const object = sharpObject(ratios[frames[0] as number] ?? []);
	return {
		frames,
		object,
		sharpFrom: OBJECTS.map((_, one) => {
			const lastSoft = frames.findLastIndex((frame) => !isSharp(frame, one));
			const from = frames[lastSoft + 1];
			return from === undefined ? null : at(from);
		}),
		twice: frames.flatMap((frame, i) => {
			const before = frames[i - 1];
			const isSame =
				before !== undefined && Math.abs(stopsBetween(at(before), at(frame))) < SAME_STOP;
			return isSame ? [at(frame)] : [];
		}),
		lost: object === null ? [] : frames.filter((frame) => !isSharp(frame, object))
	};
}

function movedIn({ people, frames }: ReviewedSet): number[] {
	const places = OBJECTS.flatMap((id) => {
		const person = people.findIndex((one) => one.id === id);
		return person < 0 ? [] : [frames.map(({ faces }) => faces[person]?.face.left ?? null)];
	});
	const isOff = (frame: number) =>
		places.some((of) => {
			const at = of[frame];
			const known = of.filter((one) => one !== null);
			const widthPx = frames[frame]?.frame.widthPx ?? Infinity;
			if (!at) return false;
			const x = at.x - median(known.map((one) => one.x));
			const y = at.y - median(known.map((one) => one.y));
			return Math.hypot(x, y) > MOVED_SHARE * widthPx;
		});
	return frames.flatMap((_, i) => (isOff(i) ? [i] : []));
}
