import type { Shown } from './shown';

export const frameViewText = {
	whole: 'whole',
	stillBeingTaken: ', still being taken',
	frame: (index: Shown, stillBeingTaken: Shown) => `frame ${index}${stillBeingTaken}`,
	size: 'Size',
	aPreviewTheFrameItselfIs: 'a preview; the frame itself is still being taken',
	frameLarge: (index: Shown) => `Frame ${index}, large`,
	frame2: (index: Shown) => `Frame ${index}`
} as const;

export const practiceDayText = {
	thatDidNotWork: (unknown: Shown) => `That did not work: ${unknown}.`,
	framesTaken: 'Frames taken',
	ofFrames: (frames: Shown, done: Shown) => `${frames} of ${done} frames`,
	practiceFramesZip: 'Practice frames (ZIP)',
	everyShotSixTimesAsThe: 'every shot six times, as the practice camera would take it'
} as const;

export const shootSheetText = {
	itWasNotSaved: (unknown: Shown) => `It was not saved: ${unknown}.`,
	shootIt: 'Shoot it',
	thePracticeCameraTakesThisShot:
		'The practice camera takes this shot as you would. Each frame has its own sway and blinks, and now and then the focus lands in the wrong place. Judge the frames before it counts.',
	frames: 'frames',
	size: 'size',
	too: (stopsInWords: Shown, bright: Shown) => `${stopsInWords} too ${bright}`,
	shootAgain: 'Shoot again',
	judgeThemInReview: 'Judge them in Review',
	saveAsZip: 'Save as ZIP',
	whereEverybodyStandsFromTheFrame: 'Where everybody stands, from the frame on screen',
	stageFromThisFrame: 'Stage from this frame…',
	ofFrames: (taken: Shown, frames: Shown) => `${taken} of ${frames} frames.`,
	itStoppedWhatIsDoneStays: (problem: Shown) =>
		`It stopped: ${problem}. What is done stays; “Go on” takes the rest.`
} as const;

export const shootOptionsText = {
	asPlanned: (words: Shown) => `as planned: ${words}`,
	megapixels: (what: Shown) => `${what} megapixels`
} as const;
