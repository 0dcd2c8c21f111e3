import type { ReviewedSet } from '../review/reviewSet';

/** What photographers practise at a table and in a room, judged by what was measured in their frames. */

/** How much of an exercise was done as it should be. */
export interface Score {
	readonly good: number;
	readonly of: number;
}

/** Objects that stand on a diagonal, the nearest first: by these ids they are pointed at. */
export const OBJECTS = ['first', 'second', 'third'] as const;

/**
 * Blur over what is allowed of each object in each frame; null where it is not found, or nothing can be told. What lens,
 * opening and pixels do to all of them is taken off, as the square of what blurs the sharpest: it is depth that is asked.
 */
export function objectRatios({ people, frames }: ReviewedSet): (readonly (number | null)[])[] {
	const places = OBJECTS.map((id) => people.findIndex((person) => person.id === id));
	return frames.map(({ faces }) => {
		const ratios = places.map((place) => faces[place]?.ratio ?? null);
		const common = Math.min(1, ...ratios.flatMap((ratio) => ratio ?? []));
		return ratios.map((ratio) =>
			ratio === null ? null : ratio <= 1 ? ratio : Math.sqrt(ratio ** 2 - common ** 2)
		);
	});
}

/** Which object is sharpest in a frame; null where none is sharp. */
export function sharpObject(ratios: readonly (number | null)[]): number | null {
	const known = ratios.flatMap((ratio, object) => (ratio === null ? [] : [{ ratio, object }]));
	const best = known.toSorted((a, b) => a.ratio - b.ratio)[0];
	return best && best.ratio <= 1 ? best.object : null;
}
