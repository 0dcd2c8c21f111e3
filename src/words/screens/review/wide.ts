import type { Shown } from '../shown';

export const togetherSheetText = {
	flatLikeOneLens: 'flat, like one lens',
	onACylinder: 'on a cylinder',
	onASphere: 'on a sphere',
	theViewIsTooWideFor: 'The view is too wide for a flat picture. A cylinder has room for it.',
	theViewReachesTooFarUp: 'The view reaches too far up or down. A sphere has room for it.',
	anotherPictureIsWanted: 'another picture is wanted',
	togetherRoughly: 'Together, roughly',
	laidOut: 'Laid out',
	allFramesPutTogether: (projection: Shown) => `All frames put together, ${projection}`,
	beingPutTogether: 'Being put together…',
	forCheckingIsEverythingThereAnd:
		'For checking: is everything there, and does it look as you want it? The frames are small and only fade into each other; a stitching program does it properly.'
} as const;

export const wideSetText = {
	framesOfAViewWiderThan:
		'Frames of a view wider than the lens are checked together here. Choose two or more of this shot.',
	checkAgain: 'Check again',
	doTheseFramesFitTogether: (parts: Shown) => `Do these ${parts} frames fit together?`,
	seeThemTogether: 'See them together…',
	checkingHowTheyFitTogether: 'Checking how they fit together',
	whereEachFramePoints: 'Where each frame points',
	theyFitTogetherNoGapFocus: 'They fit together: no gap, focus and exposure as in the first.',
	theseFilesDoNotRecordThe:
		'These files do not record the distance, so only you know whether the focus was locked.'
} as const;

export const wideWideSetText = {
	frameDoesNotSayItsFocal: (index: Shown) =>
		`Frame ${index} does not say its focal length. Move the frames to a shot of the day that has it.`
} as const;
