import type { LensOnShot } from '$core/advice/lensOnShot';
import type { Lens } from '$core/format/shot';
import { distance, fStop, type Units } from './numbers';

/** Lenses that are weighed against each other, in words. */

/** "85 mm" or "24 to 70 mm". */
export const reachWords = ({ focalMm: [short, long] }: Pick<Lens, 'focalMm'>): string =>
	short === long ? `${short} mm` : `${short} to ${long} mm`;

/** "f/1.4" or "f/3.5 to 5.6". */
export const widestWords = ({ widestFNumber: [short, long] }: Pick<Lens, 'widestFNumber'>) =>
	short === long ? fStop(short) : `${fStop(short)} to ${long}`;

/** Nobody moves for less, m. */
const LEAST_MOVE_M = 0.05;

/** "at 85 mm, f/2.8: 69 of 100 good, background as wanted, 92 % of its best". */
export function lensOnShotWords(made: LensOnShot | null, units: Units): string {
	if (!made) return 'it cannot be framed so';
	const { focalMm, fNumber, goodShare, intents, intentsMet, isOutOfRoom, backM, sharpShare } = made;
	const moved =
		Math.abs(backM) < LEAST_MOVE_M
			? ''
			: `, ${distance(Math.abs(backM), units)} ${backM > 0 ? 'farther back' : 'nearer'}`;
	const at = `at ${Math.round(focalMm)} mm${moved}`;
	if (isOutOfRoom) return `${at}: no room for that`;
	if (fNumber === null) return `${at}: too near to focus`;
	const background =
		intents === 0
			? ''
			: intentsMet === intents
				? ', background as wanted'
				: `, background as wanted in ${intentsMet} of ${intents}`;
	const sharp = sharpShare === null ? '' : `, ${Math.round(100 * sharpShare)} % of its best`;
	return `${at}, ${fStop(fNumber)}: ${Math.round(100 * goodShare)} of 100 good${background}${sharp}`;
}
