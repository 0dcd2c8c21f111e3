import type { AdviceData, MoveMade, MoveMadeOf } from '$core/format/advice';
import type { Shot } from '$core/format/shot';
import { nameOfId, namesOf, personName } from './names';
import { fStop, smallLength, stopsInWords, type Units } from './numbers';

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
	'off-background': ({ byM }, _, units) =>
		`Move everyone ${smallLength(byM, units)} away from the background, and yourself with them`,
	'other-lens': ({ lens, focalMm, backM }, _, units) => {
		const what = `${lens}${focalMm === null ? '' : ` at ${Math.round(focalMm)} mm`}`;
		if (Math.abs(backM) < 0.1) return `Take the ${what}`;
		const way = backM > 0 ? 'farther back' : 'nearer';
		return `Take the ${what}, ${smallLength(Math.abs(backM), units)} ${way}`;
	},
	'softer-need': ({ personId }, shot) => `Let ${nameOfId(shot, personId)} be a little soft`,
	'give-up-thing': ({ thingId }, shot) =>
		`Let the ${nameOfId(shot, thingId)} be known rather than sharp`,
	'give-up': ({ personIds, need }, shot) => {
		const names = namesOf(
			personIds.map((id) => personName(shot, id)),
			personIds.length
		);
		return need === 'soft'
			? `It cannot be had whole. Give up full sharpness for ${names}`
			: `It cannot be had whole. Leave out of the reckoning ${names}`;
	}
};

function moveWords(move: MoveMade, shot: Shot, units: Units): string {
	const say = MOVES[move.code] as (move: MoveMade, shot: Shot, units: Units) => string;
	return say(move, shot, units);
}

function gainWords({ gain, fNumber }: AdviceData): string {
	const f = fStop(fNumber);
	switch (gain.kind) {
		case 'holds-everyone':
			return `${f} then holds everyone`;
		case 'background-comes':
			return `the background then comes as intended, at ${f}`;
		case 'background-gone':
			return `that part of the background is gone, at ${f}`;
		case 'stops':
			return `gains ${stopsInWords(gain.stops)}, ${f} is enough`;
	}
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** "Close the rows up: the back row 35 cm forward: gains 0.8 stops, f/4 is enough." */
export function adviceText(advice: AdviceData, shot: Shot, units: Units): string {
	const [first = '', ...rest] = advice.moves.map((move) => moveWords(move, shot, units));
	return `${[first, ...rest.map(lowerFirst)].join(', and ')}: ${gainWords(advice)}.`;
}
