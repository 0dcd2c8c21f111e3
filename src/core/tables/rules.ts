/**
 * Every threshold of the model, once. The code reads it from here. `rules.test.ts` holds it against the section of
 * docs/model.md that states it, `bothSides.test.ts` (here and in `study`) against what public functions say on either side.
 *
 * What is measured or assumed of hands, bodies and focusing is no rule: it stands in `spreads.ts`.
 */

interface Rule {
	readonly value: number;
	/** Section of docs/model.md. */
	readonly section: number;
	/** How that section says it, to the letter. */
	readonly stated: string;
	/** Published source, "common practice", or "chosen": nobody outside says so. */
	readonly source: string;
}

/** @param stated words of docs/model.md, with line breaks as spaces */
const rule = (value: number, section: number, stated: string, source = 'chosen'): Rule => ({
	value,
	section,
	stated,
	source
});

const PRACTICE = 'common practice, no source';

/** The table itself; `RULES` holds the values alone. */
export const RULE_TABLE = {
	// 2 Heads
	eyeTurnedAwayDeg: rule(55, 2, 'Beyond 55 degrees it is turned away'),
	eyeForeshortenedDeg: rule(45, 2, 'From 45 to 55 degrees it is foreshortened'),
	foreshorteningDoublesDeg: rule(5, 2, '2^((angle - 45)/5)'),
	faceTurnedAwayDeg: rule(105, 2, "d.f' < cos 105 both are"),
	nearEyeTieM: rule(1e-9, 2, 'the left one on a tie within 1e-9 m'),

	// 3 Blur
	ladderFromShare: rule(0.97, 3, '2^(i/6) ≥ 0.97 widest'),
	ladderToShare: rule(1.03, 3, '2^(i/6) ≤ 1.03 smallest'),
	albumToleranceMm: rule(0.03, 3, '`album` 0.030 d / 43.2666', 'old tables (from memory)'),
	screenTolerancePx: rule(1.5, 3, '`screen` 1.5 L / 3240'),
	screenPixelsAcross: rule(3240, 3, '`screen` 1.5 L / 3240', '3:2 in a height of 2160'),
	pixelTolerancePx: rule(2, 3, '`pixel` 2 L / pixelsAcross'),
	printToleranceMm: rule(0.2, 3, '`print` 0.2 (viewingDistanceCm / 25)', '1 in 1250 (from memory)'),
	printDistanceCm: rule(25, 3, '`print` 0.2 (viewingDistanceCm / 25)', 'near point of the eye'),
	softFactor: rule(8, 3, '`soft` six stops looser, factor 8'),
	marginalRatio: rule(Math.SQRT2, 3, '`marginal` ≤ 2^0.5 (a stop short)'),
	readableContrast: rule(0.8, 3, '`readable` ≥ 0.8'),
	recognisableContrast: rule(0.2, 3, '`recognisable` > 0.2'),
	hiddenThingShare: rule(0.5, 3, '`sharp` or `readable` needs half of it seen'),
	hiddenRecognisableShare: rule(0.2, 3, '`recognisable` a fifth'),

	// 4 Solving
	asGoodFactor: rule(1.05, 4, 'at most 1.05 times the lowest'),
	asGoodRatio: rule(0.02, 4, 'or at most 0.02'),
	centreTieMm: rule(0.001, 4, 'equal within 0.001 mm'),
	keyTieRatio: rule(1e-9, 4, 'equal in that first number within 1e-9'),
	longestLeanM: rule(0.3, 4, 'at most 0.3 m either way'),
	keyPreferredFactor: rule(2 ** (1 / 6), 4, 'at most 2^(1/6) times the lowest'),
	backgroundCost: rule(0.1, 4, 'S ≥ (sureness - 0.1) x the highest S'),
	hopelessShare: rule(0.05, 4, 'highest S is under 0.05'),
	surenessFew: rule(0.85, 4, 'without it 0.85 for up to two people'),
	surenessGroup: rule(0.9, 4, '0.9 up to nine'),
	surenessCrowd: rule(0.95, 4, '0.95 for more'),
	fewPeople: rule(2, 4, '0.85 for up to two people'),
	groupPeople: rule(9, 4, '0.9 up to nine'),
	rowGapM: rule(0.35, 4, 'split at gaps over 0.35 m'),

	// 5 Light
	stillMmPerS: rule(20, 5, '20 mm/s still', PRACTICE),
	restlessMmPerS: rule(200, 5, '200 restless', PRACTICE),
	walkingMmPerS: rule(250, 5, '250 walking', PRACTICE),
	groupShutterS: rule(1 / 100, 5, '1/100 for three or more people', PRACTICE),
	groupFrom: rule(3, 5, '1/100 for three or more people', PRACTICE),
	groupPreferredShutterS: rule(1 / 160, 5, '1/160 preferred', PRACTICE),
	slowestByHandS: rule(1 / 30, 5, '1/30 ever', PRACTICE),
	fewLostShare: rule(0.05, 5, 't1 = slowest t with L ≤ 0.05'),
	someLostShare: rule(0.25, 5, 't2 with L ≤ 0.25'),
	ruledOutLoss: rule(0.5, 5, 'with the highest and L > 0.5'),
	comfortIso: rule(3200, 5, 'comfort ISO unless the body says otherwise: 3200'),
	blackRoomStops: rule(5, 5, 'Five or more: a test frame without flash is black', PRACTICE),
	flashS: rule(1 / 1000, 5, "the flash's own 1/1000 s", PRACTICE),

	// 6 Focusing technique
	wristSwingM: rule(0.12, 6, 'wrists 0.12 m'),
	bodySwingM: rule(0.45, 6, 'upper body 0.45 m'),
	eyeWidthMm: rule(30, 6, "an eye's 30 mm", 'round anthropometric value (from memory)'),

	// 7 Perspective
	usualDistanceM: rule(3, 7, 'the same at 3 m'),
	stretchedShare: rule(0.15, 7, 'warned of from 15 % on', PRACTICE),

	// 8 Odds
	leanSpreadShare: rule(0.1, 8, 'where leaned, N(0, leanM / 10) more'),

	// 9 Stitching
	flatPictureDeg: rule(180, 9, 'under 180 degrees'),
	steepestDeg: rule(85, 9, 'no frame tilted more than 85 degrees'),

	// 11 Measuring sharpness
	assumedFrames: rule(20, 11, 'the weight of 20 frames')
} as const satisfies Readonly<Record<string, Rule>>;

/** The name of a rule. */
export type RuleName = keyof typeof RULE_TABLE;

/**
 * The thresholds of the model by name, with their unit in it.
 *
 * @example RULES.rowGapM // 0.35
 */
export const RULES = Object.fromEntries(
	Object.entries(RULE_TABLE).map(([name, { value }]) => [name, value])
) as Readonly<Record<RuleName, number>>;
