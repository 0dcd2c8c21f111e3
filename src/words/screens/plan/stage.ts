import type { Shown } from '../shown';

export const addMenuText = {
	sayHowManyStandInEach: 'Say how many stand in each row, such as 5, 6, 4.',
	thereIsRoomForMorePeople: (room: Shown) => `There is room for ${room} more people in this shot.`,
	thing: 'Thing',
	add: '+ Add',
	aPerson: 'A person',
	aChild: 'A child',
	aDog: 'A dog',
	aCat: 'A cat',
	someoneWalkingIn: 'Someone walking in',
	fromThePeopleOfTheDay: 'From the people of the day…',
	rowsOfPeople: 'Rows of people…',
	namesRowByRow: 'Names, row by row…',
	aThing: 'A thing',
	rowsOfPeople2: 'Rows of people',
	howManyInEachRowThe: 'How many in each row, the front row first',
	rowToRow: 'row to row',
	eachStepUp: 'each step up',
	onePerson: 'one person',
	people: (total: Shown) => `${total} people`,
	add2: (people: Shown) => `Add ${people}`
} as const;

export const emptyStageText = {
	nobodyIsThereYet: 'Nobody is there yet',
	nobodyIsThereYetBeginWith: 'Nobody is there yet. Begin with'
} as const;

export const guestPickerText = {
	nobodyIsOnTheDaysList: 'Nobody is on the day’s list yet. Write the list on the day.',
	everyoneOfTheDayIsIn: 'Everyone of the day is in this shot already.'
} as const;

export const objectListText = {
	toTheRight: 'to the right',
	shotCameraPosition: (axis: Shown) => `shot.camera.position.${axis}`,
	whoOrWhat: 'who or what',
	headTurned: 'head turned',
	row0ByDepth: 'row (0: by depth)',
	remove: 'remove',
	headTurned2: (name: Shown) => `${name}, head turned`,
	row: (name: Shown) => `${name}, row`,
	mustBe: (name: Shown) => `${name} must be`,
	keepSharpOf: (name: Shown) => `keep sharp of ${name}`,
	remove2: (name: Shown) => `Remove ${name}`,
	shouldBe: (label: Shown) => `${label} should be`
} as const;

export const stageText = {
	fromAbove: 'from above',
	fromTheSide: 'from the side',
	list: 'list',
	zoomOut: 'Zoom out',
	zoomIn: 'Zoom in',
	showEverything: 'Show everything'
} as const;

export const stageDrawingText = {
	stageArrowsGoFromObjectTo: (step: Shown, fineStep: Shown) =>
		`Stage. Arrows go from object to object, Enter takes hold, arrows then move ${step}, with Shift ${fineStep}, comma and full stop turn, Enter lets go.`
} as const;

export const standingFloorText = {
	notEvenOneRowWouldHold: 'not even one row would hold',
	itHoldsAsItIs: 'it holds as it is',
	theBackRowMustComeNearer: (smallLength: Shown) => `the back row must come ${smallLength} nearer`,
	mm: (n: Shown) => `${n} mm`,
	noLensInTheKitGives: 'No lens in the kit gives the same framing from there.',
	tryingTheCameraEverywhere: 'Trying the camera everywhere…',
	noSpotInSightWorksWith: 'No spot in sight works with the lenses in the kit.',
	tapWhereToStandNotWhere: 'Tap where to stand; not where it is hatched.',
	tapWhereToStandTheFraming:
		'Tap where to stand, framed the same. Hatched: no lens, no room, or faces hidden.',
	goToTheArrowAway: (fStop: Shown, distance: Shown) =>
		`Go to the arrow: ${fStop}, ${distance} away`,
	nowhereInSightIsBetterThan: 'Nowhere in sight is better than here.',
	backRow: 'back row…',
	forThisFNumber: 'For this f-number',
	for: (fStop: Shown) => `for ${fStop}`
} as const;

export const sunMarkText = {
	sunHigh: (n: Shown) => `sun, ${n}° high`
} as const;

export const dragWordsText = {
	upTurnedTilted: (distance: Shown, panDeg: Shown, tiltDeg: Shown) =>
		`${distance} up, turned ${panDeg}°, tilted ${tiltDeg}°`,
	away: (distance: Shown) => `${distance} away`,
	turnedToThe: (abs: Shown, left: Shown) => `turned ${abs}° to the ${left}`,
	behindTheRowBefore: (smallLength: Shown) => `${smallLength} behind the row before`,
	toTheRowBehind: (smallLength: Shown) => `${smallLength} to the row behind`
} as const;
