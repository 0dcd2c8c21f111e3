import type { Shown } from '../shown';

export const eyePieceText = {
	chooseTheFileAgainToSee: 'choose the file again to see it'
} as const;

export const eyesInStepText = {
	theSameEyeSideBySide: 'The same eye side by side',
	sideBySide: 'Side by side',
	theFaceBefore: 'the face before',
	theNextFace: 'the next face',
	framesSideBySide: 'frames side by side',
	frames: (count: Shown) => `${count} frames`,
	sEye: (name: Shown, name2: Shown) => `${name}, ${name2}’s eye`,
	notFoundHere: 'not found here',
	thisFrame: 'this frame',
	frame: (id: Shown) => `frame ${id}`,
	pxOfBlur: (blurPx: Shown) => `${blurPx} px of blur`,
	on: 'on'
} as const;

export const frameStripText = {
	notMeasuredYet: 'not measured yet',
	inFocus: (focus: Shown) => ` In focus: ${focus}.`,
	marked: (mark: Shown) => ` Marked ${mark}.`
} as const;

export const largeFrameText = {
	thisPictureCannotBeShown: 'This picture cannot be shown.',
	wasMeasuredBeforeChooseItAgain: (name: Shown) =>
		`${name} was measured before. Choose it again to see it.`,
	tapSEye: (whose: Shown) => `Tap ${whose}’s eye`,
	tapWhatMatters: 'Tap what matters',
	pointAtSomething: 'point at something',
	tapWhatMatters2: 'tap what matters',
	whatIsPointedAt: 'what is pointed at',
	sEye: (name: Shown) => `${name}’s eye`,
	followedThroughTheFrames: 'followed through the frames…'
} as const;
