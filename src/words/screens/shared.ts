import type { Shown } from './shown';

export const pointingCrossText = {
	arrowsMoveTheCrossWithShift: (label: Shown) =>
		`${label}: arrows move the cross, with Shift in small steps; Enter takes the place`
} as const;

export const takenLineText = {
	takenWith: (words: Shown) => `✓ taken with ${words}`
} as const;

export const placesText = {
	day: 'Day',
	plan: 'Plan',
	review: 'Review'
} as const;

export const shortcutsText = {
	goToThe: (toLowerCase: Shown) => `go to the ${toLowerCase}`,
	reviewKeepTheFrame: 'review: keep the frame',
	reviewMaybe: 'review: maybe',
	reviewDropIt: 'review: drop it',
	reviewTheFavourite: 'review: the favourite',
	files: 'files',
	metresOrFeet: 'metres or feet',
	dayOrNightLook: 'day or night look',
	help: 'help'
} as const;

export const shutterRulesText = {
	byWhatWouldBlur: 'by what would blur',
	n1OverTheFocalLength: '1 over the focal length',
	n1OverTwiceThat: '1 over twice that'
} as const;
