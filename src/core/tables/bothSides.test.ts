import { expect } from 'vitest';
import { amount, changesAt, checkRules, sides, zoom } from '$tests/support/bothSides';
import { ahead, EYE_M, person, planOf, sceneOf, thing } from '$tests/support/shots';
import { LENSES } from '$data/kit';
import { ladderOf } from '../optics/fNumber';
import { nosePerspective } from '../optics/perspective';
import { stateOf } from '../sharpness/state';
import { toleranceMm } from '../sharpness/tolerance';
import { stitchOf } from '../technique/stitching';
import { ASSUMED, withAssumed } from './spreads';

// heads, seen from where the camera stands
const sighted = (turnDeg: number) => sceneOf({ people: [ahead('p', 3, { turnDeg })] }).sightings[0];
const leftEye = (turnDeg: number) => sighted(turnDeg)?.eyes[0]?.lost?.why ?? 'seen';
const factorsOf = (turnDeg: number) => {
	const turned = ahead('p', 3, { turnDeg, keep: 'both-eyes' });
	return sceneOf({ people: [turned] }).targets.map(({ factor }) => factor);
};
const widestFactor = (turnDeg: number) => Math.max(...factorsOf(turnDeg));

const sensor = { widthMm: 36, heightMm: 24, pixelsAcross: 6000, pixelsDown: 4000 };

// a thing that dissolves more and more, the closer the camera is focused
const paper = (detailMm: number) =>
	planOf({
		people: [ahead('p', 3)],
		things: [thing('t', [0.5, EYE_M, 6], { detailMm, intent: 'any' })],
		lens: zoom(2, 2)
	}).things[0];
/** What is left of its contrast where a finer detail would be told as something less. */
const contrastFrom = (state: string, finestMm: number, coarsestMm: number) =>
	paper(changesAt((mm) => paper(mm)?.state === state, finestMm, coarsestMm))?.contrast ?? NaN;

/** How much of a thing may be hidden at most for it to be what it should; it is looked at in 16 columns. */
function mostHidden(intent: 'readable' | 'recognisable', detailMm: number): number {
	const walls = Array.from({ length: 60 }, (_, i) => {
		const [told] = planOf({
			people: [person('p', [0.8, EYE_M, 3])],
			things: [
				thing('t', [0, EYE_M, 6], { detailMm, intent, widthM: 1, heightM: 0.6, look: 'bars' }),
				thing('w', [-1.4 + i * 0.02, EYE_M, 5.9], { intent: 'any', widthM: 1.6, look: 'wall' })
			],
			lens: zoom(2.8, 2.8)
		}).things;
		return { hidden: told?.hiddenShare ?? NaN, met: told?.met };
	});
	const most = Math.max(...walls.filter(({ met }) => met).map(({ hidden }) => hidden));
	const least = Math.min(...walls.filter(({ met }) => !met).map(({ hidden }) => hidden));
	expect(least).toBeCloseTo(most + 1 / 16, 9);
	return most;
}

// a wide view
const stitched = (acrossDeg: number, tiltDeg: number) =>
	stitchOf(
		{ acrossDeg, downDeg: 40, overlap: 1 / 3, mostFrames: 10_000 },
		{
			...{ widthMm: 36, heightMm: 24, sensorWidthMm: 36, focalMm: 50, fNumber: 2 },
			...{ pxPerMm: 100, faceRightDeg: 0, faceUpDeg: 0, tiltDeg }
		}
	);
const steepestOf = (tiltDeg: number) => {
	const { stitch } = stitched(90, tiltDeg) as Extract<ReturnType<typeof stitched>, { ok: true }>;
	return Math.max(...stitch.frames.map((frame) => Math.abs(frame.tiltDeg + tiltDeg)));
};

const stretched = (x: number) =>
	planOf({
		people: [person('p', [x, EYE_M, 2])],
		lens: { ...LENSES.wide35, focalMm: [20, 20] }
	}).reasons.find(({ code }) => code === 'stretched');

checkRules([2, 3, 7, 9, 11], {
	eyeTurnedAwayDeg: sides(55, leftEye, 'seen', 'turned'),
	eyeForeshortenedDeg: sides(45, (deg) => widestFactor(deg) > 1, false, true),
	foreshorteningDoublesDeg: amount(() => widestFactor(50), 2),
	faceTurnedAwayDeg: sides(
		105,
		(deg) => sighted(deg)?.nearEye?.landmark ?? 'none',
		'right-eye',
		'none'
	),
	nearEyeTieM: sides(
		1e-9 / 0.063,
		(rad) => sighted((rad * 180) / Math.PI)?.nearEye?.landmark,
		'left-eye',
		'right-eye'
	),
	ladderFromShare: sides(2 / 0.97, (n) => ladderOf(zoom(n, 22), 50)[0], 2, 2 ** (7 / 6)),
	ladderToShare: sides(8 / 1.03, (n) => ladderOf(zoom(2, n), 50).at(-1), 2 ** (17 / 6), 8),
	albumToleranceMm: amount(() => toleranceMm({ standard: 'album' }, sensor), 0.03),
	screenTolerancePx: amount(() => toleranceMm({ standard: 'screen' }, sensor), (1.5 * 36) / 3240),
	screenPixelsAcross: amount(() => toleranceMm({ standard: 'screen' }, sensor), (1.5 * 36) / 3240),
	pixelTolerancePx: amount(() => toleranceMm({ standard: 'pixel' }, sensor), (2 * 36) / 6000),
	printToleranceMm: amount(
		() => toleranceMm({ standard: 'print', printWidthCm: 36, viewingDistanceCm: 25 }, sensor),
		0.02
	),
	printDistanceCm: amount(
		() => toleranceMm({ standard: 'print', printWidthCm: 36, viewingDistanceCm: 50 }, sensor),
		0.04
	),
	softFactor: amount(
		() => sceneOf({ people: [ahead('p', 3, { need: 'soft' })] }).targets[0]?.factor ?? 0,
		8
	),
	marginalRatio: sides(2 ** 0.5, stateOf, 'marginal', 'soft'),
	readableContrast: amount(() => contrastFrom('readable', 30, 400), 0.8),
	recognisableContrast: amount(() => contrastFrom('recognisable', 1, 30), 0.2),
	hiddenThingShare: amount(() => mostHidden('readable', 400), 0.5),
	hiddenRecognisableShare: amount(() => mostHidden('recognisable', 20), 12 / 16),
	usualDistanceM: sides(3, (m) => nosePerspective(m) > 0, true, false),
	stretchedShare: amount(() => {
		const told = stretched(changesAt((x) => stretched(x) === undefined, 0.1, 1.5) + 1e-9);
		return told?.code === 'stretched' ? told.share : NaN;
	}, 0.15),
	flatPictureDeg: sides(180, (deg) => stitched(deg, 0).ok, true, false),
	steepestDeg: amount(() => steepestOf(changesAt((deg) => stitched(90, deg).ok, 0, 85) - 1e-6), 85),
	assumedFrames: amount(() => withAssumed('handheldMm', 0, 20), ASSUMED.handheldMm / 2)
});
