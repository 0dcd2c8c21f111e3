import { amount, changesAt, checkRules, sides, zoom } from '$tests/support/bothSides';
import { ahead, EYE_M, person, planOf, shotOf, thing } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import { BODIES } from '$data/kit';
import { shutterSchools } from '../advice/comparisons';
import { rowsOf } from '../arrange/rows';
import { comfortIsoOf, computedExposure, flashExposure } from '../light/exposure';
import { motionFloor, peopleFloors } from '../light/shutterFloor';
import { conditionsOf } from '../odds/conditions';
import { shutterLimitsOf } from '../odds/shutterLimits';
import { SWING_M } from '../technique/reframing';
import { ASSUMED } from '../tables/spreads';
import type { Candidate, Take } from './candidate';
import { underFlashS } from './light';
import { sureEnough, takeAtRung, widestThatHolds } from './pick';
import { techniqueOf } from './technique';

// candidates made up of numbers
const studied = study(shotOf({ people: [ahead('p', 3)], lens: zoom(2, 16) }));
const [real] = studied.candidates;
const made = (more: Partial<Candidate>): Candidate => ({ ...(real as Candidate), ...more });
const chosenOf = (candidates: readonly Candidate[]) =>
	candidates.indexOf(takeAtRung(studied.scene, candidates, 1)?.candidate as Candidate);
/** Which of two is focused on where the second, nearer the centre, is so much worse. */
const orBetterCentred = (first: number, second: number, isKey = false) =>
	chosenOf([
		made({ worstAtF1: first, keyWorstAtF1: 0, isKey: false, offCentreMm: 5 }),
		made({ worstAtF1: second, keyWorstAtF1: isKey ? second : 0, isKey, offCentreMm: 0 })
	]);

/** The f-number picked of a few, where so large a share of the frames is sharp at each. */
function picked(
	shot: Parameters<typeof shotOf>[0],
	shares: readonly number[],
	fNumbers: readonly number[]
) {
	const { scene } = study(shotOf(shot));
	const rungs = shares.map((share, i): Take => ({
		scene,
		fNumber: fNumbers[i] ?? NaN,
		candidate: made({
			worstAtF1: 1,
			chance: { ...(real as Candidate).chance, sharpShare: () => share }
		})
	}));
	return sureEnough(rungs)?.fNumber ?? null;
}
const crowd = (people: number) =>
	Array.from({ length: people }, (_, i) => person(`p${i}`, [0.3 * i - 1.4, EYE_M, 5]));
const pickedAt = (shares: readonly number[], people: number) =>
	picked({ people: crowd(people) }, shares, [4, 5]);
/** Before a background that dissolves at f/1 alone. */
const pickedBefore = (shares: readonly number[]) =>
	picked(
		{
			people: crowd(3),
			things: [thing('t', [0, EYE_M, 6], { detailMm: 20, intent: 'dissolved', look: 'bars' })]
		},
		shares,
		[1, 16]
	);

// light
const body = { ...BODIES.fullFrame24, iso: [100, 12800] as [number, number], comfortIso: 3200 };
const lit = (loss: (shutterS: number) => number, ev100: number) =>
	computedExposure(
		body,
		ev100,
		4,
		{ fewLostS: 1 / 500, someLostS: 1 / 200, lossAt: loss },
		'rises'
	);
const mover = (motion: 'still' | 'restless' | 'walking') => ({
	...{ personId: 'p', motion, depthM: 2, allowedMm: 0.02 }
});
const flashFlags = (ambientEv100: number) =>
	flashExposure(
		{ iso: [100, 12800], syncSpeedS: 1 / 200 },
		{ mode: 'flash', guideNumberM: 40, distanceM: 4, ambientEv100, leastPower: 1 / 128 },
		4,
		{ isoRule: 100, shutterS: undefined, isTooSlow: () => false }
	).flags.includes('room-light');
const EV_OF_FLASH = Math.log2(16 * 200);
const savedAt = Float64Array.from({ length: 100 }, (_, i) => 1e-4 * (i + 1));

const isWideBox = (distanceM: number) =>
	planOf({ people: [ahead('p', distanceM)] }).reasons.find(({ code }) => code === 'box');
const leaned = (leanM: number) =>
	techniqueOf(
		{
			...{ scene: studied.scene, fNumber: 2 },
			candidate: made({ kind: 'plane', leanM, personId: 'p' })
		},
		null
	).technique;

checkRules([4, 5, 6, 8], {
	asGoodFactor: sides(1.05, (worse) => orBetterCentred(1, worse), 1, 0),
	asGoodRatio: sides(0.02, (worse) => orBetterCentred(0.001, worse), 1, 0),
	centreTieMm: sides(
		0.001,
		(offCentreMm) => chosenOf([made({ offCentreMm }), made({ offCentreMm: 0 })]),
		0,
		1
	),
	keyTieRatio: sides(
		1e-9,
		(more) =>
			widestThatHolds(
				studied.scene,
				[
					made({ worstAtF1: 4, keyWorstAtF1: 2, offCentreMm: 5 }),
					made({ worstAtF1: 2, keyWorstAtF1: 2 + more, offCentreMm: 0 })
				],
				[1]
			)?.candidate.worstAtF1,
		2,
		4
	),
	longestLeanM: sides(0.3, leaned, 'lean', 'manual'),
	keyPreferredFactor: sides(2 ** (1 / 6), (worse) => orBetterCentred(1, worse, true), 1, 0),
	backgroundCost: sides(0.8, (share) => pickedBefore([share, 1]), 16, 1),
	hopelessShare: sides(0.05, (share) => pickedAt([share, share], 1), null, 4),
	surenessFew: sides(0.85, (share) => pickedAt([share, 1], 1), 5, 4),
	surenessGroup: sides(0.9, (share) => pickedAt([share, 1], 3), 5, 4),
	surenessCrowd: sides(0.95, (share) => pickedAt([share, 1], 10), 5, 4),
	fewPeople: sides(3, (people) => pickedAt([0.87, 1], Math.floor(people)), 4, 5),
	groupPeople: sides(10, (people) => pickedAt([0.92, 1], Math.floor(people)), 4, 5),
	rowGapM: sides(
		0.35,
		(gapM) =>
			rowsOf([
				{ personId: 'a', row: undefined, x: 0, depthM: 0 },
				{ personId: 'b', row: undefined, x: 0, depthM: gapM }
			]).length,
		1,
		2
	),
	stillMmPerS: amount(() => motionFloor(mover('still'), 50), 40 / (50 * 20)),
	restlessMmPerS: amount(() => motionFloor(mover('restless'), 50), 40 / (50 * 200)),
	walkingMmPerS: amount(() => motionFloor(mover('walking'), 50), 40 / (50 * 250)),
	groupShutterS: amount(
		() => peopleFloors([mover('still'), mover('still'), mover('still')], 50)[3]?.shutterS ?? 0,
		1 / 100
	),
	groupFrom: sides(
		3,
		(people) =>
			peopleFloors(
				Array.from({ length: Math.floor(people) }, () => mover('still')),
				50
			).some(({ why }) => why === 'group'),
		false,
		true
	),
	groupPreferredShutterS: amount(
		() =>
			shutterSchools(studied.taken as Take).find(({ school }) => school === 'group-better')
				?.shutterS ?? 0,
		1 / 160
	),
	slowestByHandS: amount(() => peopleFloors([mover('still')], 50).at(-1)?.shutterS ?? 0, 1 / 30),
	fewLostShare: amount(() => shutterLimitsOf(savedAt).fewLostS, 6e-4),
	someLostShare: amount(() => shutterLimitsOf(savedAt).someLostS, 26e-4),
	ruledOutLoss: sides(0.5, (loss) => lit(() => loss, -4).flags.includes('iso-high'), false, true),
	comfortIso: amount(() => comfortIsoOf({ iso: [100, 12800] }), 3200),
	blackRoomStops: sides(5, (stops) => flashFlags(EV_OF_FLASH - stops), true, false),
	flashS: amount(() => underFlashS(1 / 10_000, 8), 1 / 1000),
	wristSwingM: amount(() => SWING_M.wrists, 0.12),
	bodySwingM: amount(() => SWING_M.body, 0.45),
	eyeWidthMm: amount(() => {
		const far = changesAt((m) => isWideBox(m) === undefined, 0.5, 20);
		const box = isWideBox(far + 1e-9);
		return box?.code === 'box' ? box.boxMm : NaN;
	}, 30),
	leanSpreadShare: amount(
		() =>
			conditionsOf(
				studied.scene,
				made({ kind: 'plane', leanM: -0.2 }),
				{ ...techniqueOf(studied.taken as Take, null), technique: 'lean' },
				ASSUMED
			).leanM,
		0.02
	)
});
