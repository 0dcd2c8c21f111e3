import type { PointedSpot } from '$core/format/review';
import { bestLike } from '$core/measure/likeness';
import { measuredSpot } from './measureFrame';
import type { Place, Pyramid } from './faces/pyramid';
import { patchAt } from './patch';

/** Something that was pointed at in one picture, looked for in another of the same set, and measured like an eye. */

/** What was pointed at, in the picture in which it was. */
export interface Pointing extends Place {
	readonly id: string;
	/** Half of what is looked at, px. */
	readonly reachPx: number;
}

/** It is looked for in a picture that was made small first, then closer and closer: side of the template, px, and how far around. */
const LOOKS = [
	{ templatePx: 20, around: 6 },
	{ templatePx: 40, around: 1.5 },
	{ templatePx: 80, around: 1.5 }
] as const;
/** Less like it than that is something else. */
const LEAST_LIKENESS = 0.55;
/** More pixels across tell nothing more. */
const MOST_PX = 256;

/** Null where nothing is like it. */
export function followed(
	from: Pyramid,
	{ id, x, y, reachPx }: Pointing,
	into: Pyramid
): PointedSpot | null {
	let at: Place = { x, y };
	let likeness = 1;
	for (const [i, { templatePx, around }] of (from === into ? [] : LOOKS).entries()) {
		const template = patchAt(from, { x, y }, reachPx, templatePx);
		const within = patchAt(into, at, around * reachPx, around * templatePx);
		// pictures of two sizes are not of one set
		if (within.scale !== template.scale) return null;
		const best = bestLike(template.light, template.sidePx, within.light, within.sidePx);
		// what is fine differs with blur: likeness is that of the whole
		if (i === 0) likeness = best.likeness;
		if (likeness < LEAST_LIKENESS) return null;
		at = {
			x: at.x + (best.x - within.sidePx / 2) * within.scale,
			y: at.y + (best.y - within.sidePx / 2) * within.scale
		};
	}
	return { ...measuredSpot(into, at, reachPx, MOST_PX), id, reachPx, likeness };
}
