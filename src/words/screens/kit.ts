import type { Shown } from './shown';

export const bodyFieldsText = {
	sparseInTheMiddleOfThe: 'sparse, in the middle of the frame',
	coarseOverNearlyAllOfIt: 'coarse, over nearly all of it',
	fineOverNearlyAllOfIt: 'fine, over nearly all of it',
	anywhere: 'anywhere',
	asNumberedBelow: 'as numbered below',
	sensorLongSide: 'sensor, long side',
	shortSide: 'short side',
	pixelsAlongTheLongSide: 'pixels along the long side',
	alongTheShortSide: 'along the short side',
	lowestIso: 'lowest ISO',
	fastestWithFlash1Over: 'fastest with flash, 1 over',
	fastestShutter1Over: 'fastest shutter, 1 over',
	focusPoints: 'focus points',
	mostSensitive: 'most sensitive',
	allOfThem: 'all of them',
	theMiddleOne: 'the middle one',
	columnsOfPoints: 'columns of points',
	rowsOfPoints: 'rows of points',
	shareOfTheWidthWithPoints: 'share of the width with points',
	shareOfTheHeightWithPoints: 'share of the height with points',
	widthOfOnePointsBox: 'width of one point’s box',
	heightOfOnePointsBox: 'height of one point’s box'
} as const;

export const kitSheetText = {
	bodies: 'bodies',
	lenses: 'lenses',
	myWay: 'my way',
	myHands: 'my hands',
	addACommonOne: 'add a common one…',
	depthOfFieldTable: 'Depth-of-field table…',
	wasRemovedFromTheKitShots: '” was removed from the kit. Shots that use it keep it.',
	bringItBack: 'Bring it back',
	aShotKeepsItsBodyAnd:
		'A shot keeps its body and lens as they were when you chose them. The camera’s card on the stage can bring them up to date.'
} as const;

export const lensFieldsText = {
	anyBody: 'any body',
	anySensor: 'any sensor',
	fullFrameAndSmaller: 'full frame and smaller',
	n15xCropAndSmaller: '1.5x crop and smaller',
	fourThirdsAndSmaller: 'four thirds and smaller',
	aCircleOfMm: (ownCircle: Shown) => `a circle of ${ownCircle} mm`,
	shortestFocalLength: 'shortest focal length',
	longestTheSameForAPrime: 'longest, the same for a prime',
	widestFAtTheShortEnd: 'widest f/ at the short end',
	widestFAtTheLongEnd: 'widest f/ at the long end',
	smallestApertureF: 'smallest aperture f/',
	closestFocus: 'closest focus',
	fieldCurvature0Flat1Curved: 'field curvature: 0 flat, 1 curved around the camera',
	covers: 'covers',
	fitsOn: 'fits on'
} as const;

export const lensTableSheetText = {
	atMm: (n: Shown) => ` at ${n} mm`,
	whatIsSharp: (name: Shown, focalMm: Shown) => `${name}${focalMm}: what is sharp`,
	toInfinityFrom: 'to infinity from',
	nearerAndFartherThanWhatIs: (sharpFor: Shown, name: Shown, tolerance: Shown) =>
		`− nearer and + farther than what is focused on, measured from the lens. Sharp for ${sharpFor} on ${name}: blur up to ${tolerance} mm on the sensor.`,
	nearSHFHS:
		'near = s(H − f)/(H + s − 2f), far = s(H − f)/(H − s), H = f²/(N c) + f: Ray, Applied Photographic Optics. Faces need more than that when they move.',
	thePdfCouldNotBeMade: 'The PDF could not be made. Printing still works.',
	tableOfThe: (name: Shown) => `Table of the ${name}`,
	onWhichBody: 'on which body',
	saveAsPdf: 'Save as PDF',
	print: 'Print',
	depthOfField: 'Depth of field',
	focusedAt: 'focused at'
} as const;

export const myHandsText = {
	hands: 'Hands',
	focusing: 'Focusing',
	measuredFrames: (meaning: Shown, frames: Shown) => `${meaning} (measured, ${frames} frames)`,
	mmAtTheSensor: (abs: Shown, behind: Shown) => `${abs} mm ${behind} at the sensor`,
	theOddsAreBasedOnThese:
		'The odds are based on these. All are assumptions until Review measures your own. A sway stays within its figure in two frames out of three.',
	spreads: (key: Shown) => `spreads.${key}`,
	lensesWithAFocusErrorOf: 'Lenses with a focus error of their own',
	measuredFrames2: (biasWords: Shown, frames: Shown) =>
		`: ${biasWords} (measured, ${frames} frames)`,
	measurementsOf: (lens: Shown) => `measurements of ${lens}`,
	backToTheAssumptions: 'Back to the assumptions'
} as const;

export const myLimitsText = {
	any: 'any',
	slowestShutter: 'slowest shutter',
	fNumberMeant: 'f-number meant',
	myOwnLimits: 'My own limits',
	aShotTellsYouWhenIt: 'A shot tells you when it goes past them. They change nothing.',
	for: 'for',
	for2: (words: Shown, kind: Shown) => `${words} for ${kind}`
} as const;

export const myWayText = {
	newShotsBeginWithTheseExisting: 'New shots begin with these. Existing shots stay as they are.',
	theFNumber: 'the f-number',
	sharpInMostFrames: 'sharp in most frames',
	theWidestThatHolds: 'the widest that holds',
	aFaceOffCentre: 'a face off-centre',
	lockAndReframe: 'lock and reframe',
	byHandMagnified: 'by hand, magnified',
	inHandForOneOrTwo: 'in hand for one or two people'
} as const;
