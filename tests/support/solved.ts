import type { Take } from '$core/study/candidate';
import type { Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import { solve as solveBy, type Solution } from '$core/study/plan';
import { study as studyBy, type Study } from '$core/study/study';
import { ASSUMED, type Spreads } from '$core/tables/spreads';

/** Shots worked out with the assumed spreads of hands and focusing. */

export const study = (shot: Shot, spreads: Spreads = ASSUMED): Study =>
	studyBy(shot, chanceOf(spreads));
export const solve = (shot: Shot, spreads: Spreads = ASSUMED): Solution =>
	solveBy(shot, chanceOf(spreads));

/** What a shot's choices come to. @throws when there is nothing to focus on */
export function takeOf(shot: Shot): Take {
	const { taken } = study(shot);
	if (!taken) throw new Error('nothing to focus on');
	return taken;
}
