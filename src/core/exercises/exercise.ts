import type { ReviewedSet } from '../review/reviewSet';

/** What photographers practise at a table and in a room, judged by what was measured in their frames. */

/** How much of an exercise was done as it should be. */
export interface Score {
	readonly good: number;
	readonly of: number;
}

/** Objects that stand on a diagonal, the nearest first: by these ids they are pointed at. */
export const OBJECTS = ['first', 'second', 'third'] as const;

/** Blur over what is allowed of each object; null where it is not found, or nothing can be told. */
export type ObjectRatios = readonly (number | null)[];

/** Of each frame. */
export function objectRatios({ people, frames }: ReviewedSet): ObjectRatios[] {
	const places = OBJECTS.map((id) => people.findIndex((person) => person.id === id));
	return frames.map(({ faces }) => places.map((place) => faces[place]?.ratio ?? null));
}

/**
 * The same where only depth is asked: what lens, opening and pixels do to all of them is taken off, as the square of what
 * blurs the sharpest; no more than is allowed, so that a frame that is shaken does not pass for sharp.
 */
export function depthRatios(ratios: ObjectRatios): ObjectRatios {
	const common = Math.min(1, ...ratios.flatMap((ratio) => ratio ?? []));
	return ratios.map((ratio) => ratio && Math.sqrt(Math.max(0, ratio ** 2 - common ** 2)));
}

/** Which object is sharpest in a frame; null where none is sharp. */
export function sharpObject(ratios: ObjectRatios): number | null {
	const known = ratios.flatMap((ratio, object) => (ratio === null ? [] : [{ ratio, object }]));
	const best = known.toSorted((a, b) => a.ratio - b.ratio)[0];
	return best && best.ratio <= 1 ? best.object : null;
}
