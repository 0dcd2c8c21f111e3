import type { PointedSpot } from '$core/format/review';
import { bestLike } from '$core/measure/likeness';
import { measuredSpot } from './measureFrame';
import type { PixelPlace, Pyramid } from './faces/pyramid';
import { patchAt } from './patch';

/** Something that was pointed at in one picture, looked for in another of the same set, and measured like an eye. */

/** What was pointed at, in the picture in which it was. */
export interface PointedAt extends PixelPlace {
	readonly id: string;
	/** Whose eye it is, of the plan; a thing has nobody. */
	readonly personId?: string | undefined;
	/** Half of what is looked at, px. */
	readonly reachPx: number;
}

/** One look: side of the template, px, and how many times as far around it is looked for. */
interface Look {
	readonly templatePx: number;
	readonly around: number;
}

/** It is looked for in a picture that was made small first, then closer and closer. */
const LOOKS: readonly Look[] = [
	{ templatePx: 20, around: 6 },
	{ templatePx: 40, around: 1.5 },
	{ templatePx: 80, around: 1.5 }
];
/** The share of an eye's patch that the lids leave open, and how it is looked for. */
const OPEN_SHARE = 0.3;
const OPEN_LOOK: Look = { templatePx: 20, around: 1.8 };
/** As like says where it is better than all around does. */
const LEAST_OPEN = 0.75;
/** Less like it than that is something else. */
const LEAST_LIKENESS = 0.55;
/** More pixels across tell nothing more. */
const MOST_PX = 256;

/** Null where nothing is like it. */
export function findPointedAt(
	from: Pyramid,
	pointing: PointedAt,
	into: Pyramid
): PointedSpot | null {
	const { id, personId, reachPx } = pointing;
	let at: PixelPlace = pointing;
	let likeness = 1;
	let openLikeness: number | undefined;
	if (from !== into) {
		for (const [i, look] of LOOKS.entries()) {
			const found = looked(from, pointing, into, at, reachPx, look);
			// what is fine differs with blur: likeness is that of the whole
			if (i === 0) likeness = found?.likeness ?? 0;
			if (!found || likeness < LEAST_LIKENESS) return null;
			at = found;
		}
		if (personId !== undefined) {
			const open = looked(from, pointing, into, at, OPEN_SHARE * reachPx, OPEN_LOOK);
			openLikeness = open?.likeness;
			if (open && open.likeness >= LEAST_OPEN) at = open;
		}
	}
	const spot = { ...measuredSpot(into, at, reachPx, MOST_PX), id, reachPx, likeness };
	return {
		...spot,
		...(personId !== undefined && { personId }),
		...(openLikeness !== undefined && { openLikeness })
	};
}

/** Where in a picture it is most like a place of another; null where the two are not of one set: of two sizes. */
function looked(
	from: Pyramid,
	place: PixelPlace,
	into: Pyramid,
	around: PixelPlace,
	reachPx: number,
	look: Look
): (PixelPlace & { readonly likeness: number }) | null {
	const template = patchAt(from, place, reachPx, look.templatePx);
	const within = patchAt(into, around, look.around * reachPx, look.around * look.templatePx);
	if (within.scale !== template.scale) return null;
	const best = bestLike(template.light, template.sidePx, within.light, within.sidePx);
	return {
		x: around.x + (best.x - within.sidePx / 2) * within.scale,
		y: around.y + (best.y - within.sidePx / 2) * within.scale,
		likeness: best.likeness
	};
}
