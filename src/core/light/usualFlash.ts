import type { Shot } from '../format/shot';

type Flash = Extract<NonNullable<Shot['light']>, { mode: 'flash' }>;

/** Guide number of a usual flash that sits on a body, at ISO 100, m. Common practice, no source. */
const GUIDE_NUMBER_M = 36;
/** A room is darker than this, EV at ISO 100. */
const ROOM_EV = 7;

/** A usual flash at a distance, with the room as it is. */
export const usualFlash = (ev100: number, distanceM: number): Flash => ({
	mode: 'flash',
	guideNumberM: GUIDE_NUMBER_M,
	distanceM,
	ambientEv100: Math.min(ev100, ROOM_EV),
	leastPower: 1 / 128
});
