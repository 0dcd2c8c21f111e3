/**
 * How much hands, bodies and focusing spread from frame to frame. All of these are assumptions, from
 * memory, until somebody measures their own.
 */
export interface SpreadInfo {
	readonly initial: number;
	readonly low: number;
	readonly high: number;
	readonly unit: string;
	/** What it is, in a photographer's words. */
	readonly meaning: string;
	readonly of: 'hands' | 'focusing' | 'people';
}

const spread = (
	of: SpreadInfo['of'],
	initial: number,
	high: number,
	unit: string,
	meaning: string,
	low = 0
): SpreadInfo => ({ of, initial, low, high, unit, meaning });

export const SPREADS = {
	handheldMm: spread('hands', 12, 200, 'mm', 'I sway forward and back, camera in the hand'),
	bracedMm: spread('hands', 6, 200, 'mm', 'leaning on something'),
	kneelingMm: spread('hands', 5, 200, 'mm', 'kneeling'),
	monopodMm: spread('hands', 4, 200, 'mm', 'with a monopod'),
	tripodMm: spread('hands', 0.5, 200, 'mm', 'on a tripod'),
	shake: spread(
		'hands',
		0.6,
		5,
		'×',
		'my shake at one over the focal length, in small prints’ sharpness'
	),
	bracedShake: spread('hands', 0.5, 2, '×', 'of that, leaning or kneeling'),
	monopodShake: spread('hands', 0.35, 2, '×', 'of that, with a monopod'),
	middlePoint: spread(
		'focusing',
		0.17,
		2,
		'×',
		'the camera on its best points, of the depth of focus'
	),
	outerPoint: spread('focusing', 0.33, 2, '×', 'the camera on an outer point'),
	byHand: spread('focusing', 0.1, 2, '×', 'focused by hand, magnified'),
	biasMm: spread(
		'focusing',
		0,
		0.5,
		'mm',
		'my lens focuses in front (behind: negative), at the sensor',
		-0.5
	),
	singleLagS: spread('focusing', 0.25, 3, 's', 'from focus to release, single'),
	continuousLagS: spread('focusing', 0.03, 3, 's', 'the same, continuous'),
	personMm: spread('people', 8, 500, 'mm', 'somebody who stands still sways'),
	childMm: spread('people', 25, 500, 'mm', 'a child or an animal'),
	walkingMmPerS: spread('people', 1000, 5000, 'mm/s', 'somebody walking comes nearer'),
	blinksPerMinute: spread('people', 10, 60, '/min', 'blinks'),
	blinkS: spread('people', 0.25, 1, 's', 'a blink lasts')
} as const satisfies Record<string, SpreadInfo>;

export type SpreadKey = keyof typeof SPREADS;
export type Spreads = Readonly<Record<SpreadKey, number>>;

/** The assumptions as they stand. */
export const ASSUMED = Object.fromEntries(
	Object.entries(SPREADS).map(([key, { initial }]) => [key, initial])
) as Spreads;
