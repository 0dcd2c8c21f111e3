import type { Reason, ReasonOf, SpotRef } from '$core/format/reasons';
import type { Shot } from '$core/format/shot';
import { isoWords, powerWords, shutterWords } from './light';
import { nameOf, nameOfId, namesOf } from './names';
import {
	decimal,
	distance,
	fineLength,
	fStop,
	rounded,
	shareInWords,
	smallLength,
	stopsInWords,
	type Units
} from './numbers';
import { RULES } from '$core/tables/rules';

/** Why a plan is as it is, as one says it. */

interface Saying {
	readonly shot: Shot;
	readonly units: Units;
}

type Sayings = {
	readonly [C in Reason['code']]: (reason: ReasonOf<C>, saying: Saying) => string;
};

/** Why somebody is not seen; with a name for what is in the way, if it is known. */
export function unseenWords(why: 'cut' | 'turned' | 'hidden', by = ''): string {
	return {
		cut: 'outside the frame',
		turned: 'turned away',
		hidden: `hidden behind ${by || 'others'}`
	}[why];
}

const REASONS: Sayings = {
	'nobody-seen': () => 'Nobody who should be sharp can be seen from here.',
	binding: (one, { shot }) =>
		`${nameOf(shot, one)} is the hardest to hold at ${fStop(one.fNumber)}.`,
	infeasible: (one, { shot }) =>
		`At ${fStop(one.fNumber)}, ${nameOf(shot, one)} is still ${stopsInWords(one.shortStops)} short of sharp.`,
	'no-margin': ({ safetyStops }) =>
		`Everyone is sharp, but without the margin asked for (${stopsInWords(safetyStops)}).`,
	diffraction: ({ fNumber }) =>
		`At ${fStop(fNumber)} the small opening itself softens the whole picture.`,
	'no-focus': () => 'There is nothing in the picture to focus on.',
	'too-close': ({ personId, thingId, closestFocusM }, { shot, units }) => {
		const who = nameOfId(shot, personId ?? thingId ?? null) || 'That distance';
		return `${who} is nearer than this lens can focus (${distance(closestFocusM, units)}).`;
	},
	lean: ({ leanM, gainStops }, { units }) =>
		`Focus locked, then a ${Math.abs(leanM) > RULES.longestLeanM ? 'step' : 'lean'} of ${smallLength(leanM, units)} ${leanM > 0 ? 'forward' : 'back'}, would gain ${stopsInWords(gainStops)}.`,
	'move-point': (one, { shot }) => {
		const level = one.isUpright ? ', the body held level' : '';
		// the points of a body of which nothing was said are anybody's guess
		if (!one.isGiven) return `Put a focus point on ${nameOf(shot, one)}.`;
		const where = `column ${one.column + 1} of ${one.columns}, row ${one.row + 1} of ${one.rows}`;
		return `Put a focus point on ${nameOf(shot, one)}: ${where}${level}.`;
	},
	reframe: (one, { shot }) =>
		`${unreached(one)}Lock on ${nameOf(shot, one)} with the middle point and turn only the wrists.`,
	between: ({ leanM, planeM, ...lock }, { shot, units }) =>
		leanM === null
			? `No eye holds them all: focus between them by hand, ${distance(planeM, units)} away.`
			: `No eye holds them all: lock on ${nameOf(shot, lock)}, then lean ${smallLength(Math.abs(leanM), units)} ${leanM > 0 ? 'forward' : 'back'}.`,
	manual: (one, { shot }) => {
		const spot = one.isSpot ? ` on ${nameOf(shot, one)}` : '';
		return one.canReframe
			? `${unreached(one)}Focus by hand${spot}, magnified.`
			: `${unreached(one)}Focus by hand${spot}, magnified: reframing would lose it.`;
	},
	'reframe-error': ({ errorM, ratio, worstRatio, holds }, { units }) => {
		const left = `Locking and reframing by the wrists would leave the focus ${smallLength(errorM, units)} behind`;
		return holds
			? `${left}: that uses ${Math.round(100 * ratio)} % of the blur allowed there, and everything stays sharp.`
			: `${left}: too much, as the worst blur would be ${decimal(worstRatio, 1)} of what is allowed.`;
	},
	box: ({ boxMm }, { units }) =>
		`A focus box covers ${fineLength(boxMm, units)} there, more than an eye: it may settle on brow, lashes or nose. Use a smaller one, or magnify.`,
	'outer-point': () =>
		'That is an outer focus point, less sensitive than the middle one: give it contrast, and check.',
	'mode-single': () => 'Single focusing, and release at once: while you wait, you and they move.',
	'mode-continuous': (one: SpotRef, { shot }) =>
		`Continuous focusing, held on ${nameOf(shot, one)}.`,
	tap: (one: SpotRef, { shot }) =>
		`Tap on ${nameOf(shot, one)} and hold until focus and light are locked, then keep still.`,
	'camera-takes': ({ left, isLeft, personId, thingId, softIds }, { shot }) => {
		const where = left === 'area' ? 'an area there' : 'the whole frame';
		const name = nameOfId(shot, personId ?? thingId ?? null);
		const what = personId ? name : `the ${name}`;
		const soft = namesOf(softIds.map((id) => nameOfId(shot, id)));
		const lost = soft ? `: ${soft} would be soft` : '';
		return isLeft
			? `The camera chooses in ${where}, and takes what is nearest with contrast, ${what}${lost}.`
			: `Left to itself in ${where}, the camera would take ${what}${lost}.`;
	},
	'focus-button': () =>
		'A separate focus button keeps the focus locked: the release then leaves it alone.',
	'focus-on-place': () =>
		'Or before they come: focus on the place, lock, and release as they reach it.',
	grid: ({ grid }) =>
		grid === 'coarse'
			? 'While they move, a coarse grid of points is quicker.'
			: 'While they keep still, there is time for the fine grid of points.',
	hunting: ({ why }) =>
		why === 'dark'
			? 'In so little light the focus may hunt: give it an edge with contrast, or light it for a moment.'
			: 'There is no contrast for the focus to find: use an edge, or focus by hand.',
	unseen: ({ personId, why, by }, { shot }) =>
		`${nameOfId(shot, personId)} is ${unseenWords(why, nameOfId(shot, by))}.`,
	outside: ({ thingId }, { shot }) => `${nameOfId(shot, thingId)} is outside the frame.`,
	'second-flash': ({ power, distanceM, ratio }, { units }) =>
		power === null
			? `The second flash does not have the power for that from ${distance(distanceM, units)}: bring it nearer.`
			: `The second flash at ${powerWords(power)} from ${distance(distanceM, units)}: where both fall it is ${rounded(ratio, 1)} to 1 against its own side.`,
	'room-colour': () =>
		'The room’s own light shows beside the flash, and lamps are warmer. A warming gel on the flash, with the white balance set for lamps, makes them match.',
	stretched: ({ personId, share }, { shot }) =>
		`${nameOfId(shot, personId)}, near the edge of so wide a lens, is drawn ${shareInWords(share)} too wide: move them towards the middle, or step back.`,
	shutter: ({ shutterS, why, personId = null, focalMm }, { shot }) => {
		const because = {
			hands: `at ${Math.round(focalMm)} mm hands need it`,
			motion: `${nameOfId(shot, personId)} moves`,
			group: 'in a group of three or more, somebody always moves',
			anyone: 'nobody keeps quite still',
			frames: 'slower, and hands or people spoil more than one frame in twenty',
			fixed: ''
		}[why];
		if (why === 'fixed') return `The shutter stays at ${shutterWords(shutterS)}, as you locked it.`;
		return `No slower than ${shutterWords(shutterS)}: ${because}.`;
	},
	spoilt: ({ share, by, shutterS }) =>
		`At ${shutterWords(shutterS)} ${by === 'hands' ? 'hands' : 'people who move'} would spoil ${portionWords(share)}.`,
	'iso-above-comfort': ({ iso, comfortIso }) =>
		`${isoWords(iso)} is above the ${isoWords(comfortIso)} you like to stay within.`,
	'iso-high': ({ iso, shortStops }) =>
		`Too dark even at ${isoWords(iso)}, by ${stopsInWords(shortStops)}. It needs more light, a steadier hold or a wider aperture.`,
	'too-bright': ({ shutterS, shortStops, isFlash }) =>
		isFlash
			? `The flash is ${stopsInWords(shortStops)} too strong even at its lowest power: move it farther away, or stop down.`
			: `Too bright for this aperture: ${shutterWords(shutterS)} is faster than this body goes. A grey filter of ${stopsInWords(shortStops)} solves it.`,
	'too-slow': ({ shutterS, shortStops }) =>
		`With the ISO held, the shutter comes to ${shutterWords(shutterS)}, ${stopsInWords(shortStops)} too slow for hands or people.`,
	'no-power': ({ shortStops }) =>
		`The flash is ${stopsInWords(shortStops)} short of power: bring it nearer, open up, or raise the ISO.`,
	sync: ({ shutterS }) =>
		`People or hands need a faster shutter than the flash allows (${shutterWords(shutterS)}).`,
	'room-light': ({ belowStops }) =>
		`The room is only ${stopsInWords(belowStops)} below the flash and shows beside it: movement may leave a ghost.`,
	frozen: () => 'Without the flash a frame is black: the flash freezes everybody.',
	'group-shutter': ({ shutterS }) =>
		`For a group ${shutterWords(shutterS)} is better, if the light allows.`,
	drive: ({ drive }) =>
		({
			bursts: 'Short bursts while they move.',
			several: 'Several frames, one after the other: somebody blinks or sways.',
			single: 'Single frames, refocused each time.'
		})[drive],
	metering: ({ metering }) =>
		metering === 'frame'
			? 'Meter the whole frame, watching the highlight warning.'
			: 'Meter on the focus point (some bodies tie it to the point in spot metering only); or on the whole frame, watching the highlight warning.',
	'exposure-mode': ({ mode, shutterS, iso }) =>
		({
			manual: 'Set f-number and shutter by hand, so that nothing drifts.',
			'iso-held': `Set the f-number and ${isoWords(iso)}; the shutter follows the light.`,
			aperture: `Set the f-number, let the ISO follow, and hold the shutter at ${shutterWords(shutterS)} or faster.`
		})[mode],
	stabiliser: ({ isOn }) => (isOn ? 'Stabiliser on.' : 'Stabiliser off on the tripod.'),
	highlights: ({ thingId }, { shot }) =>
		thingId
			? `Highlight warning on: the ${nameOfId(shot, thingId)} may burn out.`
			: 'Highlight warning on: white burns out in the sun.',
	level: () => 'Grid and level shown in the finder.'
};

/** "half of the frames", "65 frames in a hundred". */
const portionWords = (share: number): string =>
	Math.abs(share - 0.5) < 0.05
		? 'half of the frames'
		: `${Math.round(100 * share)} frames in a hundred`;

const unreached = ({ hasPoint }: { readonly hasPoint: boolean }): string =>
	hasPoint ? '' : 'No focus point reaches there. ';

/** One reason, in a sentence. */
export function reasonText(reason: Reason, shot: Shot, units: Units): string {
	const say = REASONS[reason.code] as (reason: Reason, saying: Saying) => string;
	return say(reason, { shot, units });
}

/** What to tell somebody whose shot asks for nothing. */
export const ASKS_FOR_NOTHING =
	'Nobody and nothing has to be sharp in this shot: choose at least one person or thing.';
