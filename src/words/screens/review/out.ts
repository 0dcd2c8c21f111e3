import type { Shown } from '../shown';

export const outSheetText = {
	mergeWithThem: 'merge with them',
	leaveThemAsTheyAre: 'leave them as they are',
	itsSidecarMayBeAnotherFrames:
		'its sidecar may be another frame’s; choose the frames with their folders',
	farTooLargeForASidecar: 'far too large for a sidecar',
	itDeclaresEntitiesWhichNoSidecar: 'it declares entities, which no sidecar needs',
	itHasFarTooManyParts: 'it has far too many parts',
	itCannotBeRead: 'it cannot be read',
	itWasNotSaved: (unknown: Shown) => `It was not saved: ${unknown}.`,
	leftAlone: (name: Shown, problem: Shown) => `${name}: ${problem}; left alone`,
	thereIsNoSidecarToWrite: 'There is no sidecar to write.',
	thereIsNoShot: 'There is no shot.',
	chooseTheFramesAgainToPrint: 'Choose the frames again to print them.',
	saveFromReview: 'Save from Review',
	sidecarsXmp: 'Sidecars (XMP)',
	aSmallFileBesideEachFrame:
		'A small file beside each frame, for other programs to read: keep is four stars, maybe two, drop is rejected, the favourite five. It also says what is in focus. Your frames are not touched.',
	ofTheseFramesASidecarAlready: (there: Shown, have: Shown, them: Shown) =>
		`${there} of these frames ${have} a sidecar already. What should happen to ${them}?`,
	sidecarsThatAreThere: 'Sidecars that are there',
	chooseTheFramesWithTheirFolder:
		'Choose the frames with their folder, and sidecars that are there are merged instead of replaced.',
	saveTheSidecars: 'Save the sidecars',
	tableCsv: 'Table (CSV)',
	everythingThatWasMeasuredWithMarks:
		'Everything that was measured, with marks and notes: one row for each face of each frame.',
	saveTheTable: 'Save the table',
	contactSheetOf: 'Contact sheet of “',
	eachFrameHasACaptionThat:
		'Each frame has a caption that says what is in focus. The favourite, or else the first good one, is large. Dropped ones are left out.'
} as const;

export const outText = {
	shutterS: 'shutter s',
	focalMm: 'focal mm',
	blurPx: (part: Shown) => `blur ${part} px`,
	streakPx: 'streak px',
	eyesShut: 'eyes shut',
	whiteShare: 'white share',
	goodFrame: 'good frame',
	focusFellM: 'focus fell m',
	fromM: 'from m',
	toM: 'to m',
	nothingFound: 'nothing found',
	notMeasured: 'not measured',
	on: (inFocusWords: Shown) => `on ${inFocusWords}`
} as const;

export const sheetPictureText = {
	thereIsNoMemoryForA: 'there is no memory for a picture of this size'
} as const;
