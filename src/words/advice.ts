import type { AdviceData, MoveMade, MoveMadeOf } from '$core/format/advice';
import type { Shot } from '$core/format/shot';
import { isoWords, shutterWords } from './light';
import { isPlural, nameOfId, namesOf, personName } from './names';
import { distance, fineLength, fStop, smallLength, stopsInWords, type Units } from './numbers';

/** Advice as one would say it to oneself or to the people. */

type Sayings = {
	readonly [C in MoveMade['code']]: (move: MoveMadeOf<C>, shot: Shot, units: Units) => string;
};

const MOVES: Sayings = {
	'step-back': ({ byM }, _, units) => `Step back ${smallLength(byM, units)} and leave room to crop`,
	'step-back-and-lengthen': ({ byM, focalMm }, _, units) =>
		`Step back ${smallLength(byM, units)} and zoom to ${focalMm} mm`,
	'raise-camera': ({ byM }, _, units) =>
		`Raise the camera ${smallLength(byM, units)} and tilt it down`,
	'close-rows': ({ byM }, _, units) =>
		`Close the rows up: the back row ${smallLength(byM, units)} forward`,
	'line-up': ({ byM, rows, isBent }, _, units) => {
		const what = isBent
			? 'Bend the rows to the lens'
			: rows > 1
				? 'Straighten the rows'
				: 'Stand in one line';
		return `${what}: nobody moves more than ${smallLength(byM, units)}`;
	},
	'turn-head': ({ personId, byDeg }, shot) =>
		`${nameOfId(shot, personId)} turns ${Math.round(byDeg)}° towards the camera`,
	'off-background': ({ byM, thingId }, shot, units) =>
		`Move everyone ${smallLength(byM, units)} away from the ${nameOfId(shot, thingId)}, and yourself with them`,
	'bring-nearer': ({ byM, thingId }, shot, units) =>
		`Bring the ${nameOfId(shot, thingId)} ${smallLength(byM, units)} nearer to them, or them to it`,
	'near-lens': ({ byM, thingId }, shot, units) =>
		`Hold the ${nameOfId(shot, thingId)} ${smallLength(byM, units)} nearer to the lens`,
	'hang-higher': ({ byM, thingId }, shot, units) =>
		`Hang the ${nameOfId(shot, thingId)} ${smallLength(byM, units)} higher, above them`,
	larger: ({ detailMm, thingId }, shot, units) =>
		`Make the ${nameOfId(shot, thingId)} larger: ${fineLength(detailMm, units)} to be read`,
	'f-number': ({ isWider }) => (isWider ? 'Open up' : 'Stop down'),
	'other-lens': ({ lens, focalMm, backM }, _, units) => {
		const what = `${lens}${focalMm === null ? '' : ` at ${Math.round(focalMm)} mm`}`;
		if (Math.abs(backM) < 0.1) return `Take the ${what}`;
		const way = backM > 0 ? 'farther back' : 'nearer';
		return `Take the ${what}, ${smallLength(Math.abs(backM), units)} ${way}`;
	},
	'softer-need': ({ personId }, shot) => `Let ${nameOfId(shot, personId)} be a little soft`,
	'give-up-thing': ({ thingId }, shot) =>
		`Let the ${nameOfId(shot, thingId)} be known rather than sharp`,
	hold: ({ support }) =>
		({
			braced: 'Lean on something',
			kneeling: 'Kneel',
			monopod: 'Take a monopod',
			tripod: 'Take a tripod'
		})[support],
	'faster-shutter': ({ shutterS, iso }) => `Take ${shutterWords(shutterS)} at ${isoWords(iso)}`,
	'more-light': ({ stops }) =>
		`Find ${stops === 1 ? 'a stop' : stopsInWords(stops)} more light, by a window or a lamp`,
	flash: ({ distanceM }, _, units) => `Take a flash, ${distance(distanceM, units)} from them`,
	'focus-by': ({ focusBy }) =>
		({
			point: 'Put the focus point there yourself',
			'eye-found': 'Let the camera find the eye',
			'hand-magnified': 'Focus by hand, magnified'
		})[focusBy],
	'third-more': () => 'Stop down a third more',
	'near-eye': ({ personId }, shot) => `Ask only for ${nameOfId(shot, personId)}’s near eye`,
	'give-up': ({ personIds, need }, shot) => {
		const names = namesOf(
			personIds.map((id) => personName(shot, id)),
			personIds.length
		);
		return need === 'soft'
			? `They cannot all be sharp. Give up full sharpness for ${names}`
			: `They cannot all be sharp. Plan without ${names}`;
	}
};

function moveWords(move: MoveMade, shot: Shot, units: Units): string {
	const say = MOVES[move.code] as (move: MoveMade, shot: Shot, units: Units) => string;
	return say(move, shot, units);
}

/** What it brings, in stops where that is what it is. */
function gainWords({ gain, fNumber }: AdviceData, shot: Shot): string {
	const f = fStop(fNumber);
	switch (gain.kind) {
		case 'holds-everyone':
			return `${f} then holds everyone`;
		case 'background-comes':
			return `${thingsOf(gain.thingIds, shot)} then as intended, at ${f}`;
		case 'background-gone':
			return `${thingsOf(gain.thingIds, shot)} then out of the frame, at ${f}`;
		case 'stops':
			return `gains ${stopsInWords(gain.stops)}, then ${f}`;
		case 'frames':
			return `at ${f}`;
	}
}

/** "the sign is", "the sign and the lanterns are". */
function thingsOf(ids: readonly string[], shot: Shot): string {
	const names = ids.map((id) => `the ${nameOfId(shot, id)}`);
	return `${namesOf(names)} ${names.length > 1 || isPlural(names[0] ?? '') ? 'are' : 'is'}`;
}

/** "14 more good frames in a hundred"; empty where it changes nothing. */
function framesWords({ gainFrames }: AdviceData): string {
	const frames = Math.round(gainFrames);
	if (frames === 0) return '';
	const many = Math.abs(frames);
	return `${many} ${frames > 0 ? 'more' : 'fewer'} good ${many === 1 ? 'frame' : 'frames'} in a hundred`;
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** What to do and what it brings: a sentence, and its parts for where there is little room. */
export interface AdviceWords {
	/** "Close the rows up: the back row 35 cm forward". */
	readonly move: string;
	/** "all sharp", "+14 in 100", or stops where no frames are gained. */
	readonly gain: string;
	/** "Close the rows up: the back row 35 cm forward: gains a stop, f/4 is enough, 14 more good frames in a hundred." */
	readonly text: string;
}

export function adviceWords(advice: AdviceData, shot: Shot, units: Units): AdviceWords {
	const [first = '', ...rest] = advice.moves.map((move) => moveWords(move, shot, units));
	const move = [first, ...rest.map(lowerFirst)].join(', and ');
	const frames = framesWords(advice);
	return {
		move,
		gain: shortGain(advice),
		text: `${move}: ${[gainWords(advice, shot), frames].filter((part) => part !== '').join(', ')}.`
	};
}

function shortGain({ gain, gainFrames, fNumber }: AdviceData): string {
	const frames = Math.round(gainFrames);
	if (gain.kind === 'holds-everyone') return 'all sharp';
	if (frames > 0) return `+${frames} in 100`;
	switch (gain.kind) {
		case 'background-comes':
		case 'background-gone':
			return 'background';
		case 'stops':
			return `+${stopsInWords(gain.stops)}`;
		case 'frames':
			return fStop(fNumber);
	}
}
