import { arrangementsText as say } from '$words/screens/keeping';
import { commonText as common } from '$words/screens/common';
import type { FigurePart } from '$core/anatomy/figure';
import { setUp } from '$core/arrange/setUp';
import type { Lens, Shot } from '$core/format/shot';
import { newShot } from './newShot';

/** Arrangements that a new shot can start from. */
export interface Arrangement {
	readonly key: string;
	readonly title: string;
	/** How many in each row, the front row first. */
	readonly counts: readonly number[];
	readonly part: FigurePart;
	readonly motion?: 'walking';
}

export const ARRANGEMENTS: readonly Arrangement[] = [
	{ key: 'portrait', title: say.onePerson, counts: [1], part: 'head-and-shoulders' },
	{ key: 'couple', title: common.aCouple, counts: [2], part: 'waist-up' },
	{ key: 'walk', title: say.twoWalkingIn, counts: [2], part: 'full-length', motion: 'walking' },
	{ key: 'row', title: say.aRowOfSix, counts: [6], part: 'waist-up' },
	{ key: 'steps', title: say.threeRowsOnSteps, counts: [5, 6, 4], part: 'full-length' },
	{ key: 'crowd', title: say.aCrowd, counts: [8, 9, 8, 9], part: 'full-length' }
];

/** A new shot in an arrangement, with a lens. */
export const arranged = (arrangement: Arrangement, lens: Lens): Shot =>
	arrangedIn(newShot(arrangement.title), arrangement, lens);

/** The same in a shot that has nobody yet. */
export function arrangedIn(blank: Shot, { counts, part, motion }: Arrangement, lens: Lens): Shot {
	const { shot } = setUp(blank, lens, counts, part);
	if (!motion) return shot;
	return { ...shot, people: shot.people.map((one) => ({ ...one, motion })) };
}
