import type { Shown } from '../shown';

export const filesSheetText = {
	files: 'Files',
	names: 'names',
	places: 'places',
	leaveOut: 'Leave out',
	fromEveryFileExceptTheBackup:
		'From every file except the backup. People become “Person 1”, in titles too. A title that names somebody who is not on a list stays as it is.',
	thisDay: 'This day',
	theWholeDay: 'The whole day',
	toOpenAgainHereOrOn: 'to open again, here or on somebody else’s device',
	pocketFile: 'Pocket file',
	onePageWithEveryCardFor: 'one page with every card, for any phone, without a network',
	cardsPdf: 'Cards (PDF)',
	printCards: 'Print cards…',
	fourOnASheetLatinGreek:
		'four on a sheet; Latin, Greek and Cyrillic letters as text, others drawn',
	shotListCsv: 'Shot list (CSV)',
	aTableForSpreadsheetsWhatIs: 'a table for spreadsheets; what is changed there can be opened here',
	scheduleCalendar: 'Schedule (calendar)',
	timesAreIn: 'Times are in',
	theTimeZoneOfTheDay: 'the time zone of the day',
	thisShot: 'This shot:',
	theShot: 'The shot',
	stageSvg: 'Stage (SVG)',
	stagePng: 'Stage (PNG)',
	everythingOnThisDevice: 'Everything on this device',
	backUpEverything: 'Back up everything',
	openAFile: 'Open a file…',
	isTheBackupAmongYourDownloads: 'Is the backup among your downloads? This browser does not say.',
	itIsSaved: 'It is saved',
	backedUpInto: 'Backed up into “',
	aMinuteAfterAChangeA: '” a minute after a change, a file a day.',
	anotherFolder: 'Another folder…',
	stopTheseBackups: 'Stop these backups',
	automaticallyIntoAFolder: 'Automatically, into a folder…',
	chosenOnceThenAFileA: 'chosen once; then a file a day, a minute after a change',
	theBackupHoldsAllDaysThe:
		'The backup holds all days, the kit, your hands, and the marks and notes on frames. What you removed and the undo steps are not in it. Open a backup, a day, a shot or a shot list here; you see what is in it before anything is added.'
} as const;

export const jobFilesText = {
	theDay: 'the day',
	theShotList: 'the shot list',
	theSchedule: 'the schedule',
	theCards: 'the cards',
	theCardsWentToThePrinters: 'The cards went to the printer’s dialog.',
	thePocketFile: 'the pocket file',
	theShot: 'the shot',
	theStage: 'the stage',
	theBackup: 'the backup',
	making: (what: Shown) => `Making ${what}.`,
	thatDidNotWorkNothingWas: (why: Shown) => `That did not work: ${why}. Nothing was changed.`,
	savedAs: (name: Shown) => `Saved as “${name}”.`
} as const;
