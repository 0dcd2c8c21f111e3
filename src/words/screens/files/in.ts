import type { Shown } from '../shown';

export const droppingText = {
	dropTheFileHere: 'Drop the file here'
} as const;

export const importSheetText = {
	keepBoth: 'keep both',
	replaceMine: 'replace mine',
	new: (fresh: Shown) => `${fresh} new`,
	different: (fresh: Shown) => `${fresh} different`,
	theSame: (same: Shown) => `${same} the same`,
	shots: (join: Shown) => `Shots: ${join}.`,
	aNewDayWithShots: (fresh: Shown) => `A new day with ${fresh} shots.`,
	different2: (differs: Shown) => `different: ${differs}`,
	whatToDo: (item: Shown) => `${item}: what to do`,
	showTheOther: (FIRST: Shown) => `Show the other ${FIRST}`,
	whatIsInThisFile: 'What is in this file',
	everythingInThisFileIsAlready:
		'Everything in this file is already here. There is nothing to add.',
	everythingThatIsDifferent: 'Everything that is different:',
	itsShots: 'Its shots',
	besidesTheDays: 'Besides the days',
	addNothing: 'Add nothing',
	addIt: 'Add it'
} as const;

export const lookingText = {
	lookingAt: 'Looking at'
} as const;

export const importingText = {
	adding: (file: Shown) => `adding “${file}”`,
	addingShotsOf: (fresh: Shown, file: Shown) => `adding ${fresh} shots of “${file}”`
} as const;

export const openingsText = {
	cannotBeRead: (name: Shown, problem: Shown) => `“${name}” cannot be read: ${problem}.`
} as const;
