import type { Shown } from '../shown';

export const compareText = {
	thePictureWith: (label: Shown) => `The picture with ${label}`,
	plan: (firstF: Shown) => `plan ${firstF}`,
	dividerThePlanOnItsLeft: (label: Shown) => `Divider: the plan on its left, ${label} on its right`,
	perCent: (at: Shown) => `${at} per cent`,
	onlyTheOther: 'only the other',
	onlyThePlan: 'only the plan',
	stopComparing: 'Stop comparing'
} as const;

export const frameText = {
	thePictureWithItsRealBlur: 'The picture with its real blur',
	focusOnS: (name: Shown) => `Focus on ${name}’s`,
	aDrawingOnly: (why: Shown) => `A drawing only: ${why}.`,
	andMoreNotSeen: (MOST_UNSEEN: Shown) => `and ${MOST_UNSEEN} more not seen`
} as const;

export const frameDrawingText = {
	thePictureChooseAFaceTo: 'The picture: choose a face to focus on'
} as const;

export const frameGuidesText = {
	cut: (name: Shown) => `${name} cut`
} as const;

export const frameToolsText = {
	focusPoint: 'focus point',
	whereTheFocusPointsReach: 'where the focus points reach',
	statesOfEyesAndThings: 'states of eyes and things',
	whoIsCutByTheEdge: 'who is cut by the edge',
	thirds: 'thirds',
	marginToCrop: 'margin to crop',
	show: 'show ▾',
	showOverThePicture: 'Show over the picture',
	compareWith: 'Compare with',
	compare: 'compare…',
	save: 'save…'
} as const;

export const savePictureText = {
	thePictureCouldNotBeSaved: (unknown: Shown) => `The picture could not be saved: ${unknown}.`,
	saveThePicture: 'Save the picture',
	thisPicture: 'This picture:',
	besideItOnOneSheetIf: 'Beside it on one sheet, if you like',
	choiceOfTheSheet: (place: Shown) => `Choice ${place} of the sheet`,
	nothing: 'nothing',
	withNamesAndTheTitleOf: 'with names and the title of the shot',
	drawing: 'Drawing',
	pictureOf: (picture: Shown, progress: Shown) => `picture ${picture} of ${progress}`,
	drawing2: (progress: Shown) => `Drawing ${progress}…`
} as const;

export const secondChoicesText = {
	anotherFNumber: 'another f-number',
	theSameFace: 'the same face',
	focusedOnThe: (words: Shown) => `focused on the ${words}`,
	somebodyElse: 'somebody else',
	focusedOn: (name: Shown) => `focused on ${name}`,
	aSchool: 'a school',
	before: 'before',
	beforeTheLastChange: 'before the last change',
	aboutThePerson: 'about the person',
	aboutThe: (object: Shown) => `about the ${object}`,
	aboutBoth: 'about both',
	about: (about: Shown) => `about ${about}`,
	aLikelyBadFrame: 'a likely bad frame'
} as const;
