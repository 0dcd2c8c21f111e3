import { RULES } from './rules';

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
	handheldMm: spread('hands', 6, 200, 'mm', 'I sway forward and back, camera in the hand'),
	bracedMm: spread('hands', 3, 200, 'mm', 'leaning on something'),
	kneelingMm: spread('hands', 2.5, 200, 'mm', 'kneeling'),
	monopodMm: spread('hands', 2, 200, 'mm', 'with a monopod'),
	tripodMm: spread('hands', 0.3, 200, 'mm', 'on a tripod'),
	shake: spread(
		'hands',
		0.45,
		5,
		'×',
		'my shake at one over the focal length, in small prints’ sharpness'
	),
	bracedShake: spread('hands', 0.5, 2, '×', 'of that, leaning or kneeling'),
	monopodShake: spread('hands', 0.35, 2, '×', 'of that, with a monopod'),
	middlePoint: spread(
		'focusing',
		0.25,
		2,
		'×',
		'the camera on its best points, of the depth of focus'
	),
	outerPoint: spread('focusing', 0.4, 2, '×', 'the camera on an outer point'),
	byHand: spread('focusing', 0.2, 2, '×', 'focused by hand, magnified'),
	byFinder: spread('focusing', 0.5, 2, '×', 'focused by hand through the finder'),
	biasMm: spread(
		'focusing',
		0,
		0.5,
		'mm',
		'my lenses focus in front (behind: negative), at the sensor',
		-0.5
	),
	wrongPoint: spread(
		'focusing',
		0.03,
		1,
		'×',
		'the camera takes something else than the point meant'
	),
	wrongArea: spread('focusing', 0.15, 1, '×', 'the same, left an area to choose in'),
	wrongFrame: spread('focusing', 0.27, 1, '×', 'the same, left the whole frame'),
	singleLagS: spread('focusing', 0.3, 3, 's', 'from focus to release, single'),
	continuousLagS: spread('focusing', 0.05, 3, 's', 'the same, continuous'),
	reframingS: spread('focusing', 0.7, 5, 's', 'longer to reframe or to lean'),
	handLagS: spread('focusing', 1, 10, 's', 'from focus to release, by hand'),
	foresightS: spread('focusing', 0.03, 1, 's', 'continuous focusing is off by, of a walk'),
	personMm: spread('people', 5, 500, 'mm', 'somebody who stands still sways'),
	childMm: spread('people', 8, 500, 'mm', 'a child'),
	animalMm: spread('people', 6, 500, 'mm', 'an animal'),
	restlessPersonMm: spread('people', 15, 500, 'mm', 'somebody restless'),
	restlessChildMm: spread('people', 25, 500, 'mm', 'a restless child'),
	restlessAnimalMm: spread('people', 30, 500, 'mm', 'a restless animal'),
	walkingMmPerS: spread('people', 1000, 5000, 'mm/s', 'somebody walking comes nearer'),
	stillMmPerS: spread('people', 10, 5000, 'mm/s', 'somebody still moves across the frame'),
	restlessMmPerS: spread('people', 80, 5000, 'mm/s', 'somebody restless'),
	acrossMmPerS: spread('people', 150, 5000, 'mm/s', 'somebody walking towards the camera'),
	blinksPerMinute: spread('people', 10, 60, '/min', 'blinks'),
	blinkS: spread('people', 0.25, 1, 's', 'a blink lasts')
} as const satisfies Record<string, SpreadInfo>;

export type SpreadKey = keyof typeof SPREADS;
export const SPREAD_KEYS = Object.keys(SPREADS) as [SpreadKey, ...SpreadKey[]];
export type Spreads = Readonly<Record<SpreadKey, number>> & {
	/** Lenses whose own bias is known, by their names: it counts instead of `biasMm`. */
	readonly lensBias?: Readonly<Record<string, LensBias>> | undefined;
};

/** How far a lens focuses in front. */
interface LensBias {
	/** At the sensor; behind is negative. */
	readonly biasMm: number;
	/** Frames that it was measured in. */
	readonly frames: number;
}

/** How far a lens focuses in front, as far as anybody knows, mm at the sensor. */
export const biasMmOf = ({ biasMm, lensBias = {} }: Spreads, lens: string): number =>
	(Object.hasOwn(lensBias, lens) ? lensBias[lens]?.biasMm : null) ?? biasMm;

/** The assumptions as they stand. */
export const ASSUMED: Spreads = Object.fromEntries(
	Object.entries(SPREADS).map(([key, { initial }]) => [key, initial])
) as Record<SpreadKey, number>;

/** A spread as it was measured together with what was assumed, by how many frames stand behind each (section 11). */
export const withAssumed = (key: SpreadKey, measured: number, frames: number): number =>
	(RULES.assumedFrames * ASSUMED[key] + frames * measured) / (RULES.assumedFrames + frames);
