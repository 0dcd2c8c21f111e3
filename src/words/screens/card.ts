import type { Shown } from './shown';

export const cardFaceText = {
	nothingYet: 'nothing yet',
	theFrameARingAround: (nothingYet: Shown) => `The frame; a ring around ${nothingYet}`,
	lookAt: 'look at'
} as const;

export const cardScreenText = {
	previousCard: 'previous card',
	of: (index: Shown, count: Shown) => `${index} of ${count}`,
	taken: '✓ taken',
	skipped: 'skipped',
	nextCard: 'next card',
	changedOnTheSpotThePlan: 'Changed on the spot. The plan stays as it is.',
	taken2: 'Taken…',
	skip: 'Skip',
	stillToDo: 'Still to do',
	now: 'Now:',
	shootItWithThePracticeCamera: 'Shoot it with the practice camera…',
	theScreenStaysAwakeWhileThe: 'The screen stays awake while the card is open.',
	thisBrowserLetsTheScreenFall: 'This browser lets the screen fall asleep.'
} as const;

export const stepRowText = {
	planned: (planned: Shown) => `planned ${planned}`
} as const;

export const steppersText = {
	ev: (what: Shown) => `EV ${what}`,
	itTurnedOutDifferently: 'It turned out differently',
	fromTheSensorMark: 'from the sensor mark',
	distanceFromTheSensorMark: 'distance from the sensor mark',
	frontToBack: 'front to back',
	howManyPeople: 'how many people',
	rows: 'rows',
	mm: (n: Shown) => `${n} mm`,
	flashToThem: 'flash to them',
	flashPowerByTheIso: 'flash power, by the ISO',
	backToThePlan: 'Back to the plan',
	makeItThePlan: 'Make it the plan'
} as const;

export const takenSheetText = {
	taken: 'Taken',
	theSettingsYouReallyUsedFor: 'The settings you really used, for later.'
} as const;

export const unplannedScreenText = {
	one: 'one',
	two: 'two',
	aRow: 'a row',
	twoRows: 'two rows',
	threeRows: 'three rows',
	fourRows: 'four rows',
	notSaid: 'not said',
	theLens: 'the lens',
	howMuchOfThem: 'how much of them',
	howMany: 'how many',
	aShotNobodyPlannedThreeTaps: 'A shot nobody planned: three taps to a verdict, or one photograph.',
	back: 'Back',
	people: 'people',
	keepItAsAShotOf: 'Keep it as a shot of the day',
	choose: (join: Shown) => `Choose ${join}.`
} as const;

export const cardText = {
	itTurnedOutDifferently: 'it turned out differently',
	backToThePlan: 'back to the plan',
	makingItThePlan: 'making it the plan',
	markingAs: (planned: Shown, status: Shown) => `marking “${planned}” as ${status}`
} as const;
