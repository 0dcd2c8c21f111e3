import type { Shown } from './shown';

export const appText = {
	whatYouDroppedHoldsNoFile: 'What you dropped holds no file.',
	thisPartOfTheAppCould: 'This part of the app could not be loaded.',
	openAFile: 'Open a file',
	theFolderCannotBeReadChoose: 'The folder cannot be read. Choose the files in it instead.'
} as const;

export const deviceButtonsText = {
	metresSwitchToFeet: 'metres; switch to feet',
	feetSwitchToMetres: 'feet; switch to metres',
	lengthsIn: (feetSwitchToMetres: Shown) => `Lengths in ${feetSwitchToMetres}`,
	metres: 'Metres',
	feet: 'Feet',
	dayLook: 'Day look',
	nightLook: 'Night look'
} as const;

export const helpText = {
	ctrlZCtrlY: 'Ctrl Z, Ctrl Y',
	undoRedo: 'undo, redo',
	ctrlOCtrlS: 'Ctrl O, Ctrl S',
	openAFileSaveTheShot: 'open a file, save the shot to a file',
	onTheCard: 'on the card',
	leftAndRightGoFromShot: 'left and right go from shot to shot',
	inReview: 'in review',
	leftAndRightGoFromFrame: 'left and right go from frame to frame, up and down from face to face',
	onTheHandleOfAShot: 'on the handle of a shot of the day',
	altWithUpOrDownMoves: 'Alt with up or down moves it in the order',
	onTheStage: 'on the stage',
	arrowsGoFromObjectToObject: (step: Shown, fineStep: Shown) =>
		`arrows go from object to object, Enter takes hold; then arrows move ${step} (Shift: ${fineStep}), comma and full stop turn, Enter lets go`,
	onThePicture: 'on the picture',
	arrowsGoFromFaceToFace: 'arrows go from face to face, Enter focuses there',
	onTheEyes: 'on the eyes',
	enterOpensAFaceAtLarge: 'Enter opens a face at large',
	onTheDivider: 'on the divider',
	arrowsMoveIt: 'arrows move it',
	onTheLadder: 'on the ladder',
	arrowsPreviewARungEnterLocks: 'arrows preview a rung, Enter locks or unlocks it',
	putPeopleWhereTheyWillStand:
		'Put people where they will stand, then read what to focus on and which f-number to use. Drag anything on the stage. Point at a rung of the ladder to preview it; click it to keep it.',
	sharp: 'sharp',
	softAThingIsAsIntended:
		'soft ▲ a thing is as intended △ it is not ≈ the small opening softens everything',
	thePictureIsDrawnThroughThe:
		'The picture is drawn through the lens as it is set, so blur, discs of light and who hides whom are as they will be. The figures are invented; shake and motion are not drawn.',
	everythingIsKeptInThisBrowser:
		'Everything is kept in this browser and sent nowhere. To give a shot to somebody, save it to a file; they drop the file on their window.'
} as const;

export const licencesText = {
	notThere: 'not there',
	licencesOfWhatShipsWithFocalis: 'Licences of what ships with Focalis',
	reading: 'Reading…',
	thePackageCarriesNoTextOf: 'The package carries no text of its licence.',
	theLicencesCouldNotBeRead: 'The licences could not be read just now.'
} as const;

export const noticesText = {
	thisBrowsersStorageIsFullChanges: 'This browser’s storage is full: changes are not kept.',
	thisBrowserDoesNotLetFocalis:
		'This browser does not let Focalis keep anything: changes are not kept.',
	theWorkInThisBrowserWas:
		'The work in this browser was saved by a newer Focalis and is left untouched. Reload to get the newer version. Changes made here are not kept.',
	thisBrowsersStorageIsNotAnswering:
		'This browser’s storage is not answering. Saved work cannot be shown, and changes are not kept.',
	itCannotBeReadJustNow: 'It cannot be read just now.',
	whatThisDaySays: 'What this day says',
	thePlaceOfAShotIn: 'The place of a shot in its day',
	wasChangedInAnotherWindowAt: (kind: Shown) =>
		`${kind} was changed in another window at the same time.`,
	wasRemovedInAnotherWindow: (kind: Shown) => `${kind} was removed in another window.`,
	youCanGoOnAndSave: (trouble: Shown) =>
		`${trouble} You can go on, and save the shot to a file before you close this window.`,
	saveEverythingToAFile: 'Save everything to a file',
	thisShotWasAlsoChangedIn:
		'This shot was also changed in another window. Which version do you want to keep? Undo brings the other one back.',
	thisShotWasRemovedInAnother: 'This shot was removed in another window.',
	mine: 'Mine',
	theOtherOne: 'The other one',
	whichOneDoYouWantTo: (conflictWords: Shown) => `${conflictWords} Which one do you want to keep?`,
	thatIsNotPossibleNothingWas: (refusal: Shown) =>
		`That is not possible: ${refusal}. Nothing was changed.`,
	nothingWasChanged: (message: Shown) => `${message} Nothing was changed.`,
	andMore: (MOST_SHOWN: Shown) => `and ${MOST_SHOWN} more`,
	aNewerVersionOfFocalisIs: 'A newer version of Focalis is ready. Your work is kept.',
	useItNow: 'Use it now',
	notNow: 'Not now',
	theBackupInto: 'The backup into “',
	wasNotWrittenFocalisWillTry: (problem: Shown) =>
		`” was not written. ${problem} Focalis will try again.`,
	lookAtIt: 'Look at it…',
	aDaysWorkIsOnlyIn:
		'A day’s work is only in this browser. A backup file keeps it safe elsewhere, too.',
	backUp: 'Back up…',
	oneRecord: 'One record',
	records: (setAside: Shown) => `${setAside} records`,
	inThisBrowserCannotBeRead: (records: Shown, path: Shown, message: Shown) =>
		`${records} in this browser cannot be read (${path}: ${message}). It is left as it is, and everything else works.`
} as const;

export const shellPlacesText = {
	placesOfTheWork: 'Places of the work'
} as const;

export const setAsideSheetText = {
	aDay: 'A day',
	aShot: 'A shot',
	whatWasErased: 'What was erased',
	withoutAName: 'without a name',
	isBack: (name: Shown) => `“${name}” is back.`,
	stillCannotBeRead: (name: Shown, message: Shown) => `“${name}” still cannot be read: ${message}.`,
	thereIsNoRoomForIt: 'There is no room for it.',
	itWasNotKept: 'It was not kept.',
	recordsThatCannotBeRead: 'Records that cannot be read',
	itStaysAsItIsUntil:
		'It stays as it is until you correct it. Type what it should be, or leave out what does not belong.',
	leaveItOut: 'leave it out',
	putItBack: 'Put it back',
	saveAllOfItToA: 'Save all of it to a file'
} as const;

export const shortcutListText = {
	isAlreadyTheKeyForGive: (key: Shown, words: Shown) =>
		`“${key}” is already the key for “${words}”. Give that action another key first.`,
	singleLetterShortcuts: 'single-letter shortcuts',
	pressAnotherKeyInAField: 'Press another key in a field to change it, or Backspace for none.',
	backToTheUsualKeys: 'Back to the usual keys'
} as const;

export const shotMenuText = {
	of: (job: Shown, number: Shown, shots: Shown) => `${job} · ${number} of ${shots} ·`,
	titleOfThisShot: 'title of this shot',
	files: 'Files…',
	copy: (shot: Shown) => `${shot} (copy)`,
	removed: 'Removed',
	bringBack: (shot: Shown) => `Bring back “${shot}”`,
	otherJobs: 'Other jobs'
} as const;

export const topBarText = {
	noNetworkEverythingHereWorks: 'No network. Everything here works without one.',
	undo: 'Undo',
	redo: 'Redo'
} as const;

export const pageText = {
	title: 'Focalis: plan a shot'
} as const;

export const errorPageText = {
	title: (problem: Shown) => `Focalis: ${problem}`,
	notFound: 'not found',
	thereIsNothingHere: 'There is nothing here.',
	somethingWentWrongHere: 'Something went wrong here.',
	yourWorkIsWhereItWas: 'Your work is where it was.',
	backToIt: 'Back to it'
} as const;
