import type { Shown } from './shown';

export const smallPictureText = {
	chooseItAgainToSeeIt: 'choose it again to see it'
} as const;

export const followingText = {
	thereIsNothingToMeasureThere: 'there is nothing to measure there: tap an edge or some detail'
} as const;

export const frameFoldersText = {
	theBrowserDoesNotLetFocalis: (name: Shown) => `The browser does not let Focalis read “${name}”.`,
	isNotTherePutItsCard: (name: Shown) =>
		`“${name}” is not there. Put its card in, or choose where the frames are now.`,
	couldNotBeReadChooseThe: (name: Shown) =>
		`“${name}” could not be read. Choose the frames in it instead.`
} as const;

export const frameIntakeText = {
	earlierMeasurementsCannotBeReadThe:
		'Earlier measurements cannot be read; the frames are being measured again.',
	itCouldNotBeMeasured: (why: Shown) => `It could not be measured: ${why}.`,
	theMeasurementsAreNotSavedThey: (why: Shown) =>
		`The measurements are not saved (${why}). They last until this window is closed.`
} as const;
