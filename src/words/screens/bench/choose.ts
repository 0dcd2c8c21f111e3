import type { Shown } from '../shown';

export const chooseLensText = {
	onTheShortlist: 'on the shortlist',
	offTheShortlist: 'off the shortlist',
	aLensToConsider: 'A lens to consider',
	aLensToConsider2: (i: Shown) => `A lens to consider ${i}`,
	aLensToConsider3: 'a lens to consider',
	aLensRemoved: 'a lens removed',
	lensesSideBySideOnOne:
		'Lenses side by side on one body: what each can do, and how the day would turn out with it.',
	sharpnessMeasuredOnOneBodySays:
		'Sharpness measured on one body says nothing about another. It is shown for',
	only: 'only.',
	reaches: 'reaches',
	opensAtLeastToF: 'opens at least to f/',
	considerOneYouDoNotOwn: 'Consider one you do not own',
	workingOutTheDay: 'Working out the day',
	theDayWithEach: 'The day with each…',
	itStopped: (problem: Shown) => `It stopped: ${problem}.`,
	noLensMatchesAskForLess: 'No lens matches. Ask for less, or consider one you do not own.',
	atItsBestLinePairsPer:
		'At its best: line pairs per picture height in the centre. Least in the day: how much of its best it keeps at the f-number of the most demanding shot. Good of 100: for the shot in the middle of the day, framed as planned.',
	theShortlistIsFullTakeOne: 'The shortlist is full: take one off for another.',
	shortlist: 'Shortlist',
	upToThreeWithPraiseComplaints: 'Up to three, with praise, complaints and every shot of the day.'
} as const;

export const lensNumbersText = {
	figuresFor: (name: Shown) => `Figures for ${name}`,
	aWeight: 'a weight',
	aPrice: 'a price',
	aLensOfOnesOwn: 'a lens of one’s own',
	iOwnItNow: 'I own it now',
	removeIt: 'Remove it',
	aLens: 'a lens',
	sharpnessTypedIn: 'sharpness typed in',
	itsSharpnessWasMeasuredOnThe: (date: Shown) =>
		`Its sharpness was measured on the bench (${date}).`
} as const;

export const optionalNumberText = {
	fromToOrNothing: (low: Shown, high: Shown) => `from ${low} to ${high}, or nothing`
} as const;

export const shortlistCardText = {
	onTheShortlist: (name: Shown) => `${name}, on the shortlist`,
	praise: 'Praise',
	complaints: 'Complaints',
	theDayWithIt: 'The day with it'
} as const;

export const sideBySideText = {
	lensesSideBySide: 'Lenses side by side',
	reach: 'reach',
	opensTo: 'opens to',
	focusesFrom: 'focuses from',
	atItsBest: 'at its best',
	leastInTheDay: 'least in the day',
	goodOf100: 'good of 100',
	backgrounds: 'backgrounds',
	shortlist: 'shortlist',
	notYours: 'not yours',
	typedIn: 'typed in',
	onAnotherBody: 'on another body',
	ofNotPossible: (lost: Shown, shots: Shown) => `${lost} of ${shots} not possible`,
	of: (intentsMet: Shown, intents: Shown) => `${intentsMet} of ${intents}`
} as const;

export const typedSharpnessText = {
	sharpnessAsOthersMeasuredItOn: (ofBody: Shown) =>
		`Sharpness as others measured it on ${ofBody}, line pairs per picture height`,
	at: (where: Shown, fStop: Shown) => `${where} at ${fStop}`
} as const;
