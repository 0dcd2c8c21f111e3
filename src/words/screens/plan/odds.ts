import type { Shown } from '../shown';

export const oddsWhyText = {
	theWideEnd: 'the wide end',
	balanced: 'balanced',
	theSureEnd: 'the sure end',
	theOdds: 'The odds',
	countingFrames: 'Counting frames…',
	yourMeasurementsHold: 'your measurements hold',
	theAssumptionsHold: 'the assumptions hold',
	ofSimulatedFramesAreGoodAllowing: (
		framesSentence: Shown,
		frames: Shown,
		aboutShare: Shown,
		between: Shown,
		theAssumptionsHold: Shown
	) =>
		`${framesSentence} Of ${frames} simulated frames, ${aboutShare} are good (${between} allowing for chance), if ${theAssumptionsHold}. Good means that everybody who must be sharp is, with open eyes. The camera refocuses for each frame.`,
	stillCounting: 'still counting',
	whoToCheckAtFullSize: 'who to check at full size',
	goodIn: (aboutShare: Shown) => `good in ${aboutShare}`,
	whatWouldHelp: 'what would help',
	goodFramesInAHundred: 'good frames in a hundred',
	goodFramesInAHundredAt:
		'Good frames in a hundred at every f-number, for ways to hold the camera. The dotted line is one half.',
	pick: 'pick',
	theWidestThatHoldsEveryone: 'the widest that holds everyone',
	byTheOdds: 'by the odds',
	howSure: 'how sure',
	yourOwnHandsAndFocusingWere: (measuredFrames: Shown) =>
		`Your own hands and focusing were measured on ${measuredFrames} frames; the rest is assumed`,
	howMuchHandsBodiesAndFocusing:
		'How much hands, bodies and focusing vary is assumed, not measured',
	changeItUnderKitMyHands:
		': change it under “kit”, “my hands”. By the odds, the pick is the widest f-number that is sharp in nearly as many frames as the best one.'
} as const;
