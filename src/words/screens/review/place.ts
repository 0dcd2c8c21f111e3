import type { Shown } from '../shown';

export const frameLogText = {
	theLog: 'The log',
	frame: 'frame',
	lookAtFrame: (i: Shown) => `look at frame ${i}`,
	noteOnFrame: (i: Shown) => `note on frame ${i}`
} as const;

export const groupRowText = {
	noneYet: 'none yet',
	good: (good: Shown) => `${good} good`,
	nobodyFound: 'nobody found'
} as const;

export const markBarText = {
	maybe: 'Maybe',
	drop: 'Drop',
	markThisFrame: 'Mark this frame',
	theFrameBefore: 'the frame before',
	favourite: 'favourite',
	theNextFrame: 'the next frame'
} as const;

export const openFramesText = {
	theFolderCouldNotBeRead: 'The folder could not be read. Choose the files in it instead.',
	aFolder: 'A folder…',
	open: 'Open “',
	again: '” again',
	chooseFrames: 'Choose frames',
	chooseAFolder: 'Choose a folder',
	measuring: 'Measuring',
	ofMeasured: (measuredCount: Shown, broken: Shown) => `${measuredCount} of ${broken} measured`,
	pause: 'Pause',
	leaveTheRestOut: 'Leave the rest out',
	skipped: (broken: Shown) => `${broken} skipped`
} as const;

export const peopleMatrixText = {
	peopleAndFrames: 'People and frames',
	person: 'person',
	lookAtFrame: (numberOf: Shown) => `look at frame ${numberOf}`,
	sharpEyesOpenAStopShort:
		'● sharp, eyes open · ◐ a stop short · ○ soft · ✕ eyes shut · ? cannot tell · – not found'
} as const;

export const planAndOutcomeText = {
	whatWasLearnedIsUsed: 'what was learned is used',
	whatSpoiledTheOthers: (causesWords: Shown) => `What spoiled the others: ${causesWords}.`,
	whatAllFramesSayAboutYour: 'What all frames say about your hands and focusing',
	framesOfThePracticeCameraAre:
		'Frames of the practice camera are left out: it shakes and focuses as it was told to, not as you do.',
	nothingYetItTakesEightFrames: 'Nothing yet: it takes eight frames or more of planned shots.',
	eachFigureBlendsTheAssumption:
		'Each figure blends the assumption, counted as 20 frames, with your own frames. Sway can be told apart from focusing only with frames from far off and from close by.',
	backToWhatItWas: 'Back to what it was'
} as const;

export const reviewScreenText = {
	whereTheFocusFell: 'Where the focus fell',
	planAndOutcome: 'Plan and outcome',
	asOneWidePicture: 'As one wide picture',
	noShot: 'no shot',
	shotsWithFrames: 'Shots with frames',
	yourFrames: 'Your frames',
	keptMaybeDropped: (keep: Shown, maybe: Shown, drop: Shown) =>
		`${keep} kept, ${maybe} maybe, ${drop} dropped`,
	save: 'Save…',
	chooseTheFramesOfAnAfternoon:
		'Choose the frames of an afternoon or their folder, or drop them here. They are only read, never moved or changed, and nothing leaves this browser.',
	everyFaceIsMeasuredWhichFrames:
		'Every face is measured: which frames are sharp with open eyes, where the focus fell in the others, and which few frames hold everybody.',
	framesOf: (group: Shown) => `Frames of ${group}`,
	order: 'Order',
	moveThisFrameTo: 'move this frame to',
	whatItSays: 'What it says'
} as const;

export const whereFocusFellText = {
	whereTheFocusFellFromAbove: 'Where the focus fell, from above',
	theDashedLineIsThePlans: '; the dashed line is the plan’s',
	theLineIsWhereTheFocus: (theDashedLineIsThePlans: Shown) =>
		`The line is where the focus fell, the band how sure that is${theDashedLineIsThePlans}. The camera is at the left.`
} as const;

export const reviewKeysText = {
	min: (minutes: Shown) => `${minutes} min`,
	theCamerasClockIsGoingBy: (join: Shown, behind: Shown) =>
		`The camera’s clock is ${join} ${behind}, going by the frames you moved to a shot.`
} as const;
