import type { Shown } from './shown';

export const faceRingsText = {
	notCounted: (build: Shown) => `${build}, not counted`,
	noDistance: (build: Shown) => `${build}, no distance`,
	row: (build: Shown, row: Shown, unsureDistance: Shown) =>
		`${build}, row ${row}, ${unsureDistance}`,
	theOtherEye: 'the other eye',
	anEye: 'an eye',
	tap: (anEye: Shown) => `Tap ${anEye}`
} as const;

export const markFieldsText = {
	theFaceThatIsChosen: 'The face that is chosen',
	notCounted: 'Not counted.',
	countItAfterAll: 'Count it after all',
	who: 'who',
	rowFromTheFront: 'row from the front',
	measuredDistance: 'measured distance',
	distanceMeasured: 'distance, measured',
	notMeasured: 'Not measured',
	inFocusAccordingToTheFile: (distance: Shown) => `In focus, according to the file: ${distance}`,
	dropThisFace: 'Drop this face'
} as const;

export const photographSheetText = {
	theShotIsMadeButThere:
		'The shot is made, but there is no room to keep the photograph. Go on without it, or make room.',
	pointAPhoneAtThemOr:
		'Point a phone at them, or use a test frame from your camera: the size of the faces tells where everybody stands. The photograph never leaves this device. Where it was taken and by whom is not read.',
	takeOne: 'Take one',
	chooseOne: 'Choose one…',
	lookingForFaces: 'Looking for faces…',
	chooseAPhotograph: 'Choose a photograph',
	takeAPhotograph: 'Take a photograph',
	doneAdding: 'Done adding',
	addAFace: 'Add a face',
	tapItsTwoEyes: 'Tap its two eyes.',
	tapARingWhoItIs: 'Tap a ring: who it is, how far, whether it counts.',
	theFileDoesNotSayIts: 'The file does not say its lens; a phone’s main camera is 23 to 28 mm.',
	equivalentOnFullFrame: 'equivalent on full frame',
	itWasCroppedDistancesMayBe: 'It was cropped: distances may be wrong. Use the whole picture.',
	asManyAsPlannedRowBy: 'As many as planned, row by row: they keep their names.',
	aShotHasRoomForPeople: (people: Shown) =>
		`A shot has room for ${people} people: drop those who do not matter.`,
	keepThePhotographOnThisDevice: 'keep the photograph, on this device only',
	useIt: 'Use it'
} as const;

export const photographToolsText = {
	photograph: 'photograph ▾',
	hideIt: 'Hide it',
	showItOverThePicture: 'Show it over the picture',
	saveItAsAFile: 'Save it as a file',
	forgetIt: 'Forget it'
} as const;

export const realCameraFieldsText = {
	fromTheSamePlace: 'from the same place',
	framedAlike: 'framed alike',
	theCameraStands: 'The camera stands'
} as const;

export const photographLookingText = {
	itCouldNotBeExaminedWithout: (why: Shown) =>
		`It could not be examined: ${why}. Without a network this works only once it has been used with one.`
} as const;

export const problemsText = {
	thisFileIsEmpty: 'This file is empty.',
	thisFileIsLargerThan400: 'This file is larger than 400 MB. Choose a smaller one.',
	thisIsNotAPhotographChoose:
		'This is not a photograph. Choose a JPEG, PNG, WebP, HEIC or raw file.',
	noPictureWasFoundInThis: 'No picture was found in this raw file. Choose the JPEG beside it.',
	thisPictureHasMoreThan100: 'This picture has more than 100 megapixels. Choose a smaller copy.',
	thisBrowserDoesNotOpenHeic: 'This browser does not open HEIC. Save it as JPEG and choose that.',
	thisPictureIsDamagedAndCannot: 'This picture is damaged and cannot be opened. Choose another one.'
} as const;
