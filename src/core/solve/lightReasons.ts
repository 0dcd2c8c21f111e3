import type { Reason } from '../format/plan';
import type { Shot } from '../format/shot';
import { isoWords, shutterWords } from '../light/dials';
import type { Exposure, LightFlag } from '../light/exposure';
import { GROUP_PREFERRED_S, type Floor } from '../light/shutterFloor';
import { floorOf, isFrozen, type Floors } from './light';
import { aStop, nameOfId } from './names';

/** What the light does to a plan, in words. */

/** Why the shutter must not be slower. */
function floorReason(shot: Shot, { why, shutterS, personId }: Floor): Reason {
	const name = nameOfId(shot, personId);
	const because = {
		hands: `at ${Math.round(shot.camera.focalMm)} mm hands ask for it`,
		motion: `${name} moves`,
		group: 'among three or more people somebody always moves',
		anyone: 'nobody keeps quite still'
	}[why];
	return {
		code: 'shutter',
		text: `No slower than ${shutterWords(shutterS)}: ${because}.`,
		shutterS,
		why,
		...(personId ? { personId } : {})
	};
}

/** What is wrong with the exposure and what would mend it. */
function flagReason(shot: Shot, flag: LightFlag, exposure: Exposure): Reason {
	const { iso, shutterS, shortStops, roomBelowStops } = exposure;
	const stops = aStop(shortStops);
	const isFlash = shot.light?.mode === 'flash';
	const words: Readonly<Record<LightFlag, string>> = {
		'iso-high': `Too dark: it asks for ${isoWords(iso)}, ${stops} over this body’s highest. More light, or a steadier hold, or a wider opening.`,
		'too-bright': isFlash
			? `The flash is ${stops} too strong even at its least: take it farther away, or stop down.`
			: `Too bright for this opening: ${shutterWords(shutterS)} is faster than this body has. A grey filter of ${stops} mends it.`,
		'too-slow': `With the ISO held, the shutter comes to ${shutterWords(shutterS)}, ${stops} too slow for hands or people.`,
		'no-power': `The flash is ${stops} short of power: bring it nearer, open up, or raise the ISO.`,
		sync: `People or hands ask for a shutter faster than the flash allows (${shutterWords(shutterS)}).`,
		'room-light': `The room is only ${aStop(roomBelowStops ?? 0)} below the flash and shows beside it: movement may leave a ghost.`
	};
	return { code: flag, text: words[flag], ...(shortStops > 0 ? { shortStops } : {}) };
}

/** Reasons of an exposure; of the shutter's floor alone while nothing is known of the light. */
export function lightReasons(shot: Shot, floors: Floors, exposure: Exposure | null): Reason[] {
	const frozen = exposure !== null && isFrozen(exposure);
	const floor = frozen ? floors.hands : floorOf(floors);
	const isGroup = floors.people?.why === 'group';
	return [
		...(floor ? [floorReason(shot, floor)] : []),
		...(exposure?.flags.map((flag) => flagReason(shot, flag, exposure)) ?? []),
		...(frozen
			? [
					{
						code: 'frozen',
						text: 'Without the flash a frame is black: the flash freezes everybody.'
					}
				]
			: []),
		...(exposure && !frozen && isGroup && exposure.shutterS > GROUP_PREFERRED_S * 1.01
			? [
					{
						code: 'group-shutter',
						text: `For a group ${shutterWords(GROUP_PREFERRED_S)} is better, if the light allows.`
					}
				]
			: [])
	];
}
