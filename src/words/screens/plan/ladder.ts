import type { Shown } from '../shown';

export const ladderText = {
	asIntended: (state: Shown) => `${state}, as intended`,
	notAsIntended: (state: Shown) => `${state}, not as intended`,
	ofSharpWorst: (held: Shown, cell: Shown, state: Shown) =>
		`${held} of ${cell} sharp, worst ${state}`,
	ladderOfFNumbers: 'Ladder of f-numbers',
	unlockF: (shownF: Shown) => `unlock f/${shownF}`,
	lockF: (shownF: Shown) => `lock f/${shownF}`,
	thePick: ', the pick',
	theSmallOpeningSoftensIt: ', the small opening softens it',
	theSmallOpeningSoftensThePicture: 'The small opening softens the picture'
} as const;

export const stepperText = {
	wider: 'wider',
	sharp: (sharpPeople: Shown, people: Shown) => `${sharpPeople}/${people} sharp`,
	narrower: 'narrower',
	backTo: (pick: Shown) => `back to ${pick}`
} as const;

export const ladderTableText = {
	lensPercentOfItsBest: 'lens, % of its best',
	theLensItselfIsSofterHere: 'the lens itself is softer here',
	goodOf100Frames: 'good of 100 frames',
	flashPower1: 'flash power, 1/',
	shutter1: 'shutter, 1/'
} as const;
