import type { Shown } from '../shown';

export const gearText = {
	atMm: (n: Shown) => ` at ${n} mm`,
	lensAndBody: (words: Shown) => `Lens and body: ${words}`,
	lensBodyAndDistance: 'Lens, body and distance',
	fromTheSensorMarkToWhat: 'from the sensor mark to what is focused on'
} as const;

export const ratioChartText = {
	blurAsAShareOfWhat: 'blur, as a share of what is allowed',
	blurOfEachFaceAsA:
		'Blur of each face as a share of what is allowed, at every f-number. Below the dotted line at 1 a face is sharp.'
} as const;

export const schoolTableText = {
	lockAndReframeWhereItHolds: 'lock and reframe, where it holds',
	focusByHandMagnified: 'focus by hand, magnified',
	percentGood: (n: Shown) => `, ${n} % good`,
	slowerByTheStabiliser: (stopsInWords: Shown) => `, ${stopsInWords} slower by the stabiliser`,
	theSameShotByOtherSchools: 'The same shot by other schools',
	sharp: (sharp: Shown, people: Shown, good: Shown) => `${sharp}/${people} sharp${good}`,
	doThis: 'Do this',
	howSlowTheShutterMayBe: 'How slow the shutter may be',
	waysToGetTheFocusThere: 'Ways to get the focus there',
	onTheSpot: 'on the spot',
	behindIt: 'behind it',
	beforeIt: 'before it',
	losesIt: 'loses it',
	ofWhatIsAllowed: (losesIt: Shown, worstRatio: Shown) =>
		`${losesIt}, ${worstRatio} of what is allowed`,
	forAFaceOffCentreI: 'for a face off-centre I would'
} as const;

export const tryInsteadText = {
	tryInstead: 'Try instead',
	try: 'try',
	advice: 'advice'
} as const;

export const verdictText = {
	howManyFramesToTake: 'How many frames to take is still being counted.',
	verdict: 'Verdict',
	notAllSharpBestFocusOn: 'Not all sharp. Best: focus on',
	peek: 'peek',
	why: 'why',
	shootIt: 'shoot it',
	whoIsInFrontOfThe: 'Who is in front of the camera?',
	withWhichLensAndBodyThen:
		'With which lens and body? Then add a person, a couple or rows of people on the stage, or let',
	aPhotograph: 'a photograph',
	sayWhereTheyStand: 'say where they stand.',
	nothingHasToBeSharpYet: 'Nothing has to be sharp yet.',
	why2: 'Why'
} as const;

export const whyText = {
	moreThanThisLensCanDo: 'more than this lens can do',
	asGoodAsAny: 'as good as any',
	costs: (stopsInWords: Shown) => `costs ${stopsInWords}`,
	onTheAxisItIsSharp: (distance: Shown, distance2: Shown, what: Shown) =>
		`On the axis it is sharp from ${distance} to ${distance2}: blur of at most ${what} µm on the sensor.`,
	thePlaneOfFocusIsFrom: (distance: Shown, distance2: Shown) =>
		`The plane of focus is ${distance} from the lens, ${distance2} from the sensor mark.`,
	whereEachSchoolWouldFocus: 'Where each school would focus',
	focusOn: 'focus on',
	needs: 'needs',
	andSo: 'and so',
	everyFaceAtEveryFNumber: 'Every face at every f-number',
	marginForError: 'margin for error',
	watchOut: 'Watch out'
} as const;

export const wishesText = {
	printOf: 'print of…',
	thePeople: 'the people',
	thePerson: 'the person',
	widthOfThePrint: 'width of the print',
	viewingDistance: 'viewing distance'
} as const;
