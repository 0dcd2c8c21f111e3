import type { Shown } from '../shown';

export const backgroundSheetText = {
	asItComes: 'as it comes',
	it: 'it',
	howFarBehindThem: 'how far behind them',
	itsDetailLeavesWindowsFaces: 'its detail: leaves, windows, faces',
	aroundThemThePictureShows: 'around them the picture shows',
	onlyDrawnItChangesNoNumber: 'Only drawn: it changes no number.'
} as const;

export const flashFieldsText = {
	straightAtThem: 'straight at them',
	throughAnUmbrellaAbout1Stop: 'through an umbrella, about 1 stop',
	softboxAbout1Stops: 'softbox, about 1½ stops',
	bouncedOffAWhiteCeilingAbout: 'bounced off a white ceiling, about 2 stops',
	warmingGelAboutStop: 'warming gel, about ⅔ stop',
	softboxWithAWarmingGel: 'softbox with a warming gel',
	stops: (what: Shown) => `${what} stops`,
	howItsLightReachesThemUsual: 'how its light reaches them (usual losses, common practice)',
	lightLostOnTheWay: 'light lost on the way',
	aSecondFlashWeaker: 'a second flash, weaker',
	timesWeakerOnThem: 'times weaker on them',
	fromItToThePeople: 'from it to the people'
} as const;

export const framingSheetText = {
	everyone: 'everyone',
	evenAtMmThereIsMore: (focalMm: Shown) =>
		`Even at ${focalMm} mm there is more room than that: step nearer, or crop.`,
	aLittleFlatterThanUsual: 'a little flatter than usual',
	strongTheNoseLargeTheEars: 'strong: the nose large, the ears small',
	distortedStepBack: 'distorted: step back',
	theNosePercentLargerAgainstThe: (by: Shown) => `the nose ${by} % larger against the ears`,
	theNosePercentSmaller: (by: Shown) => `the nose ${by} % smaller`,
	thanFromWhereFacesLookAs: (share: Shown, compared: Shown, distance: Shown) =>
		`${share} (${compared} than from ${distance}, where faces look as usual)`,
	of: 'of',
	roomAtEveryEdge: 'room at every edge',
	moveTheCamera: 'Move the camera',
	thisLensDoesNotZoom: 'This lens does not zoom',
	zoomFromHere: 'Zoom from here',
	onlyTurnTheCamera: 'Only turn the camera',
	keepItTurnedToPeopleWho: 'keep it turned to people who move',
	nearestFace: 'nearest face',
	awayTheFaceFillsOfThe: (held: Shown, distance: Shown, shareInWords: Shown) =>
		`, ${held}${distance} away; the face fills ${shareInWords} of the frame’s height`,
	itLooks: 'it looks',
	focusDistance: 'focus distance',
	fromTheSensorMark: (distance: Shown) => `${distance} from the sensor mark`,
	roomAtTheEdges: 'room at the edges',
	leftRightAboveBelowTheFaces: (
		percent: Shown,
		percent2: Shown,
		percent3: Shown,
		percent4: Shown
	) => `left ${percent}, right ${percent2}, above ${percent3}, below the faces ${percent4}`,
	cut: 'cut',
	atTheEdge: 'at the edge',
	wideAway: (distance: Shown, distance2: Shown) => `${distance} wide, ${distance2} away`,
	wideAndShallowManyFramesPut: 'Wide and shallow: many frames put together'
} as const;

export const lightLimitsText = {
	theBodysStabiliser: 'the body’s stabiliser'
} as const;

export const lightSheetText = {
	theLightThatIsThere: 'the light that is there',
	flash: 'flash',
	guideNumberAtIso100: 'guide number at ISO 100',
	fromFlashToPeople: 'from flash to people',
	theRoomLight: 'The room light',
	howBrightItIs: 'How bright it is',
	inWords: 'in words',
	asEvAtIso100: 'as EV at ISO 100',
	orAsACameraOrMeter: 'or as a camera or meter reads it',
	whatMayChange: 'What may change',
	mayRise: 'may rise',
	stays: 'stays',
	toFlashUpTo1Fastest: (name: Shown, isoWords: Shown, iso: Shown, n: Shown, n2: Shown) =>
		`${name}: ${isoWords} to ${iso}, flash up to 1/${n}, fastest 1/${n2}.`
} as const;

export const placeLimitsText = {
	theRoomBehindTheCameraEnds: 'the room behind the camera ends',
	roomBehindTheCamera: 'room behind the camera',
	theCameraCanGoNoHigher: 'the camera can go no higher than',
	highestCamera: 'highest camera'
} as const;

export const setupBarText = {
	setUp: 'Set-up',
	light: (light: Shown) => `light: ${light}`,
	background: (background: Shown) => `background${background}`,
	manyFrames: ': many frames',
	framing: (manyFrames: Shown) => `framing${manyFrames}`,
	kit: 'kit',
	light2: 'Light',
	theBackground: 'The background',
	framing2: 'Framing',
	theSamePictureWithOtherLenses: 'The same picture with other lenses'
} as const;

export const sunFieldsText = {
	itIsBelowTheHorizon: 'It is below the horizon.',
	inFrontOfTheCamera: 'in front of the camera',
	behindTheCamera: 'behind the camera',
	toThe: (behind: Shown, left: Shown) => `${behind}to the ${left}`,
	itStandsHigh: (n: Shown, where: Shown) => `It stands ${n}° high, ${where}.`,
	showWhereTheSunStands: 'show where the sun stands',
	latitudeNorth: 'latitude, north',
	longitudeEast: 'longitude, east',
	dateAndTimeThere: 'date and time there',
	theDirectionTheStageFacesFrom: 'the direction the stage faces, from north'
} as const;

export const waysSheetText = {
	from: 'from',
	faces: 'faces',
	aFaceLooks: 'a face looks',
	shutterAndIso: 'shutter and ISO',
	bestForFaces: 'best for faces',
	bestForTheBackground: 'best for the background',
	bestForTheLight: 'best for the light',
	fromHere: 'from here',
	fartherBack: 'farther back',
	tryingEveryLensOfYourKit: 'Trying every lens of your kit…',
	atMm: (n: Shown) => `at ${n} mm`,
	noRoomForThat: 'no room for that',
	tooNearToFocus: 'too near to focus',
	allSharp: 'all sharp',
	soft: 'soft',
	wide: (distance: Shown) => `${distance} wide`,
	without: (names: Shown) => `without ${names}`,
	takeThis: 'Take this'
} as const;

export const wideSheetText = {
	oneFrame: 'one frame',
	mm: (mm: Shown) => `${mm} mm`,
	whatIsFocusedOn: 'what is focused on',
	theViewAt: 'the view at',
	across: 'across',
	upAndDown: 'up and down',
	overlap: 'overlap',
	mostFramesYouWant: 'most frames you want',
	level: 'level',
	upright: 'upright',
	thereIsNothingToFocusOn: 'There is nothing to focus on yet.',
	theFinishedPictureWithItsReal: 'The finished picture with its real blur',
	theFramesAndTheWayThrough: (pathWords: Shown) =>
		`The frames and the way through them: ${pathWords}`,
	theFramesOnly: (why: Shown) => `The frames only: ${why}.`,
	manyFramesAroundTheFacePut:
		'Many frames around the face, put together afterwards: the view of a short lens with the shallow depth of this one.'
} as const;
