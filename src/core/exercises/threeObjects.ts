import type { MeasuredFrame } from '../format/review';
import type { Body } from '../format/shot';
import { reviewSet } from '../review/reviewSet';
import { objectRatios, OBJECTS, sharpObject, type Score } from './exercise';

/** Three objects on a diagonal, the focus point moved onto each in turn. */
export interface ThreeObjects {
	readonly exercise: 'three-objects';
	/** The object in focus in each frame; null where none is. */
	readonly inFocus: readonly (number | null)[];
	/** For each object, the indices of the frames in which it is in focus. */
	readonly framesOf: readonly (readonly number[])[];
	/** Objects that got a frame. */
	readonly score: Score;
	/** The sharpest frame of each object that has one. */
	readonly best: readonly number[];
}

export function threeObjects(
	frames: readonly MeasuredFrame[],
	bodies: readonly Body[]
): ThreeObjects {
	const set = reviewSet(frames, null, bodies);
	const ratios = objectRatios(set);
	const inFocus = ratios.map(sharpObject);
	const framesOf = OBJECTS.map((_, object) =>
		inFocus.flatMap((one, frame) => (one === object ? [frame] : []))
	);
	const best = framesOf.flatMap((frames, object) => {
		const ratioIn = (frame: number) => ratios[frame]?.[object] ?? Infinity;
		return frames.toSorted((a, b) => ratioIn(a) - ratioIn(b)).slice(0, 1);
	});
	return {
		exercise: 'three-objects',
		inFocus,
		framesOf,
		score: { good: best.length, of: OBJECTS.length },
		best
	};
}
