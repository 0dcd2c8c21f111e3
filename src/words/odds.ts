import type { Shot } from '$core/format/shot';
import type { Odds, Share } from '$core/odds/odds';
import type { Cause } from '$core/format/odds';
import { nameOf, spotRef } from './names';
import { capital, count, percent } from './numbers';

/** Odds as one says them: nothing is certain. */

/** "about 62 %", "under 1 %", "over 99 %". */
export function aboutShare(share: number): string {
	if (share < 0.005) return 'under 1 %';
	if (share > 0.995) return 'over 99 %';
	return `about ${percent(share)}`;
}

/** "58 to 66 %" */
export const between = ({ low, high }: Pick<Share, 'low' | 'high'>): string =>
	`${Math.round(low * 100)} to ${percent(high)}`;

/** Above this nobody takes so many: something must change instead. */
const MOST_FRAMES = 60;

/** From this share on it is said beside the frames to take that somebody blinks. */
const MANY_BLINKS = 0.2;

/** "Take six frames to be 95 % sure of one good one. Somebody blinks in about 44 % of them." */
export function framesSentence({ toTake, share, causes }: Odds): string {
	if (toTake === null) return 'None of the frames tried was good: see why.';
	if (toTake > MOST_FRAMES) return `Hardly a frame would be good (${aboutShare(share)}): see why.`;
	if (toTake === 1) return 'One frame is enough to be 95 % sure; take two.';
	// all faces may hold, and yet few frames be good
	const blinking = causes.find(({ cause }) => cause === 'blinking')?.share ?? 0;
	const blinks =
		blinking < MANY_BLINKS ? '' : ` Somebody blinks in ${aboutShare(blinking)} of them.`;
	return `Take ${count(toTake)} frames to be 95 % sure of one good one.${blinks}`;
}

const CAUSES: Readonly<Record<Cause, string>> = {
	depth: 'there is not enough depth at this f-number',
	camera: 'you sway between focus and release',
	focusing: 'the focusing is a little off',
	reframing: 'reframing leaves the focus behind',
	people: 'people sway or walk on',
	motion: 'people move while the shutter is open',
	shake: 'the camera shakes',
	'wrong-place': 'the camera takes something else than you meant',
	blinking: 'somebody blinks'
};

/** "In about 20 % of the frames somebody blinks." */
export const causeSentence = ({ cause, share }: Odds['causes'][number]): string =>
	`${capital(aboutShare(share))} of the frames are lost because ${CAUSES[cause]}.`;

/** Who is lost most often, and how often. */
export function hardestSentence(shot: Shot, { hardest }: Odds): string {
	if (!hardest) return '';
	return `${nameOf(shot, spotRef(hardest))} is lost most often, in ${aboutShare(hardest.missed)} of the frames.`;
}
