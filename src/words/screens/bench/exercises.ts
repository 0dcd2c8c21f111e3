import type { Shown } from '../shown';

export const exerciseBenchText = {
	theExercise: 'the exercise',
	doItWithThePracticeCamera: 'Do it with the practice camera',
	framesOfTheExercise: 'Frames of the exercise',
	practiceFramesAreSmallBlurOf:
		'Practice frames are small: blur of less than a pixel or two counts as sharp.'
} as const;

export const exerciseLogText = {
	theLogCannotBeReadJust: 'The log cannot be read just now.',
	theLogWasNotChanged: (unknown: Shown) => `The log was not changed: ${unknown}.`,
	putInTheLog: 'put in the log',
	removedFromTheLog: 'removed from the log',
	of: (good: Shown, score: Shown) => `${good} of ${score}`,
	asTheyShouldBe: 'as they should be.',
	inTheLog: 'In the log',
	putItInTheLog: 'Put it in the log',
	logOfThisExercise: 'Log of this exercise',
	practiceCamera: ', practice camera',
	bestSoFar: ' · best so far',
	frames: (frames: Shown, practiceCamera: Shown, bestSoFar: Shown) =>
		`, ${frames} frames${practiceCamera}${bestSoFar}`
} as const;

export const exerciseSetUpText = {
	fromAboveTheCameraAndThree:
		'From above: the camera, and three objects on a diagonal, a hand’s breadth apart',
	fromAboveACameraOnA: 'From above: a camera on a tripod, and three objects on a diagonal',
	fromTheSideAFaceAnd: 'From the side: a face, and the camera at three distances',
	theFrameWithTheEyeAt: 'The frame, with the eye at each of its edges in turn, and once upright'
} as const;

export const exerciseSheetText = {
	itWasNotSaved: (unknown: Shown) => `It was not saved: ${unknown}.`,
	frames: (shown: Shown) => `${shown} frames`,
	theBestOnOneSheet: (frames: Shown) => `The best ${frames} on one sheet:`,
	chooseTheFramesAgainToMake: 'Choose the frames again to make a sheet of the best of them.'
} as const;

export const pointAtObjectsText = {
	theFirstObjectTheNearest: 'the first object, the nearest',
	theSecondInTheMiddle: 'the second, in the middle',
	theThirdTheFarthest: 'the third, the farthest',
	theseFramesWereMeasuredBefore:
		'These frames were measured before. Choose them again to see them.',
	tapOnAnEdgeOrSome: (nextObject: Shown) => `Tap ${nextObject}: on an edge or some detail of it.`,
	lookingForItInTheOther: 'Looking for it in the other frames…',
	allThreeAreFollowedThroughThe: 'All three are followed through the frames.',
	pointAgain: 'Point again',
	tap: (nextObject: Shown) => `Tap ${nextObject}`
} as const;

export const textsText = {
	threeObjects: 'Three objects',
	theFocusPointGoesWhereYou: 'The focus point goes where you want it, three times.',
	threeSmallObjectsOnADiagonal:
		'Three small objects on a diagonal, a hand’s breadth or two apart, with nothing distracting behind them.',
	cameraLevelWithThemLieDown: 'Camera level with them: lie down. Widest aperture, automatic ISO.',
	moveThePointOntoTheFirst:
		'Move the point onto the first and take a few frames more than you need; then onto the second, then the third.',
	clutterLeavingThePointWhereIt:
		'Clutter; leaving the point where it was. If it did not come out, go back and take it again.',
	apertureLadder: 'Aperture ladder',
	whatBecomesSharpInFrontAnd: 'What becomes sharp in front and behind, stop by stop.',
	threeSimilarObjectsOnADiagonal:
		'Three similar objects on a diagonal, a lens of about 50 mm on a tripod or something firm, ordinary room light.',
	aperturePriorityIso1600ByHand:
		'Aperture priority, ISO 1600 (by hand 3200 to 6400). Focus on the first: widest, 5.6, 8, 11, 14, 18, 22.',
	focusOnTheOneInThe: 'Focus on the one in the middle and do the same again.',
	twoFramesAtOneStopThe: 'Two frames at one stop; the camera moved.',
	eyesThenNose: 'Eyes, then nose',
	howFarAwayAFaceHas: 'How far away a face has to be to be sharp from nose to eye.',
	somebodyWhoSitsStillWidestAperture: 'Somebody who sits still. Widest aperture, a long lens.',
	fromAClosePortraitOneFrame:
		'From a close portrait: one frame focused on an eye, one on the tip of the nose. Then from twice as far, then from across the room.',
	theSameWithAShortLens: 'The same with a short lens.',
	leaningBetweenFocusAndReleaseA:
		'Leaning between focus and release; a point so large that it takes the nose for the eye.',
	fourEdges: 'Four edges',
	focusLockedInTheMiddleStays: 'Focus locked in the middle stays right when the camera is turned.',
	somebodyWhoStandsStillSomething:
		'Somebody who stands still, something with detail behind them. One point, in the middle.',
	pointOnTheEyeHoldTurn:
		'Point on the eye, hold, turn the wrists only: the eye to the left, right, upper, lower edge, a frame each.',
	thenWithTheCameraUpright: 'Then with the camera upright.',
	turningTheBodyInsteadOfThe:
		'Turning the body instead of the wrists. You should hear one focus beep; a second one means that the camera focused again, on the background.'
} as const;
