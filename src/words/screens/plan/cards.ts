import type { Shown } from '../shown';

export const cameraCardText = {
	support: 'support',
	held: 'held',
	turnedRight: 'turned right',
	tiltedUp: 'tilted up',
	bodyAndLens: 'body and lens',
	addThisToTheKit: (lens: Shown) => `Add this ${lens} to the kit`,
	theInYourKitHasDifferent: (body: Shown) =>
		`The ${body} in your kit has different settings from this shot’s.`,
	bringItUpToDate: 'Bring it up to date'
} as const;

export const namesSheetText = {
	fromLeftToRight: 'From left to right',
	theOthers: 'The others',
	namesRowByRow: 'Names, row by row',
	typeFromHeadToHeadWith: 'Type from head to head with Tab, or paste a whole list into the first.',
	of: (n: Shown, i: Shown, ids: Shown) => `${n}, ${i} of ${ids}`
} as const;

export const personCardText = {
	toTheRight: ', to the right',
	toTheLeft: ', to the left',
	headTurned: (wayWords: Shown) => `head turned${wayWords}`,
	moves: 'moves',
	nodLeanBuild: 'nod, lean, build',
	chinDown: 'chin down',
	leaned: 'leaned'
} as const;

export const rowCardText = {
	endsComeInBy: 'ends come in by',
	onePersonNothingToSpaceOut: 'One person: nothing to space out.',
	names: 'Names…'
} as const;

export const selectionCardText = {
	settingsOfTheSelection: 'Settings of the selection',
	camera: 'Camera',
	rowOf: (row: Shown) => `Row of ${row}`,
	moveBy: (smallLength: Shown) => `Move by ${smallLength}`,
	moveLeft: 'move left',
	moveRight: 'move right',
	moveUp: 'move up',
	moveDown: 'move down',
	turnOneWay: 'turn one way',
	turnTheOtherWay: 'turn the other way'
} as const;

export const thingCardText = {
	shouldBe: 'should be',
	smallestDetail: 'smallest detail',
	wide: 'wide',
	high: 'high',
	looksLike: 'looks like',
	itIsHidden: '; it is hidden',
	ofItCanBeSeen: (seen: Shown) => `; ${seen} of it can be seen`,
	nowPercentOfItsDetailsContrast: (state: Shown, n: Shown, ofItCanBeSeen: Shown) =>
		`Now ${state}: ${n} % of its detail’s contrast is left${ofItCanBeSeen}.`
} as const;
