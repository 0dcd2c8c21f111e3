import type { Shown } from './shown';

export const arrangementsText = {
	onePerson: 'One person',
	twoWalkingIn: 'Two walking in',
	aRowOfSix: 'A row of six',
	threeRowsOnSteps: 'Three rows on steps',
	aCrowd: 'A crowd'
} as const;

export const autoBackupText = {
	itCouldNotBeWritten: 'It could not be written.',
	theFolderIsNotThereAny: 'The folder is not there any more.',
	theBrowserDoesNotLetFocalis: 'The browser does not let Focalis write there.',
	thereIsNoRoomLeft: 'There is no room left.'
} as const;

export const dayActionsText = {
	adding: (shot: Shown) => `adding “${shot}”`,
	removing: 'removing',
	bringingBack: 'bringing back'
} as const;

export const promiseText = {
	noBackupYet: 'No backup yet.',
	lastBackup: (format: Shown) => `Last backup: ${format}.`,
	thisBrowserPromisesToKeep: 'This browser promises to keep everything until you erase it.',
	thisBrowserMayClearEverythingWhen:
		'This browser may clear everything when the device runs out of space: keep backups.',
	thisBrowserDoesNotSayWhether:
		'This browser does not say whether it keeps everything: keep backups.',
	mbUsed: (what: Shown) => `${what} MB used`,
	ofMb: (n: Shown) => ` of ${n} MB`
} as const;

export const unsentWorkText = {
	itIsNotARecord: 'it is not a record'
} as const;
