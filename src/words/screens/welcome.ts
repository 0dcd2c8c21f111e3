import type { Shown } from './shown';

export const tourNoteText = {
	theAnswerIsAtTheTop:
		'The answer is at the top: whom to focus on, and how to set the camera. “why” gives the reasons.',
	dragPeopleThingsAndTheCamera:
		'Drag people, things and the camera on the stage: everything follows at once.',
	theFrameShowsThePictureWith:
		'The frame shows the picture with its real blur: click a face to focus there.',
	belowIsEveryFNumberPoint:
		'Below is every f-number: point at one to see it, click to lock it. Take the card along on the day; Review tells you how the frames came out.',
	tour: 'Tour',
	of: (step: Shown, SENTENCES: Shown, step2: Shown) => `${step} of ${SENTENCES}: ${step2}`,
	next: 'Next',
	skipTheTour: 'Skip the tour'
} as const;

export const tryItText = {
	tryIt: 'Try it',
	thePictureWithARingAround: 'The picture, with a ring around the face to focus on',
	standsBehindTheOthers: (BACK: Shown, distance: Shown) =>
		`${BACK} stands ${distance} behind the others`,
	chosenByFocalis: (fStop: Shown) => `${fStop}, chosen by Focalis`,
	chosenByYou: (fStop: Shown) => `${fStop}, chosen by you`
} as const;

export const welcomeText = {
	facesSharpBackgroundAsYouMeant: 'Faces sharp, background as you meant it.',
	focalisPicksTheFocusPointThe:
		'Focalis picks the focus point, the eye and the aperture for a picture of people, from where everyone stands. Nothing leaves this browser.',
	openTheSampleDay: 'Open the sample day',
	aWeddingOfTenShotsAlready: 'a wedding of ten shots, already planned',
	pointAPhoneAtThemEverybody: 'point a phone at them: everybody is found',
	aVerdictInThreeTaps: 'A verdict in three taps',
	forTheShotThatNobodyPlanned: 'for the shot that nobody planned',
	or: 'Or',
	startAShot: 'Start a shot',
	fromScratchOrDropOneOf: 'from scratch, or drop one of your files on this window.'
} as const;
