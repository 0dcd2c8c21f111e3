import type { Shown } from '../shown';

export const apertureResultText = {
	centre: 'centre',
	corners: 'corners',
	limitOfDiffraction: 'limit of diffraction',
	aBodyWithoutAName: 'a body without a name',
	theLensWasMeasured: 'the lens was measured',
	theseFilesWereSharpenedInThe:
		'These files were sharpened in the camera, which raises every figure. Turn sharpening down to its minimum to compare lenses.',
	theSentenceAbove: 'the sentence above',
	linePairsPerPictureHeight: 'line pairs per picture height',
	howSharpTheLensIsAt: 'How sharp the lens is at each f-number, in the centre and in the corners',
	dotted80PercentOfItsBest:
		'Dotted: 80 % of its best. The ladder marks f-numbers that fall below it.',
	keptWithTheLens: 'Kept with the lens',
	keepItWithTheLens: 'Keep it with the lens'
} as const;

export const benchScreenText = {
	bestAperture: 'Best aperture',
	atWhichFNumberYourLens:
		'At which f-number your lens is sharpest, and from which its corners are too.',
	printTheChartAndHangIt:
		'Print the chart and hang it flat, in even light. Camera on a tripod, straight on, so close that the sheet fills the frame.',
	aperturePriorityLowestIso:
		'Aperture priority, lowest ISO, stabiliser off, self-timer. Focus once on the middle, then leave the focus alone.',
	twoFramesOrMoreAtEvery: 'Two frames or more at every f-number, from the widest to 11.',
	chooseAllOfThemHere: 'Choose all of them here.',
	refocusingBetweenFramesShutters:
		'Refocusing between frames; shutters slow enough to shake; paper so bright that it is pure white.',
	frontOrBack: 'Front or back',
	whetherYourLensFocusesInFront:
		'Whether your lens focuses in front of its target or behind it, and by how much.',
	printTheScaleTurnItBy:
		'Print the scale. Turn it by 45 degrees, its right side away; camera on a tripod, level with it, about 25 to 30 focal lengths away.',
	widestApertureSingleFocusingOne:
		'Widest aperture, single focusing, one point on the upright line.',
	sixFramesOrMoreTurnThe:
		'Six frames or more: turn the focus far off before each, and let the camera refocus.',
	focusingOnTheBarsInsteadOf:
		'Focusing on the bars instead of the line; turning the camera instead of the chart.',
	myHands: 'My hands',
	howSlowAShutterYouCan: 'How slow a shutter you can hold, and how far you sway.',
	theSharpnessChartAgainStraightOn:
		'The sharpness chart again, straight on, in good light. Stand as you would at work, camera in the hand.',
	shutterPriorityAutomaticIsoSix:
		'Shutter priority, automatic ISO. Six frames at a shutter at which nothing shakes: one over sixteen times the focal length.',
	sixFramesEachAtOneOver:
		'Six frames each at one over the focal length, at twice and at four times that; refocus for each frame.',
	leaningOnSomethingForSomeOf:
		'Leaning on something for some of them; moving to a new spot between frames.',
	benches: 'Benches',
	everythingTheOddsAssumeCanBe:
		'Everything the odds assume can be measured at a table in a quarter of an hour.',
	exercises: 'Exercises',
	lens: 'Lens',
	body: 'Body',
	sharpnessMeasuredOnFramesOn: (date: Shown, frames: Shown) =>
		`: sharpness measured on ${date}, ${frames} frames, on`,
	shootItWithThePracticeCamera: 'Shoot it with the practice camera',
	thereIsNoLensOrNo: 'There is no lens or no body in the kit: add one under “kit” on Plan.'
} as const;

export const chartOnPaperText = {
	handedToTheBrowserTheLine: (fineLength: Shown) =>
		`Handed to the browser. The line on it must be ${fineLength} long.`,
	theChartCouldNotBeMade: (unknown: Shown) => `The chart could not be made: ${unknown}.`,
	theChartAsPdf: 'The chart as PDF'
} as const;

export const focusResultText = {
	theLenssFocusWasMeasured: 'the lens’s focus was measured',
	theBodysOwnCorrection: 'The body’s own correction',
	ifTheBodyCanCorrectA:
		'If the body can correct a lens in steps: shoot the scale at two settings or more, and note each series here.',
	thisSeriesWasShotAtSetting: 'this series was shot at setting',
	noteThisSeries: 'Note this series',
	oneMoreSettingAndFocalisCan:
		'One more setting, and Focalis can tell which one brings it to zero.',
	setTheBodyTo: (n: Shown) => `Set the body to ${n}.`,
	noted: (map: Shown, setTheBodyTo: Shown) => `Noted: ${map}. ${setTheBodyTo}`,
	couldNotBeUsed: (failed: Shown) => `${failed} could not be used`
} as const;

export const handsResultText = {
	toInNineteenCasesOutOf: (words: Shown, words2: Shown) =>
		`${words} to ${words2} in nineteen cases out of twenty`,
	atNoShutterDownTo1:
		'At no shutter down to 1/1000 do you hold it steady in eight frames out of ten.',
	noShakeCouldBeSeenShoot: 'No shake could be seen. Shoot at slower shutters.',
	shakeWhatASmallPrintTolerates: (times: Shown, within: Shown) =>
		`Shake: ${times} what a small print tolerates at one over the focal length (${within}).`,
	youSwayForwardAndBack: (sway: Shown, within: Shown) =>
		`You sway ${sway} forward and back (${within}).`,
	frameByFrame: 'Frame by frame',
	movedPx: (shutterWords: Shown, streakPx: Shown) => `: ${shutterWords}, moved ${streakPx} px`,
	theHandsWereMeasured: 'the hands were measured'
} as const;

export const ownGearText = {
	thePracticeCameraTookTheseThey:
		'The practice camera took these. They say nothing about your own gear, so nothing is kept.'
} as const;

export const setUpText = {
	somebodyWithACamera: 'somebody with a camera',
	aCameraOnATripod: 'a camera on a tripod',
	turnedBy45Degrees: 'turned by 45 degrees',
	straightOn: 'straight on',
	fromAboveAndTheChart: (aCameraOnATripod: Shown, straightOn: Shown) =>
		`From above: ${aCameraOnATripod} and the chart, ${straightOn}`
} as const;
