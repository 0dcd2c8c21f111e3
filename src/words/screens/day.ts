import type { Shown } from './shown';

export const addShotText = {
	shot: '+ Shot',
	anEmptyStage: 'An empty stage'
} as const;

export const dayScreenText = {
	findAShot: 'Find a shot',
	shotPlaceOrPerson: 'shot, place or person',
	of: (found: Shown, shots: Shown) => `${found} of ${shots}`,
	files: 'Files',
	nothingMatchesThat: 'Nothing matches that.',
	noShotsYetAddOneWith:
		'No shots yet. Add one with “+ Shot”: from an arrangement, or from an empty stage.',
	removed: (removed: Shown) => `Removed: ${removed}`,
	bringBack: 'Bring back “'
} as const;

export const fNumbersText = {
	to: (fStop: Shown, fStop2: Shown) => `${fStop} to ${fStop2}`,
	ofAreAtSoTheyWill: (capital: Shown, count: Shown, range: Shown) =>
		`${capital} of ${count} are at ${range}, so they will look alike.`,
	fNumbers: 'f-numbers:'
} as const;

export const guestCardText = {
	changing: (name: Shown) => `changing ${name}`,
	calling: (name: Shown, name2: Shown) => `calling ${name} ${name2}`,
	placing: (name: Shown) => `placing ${name}`,
	removing: (name: Shown) => `removing ${name}`,
	takingOffTheList: (name: Shown) => `taking ${name} off the list`,
	eyesAboveTheGround: 'eyes above the ground',
	wearsGlasses: 'wears glasses',
	standsIn: 'stands in'
} as const;

export const jobHeadText = {
	noShotsYet: 'No shots yet.',
	skipped: (skipped: Shown) => `, ${skipped} skipped`,
	ofTaken: (count: Shown, n: Shown, rest: Shown) => `${count} of ${n} taken${rest}.`,
	theOfTheDay: (what: Shown) => `the ${what} of the day`,
	titleOfTheDay: 'Title of the day',
	dateOfTheDay: 'Date of the day',
	placeOfTheDay: 'Place of the day',
	place: 'place',
	notesOfTheDay: 'Notes of the day'
} as const;

export const jobsMenuText = {
	wasErasedFromThisDeviceShots: (n: Shown, shots: Shown, steps: Shown, people: Shown) =>
		`“${n}” was erased from this device: ${shots} shots, ${steps} steps of their history, ${people} people.`,
	couldNotBeErasedThisBrowsers: (n: Shown) =>
		`“${n}” could not be erased: this browser’s storage did not allow it. Nothing was lost.`,
	jobs: 'Jobs ▾',
	jobs2: 'Jobs',
	newDay: 'New day',
	aNewDay: 'A new day',
	eraseThisJobFromThisDevice: 'Erase this job from this device…',
	eraseThisJob: 'Erase this job?',
	itsShotsWithTheirWholeHistory: (shots: Shown) =>
		`”, its ${shots} shots with their whole history and its list of people will be erased from this device for good. Files you have saved are not affected. This cannot be undone.`,
	keepIt: 'Keep it',
	eraseIt: 'Erase it'
} as const;

export const pasteSheetText = {
	noorTeoChildHalinaGlassesSits: (height: Shown) =>
		`Noor\nTeo, child, ${height}\nHalina, glasses, sits on the left\n14:30 On the steps: Noor, Teo, Halina`,
	ofTheWholeBody: 'of the whole body',
	ofTheEyes: 'of the eyes',
	alreadyThereLeaveIt: 'already there: leave it',
	changeItToThis: 'change it to this',
	addAnother: 'add another',
	pasteAList: 'Paste a list',
	onePersonPerLineAfterA:
		'One person per line. After a comma: child, infant, dog or cat, glasses, a height, a note. A line that begins with a time is a shot; its people follow a colon.',
	heightsAre: 'heights are',
	whatWasUnderstood: 'What was understood',
	min: (minutes: Shown) => `, ${minutes} min`,
	with: ', with ',
	aShot: (min: Shown, what: Shown) => `a shot${min}${what}`,
	whatToDo: (one: Shown) => `${one}: what to do`,
	oneLine: 'one line',
	lines: (count: Shown) => `${count} lines`,
	add: (lines: Shown) => `Add ${lines}`
} as const;

export const peopleText = {
	adding: (name: Shown) => `adding ${name}`,
	addingPeople: (fresh: Shown) => `adding ${fresh} people`,
	inNoShot: 'in no shot',
	inOneShot: 'in one shot',
	inShots: (n: Shown) => `in ${n} shots`,
	nameOfSomebodyWhoIsThere: 'Name of somebody who is there',
	pasteAList: 'Paste a list…',
	ofInNoShotYet: (missing: Shown, guests: Shown) => `${missing} of ${guests} in no shot yet`,
	everyoneIsInAShot: 'Everyone is in a shot.',
	glasses: 'glasses'
} as const;

export const rowMenuText = {
	moreFor: (shot: Shown) => `more for ${shot}`,
	nameTimeAndPlace: 'Name, time and place…',
	theTimeOf: (locking: Shown, shot: Shown) => `${locking} the time of “${shot}”`,
	unlock: 'Unlock',
	lock: 'Lock',
	theTime: (lock: Shown) => `${lock} the time`,
	earlier: 'Earlier',
	later: 'Later',
	moveTo: 'Move to “'
} as const;

export const shotListText = {
	oneOtherShotMoves: 'one other shot moves',
	otherShotsMove: (count: Shown) => `${count} other shots move`,
	hereItStartsAt: (clock: Shown, rest: Shown) => `Here it starts at ${clock}; ${rest}.`,
	shotsOfTheDay: 'Shots of the day',
	theTimeIsLocked: 'The time is locked',
	moveDragOrAltWithThe: (shot: Shown) => `Move ${shot}: drag, or Alt with the arrows`
} as const;

export const shotRowText = {
	locked: ', locked',
	change: (clock: Shown, durationWords: Shown, locked: Shown) =>
		`${clock}, ${durationWords}${locked}: change`,
	due: 'due',
	nobodyIsThereYet: 'Nobody is there yet.',
	statusOf: (shot: Shown) => `status of ${shot}`,
	of: (shot: Shown) => `of ${shot}`
} as const;

export const slotSheetText = {
	theTimeOf: (shot: Shown) => `the time of “${shot}”`,
	nameTimeAndPlace: 'Name, time and place',
	what: 'what',
	renaming: (shot: Shown) => `renaming “${shot}”`,
	starts: 'starts',
	takes: 'takes',
	thisTimeIsLockedItStays: 'this time is locked: it stays when other shots move',
	where: 'where',
	stoneSteps: 'stone steps',
	thePlaceOf: (shot: Shown) => `the place of “${shot}”`
} as const;

export const dayText = {
	markingAs: (shot: Shown, status: Shown) => `marking “${shot}” as ${status}`,
	theDateOfTheDay: 'the date of the day',
	moving: (shot: Shown) => `moving “${shot}”`,
	copy: (shot: Shown) => `${shot} (copy)`,
	addingShots: (records: Shown) => `adding ${records} shots`,
	movingTo: (shot: Shown, job: Shown) => `moving “${shot}” to “${job}”`
} as const;

export const pastingText = {
	thePastedPeople: 'the pasted people'
} as const;
