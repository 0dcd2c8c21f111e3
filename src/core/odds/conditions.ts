import type { Candidate } from '../study/candidate';
import type { Body, Person, Shot } from '../format/shot';
import { imageDistanceMm } from '../geometry/thinLens';
import { cropFactor } from '../optics/crop';
import { widestFNumber } from '../optics/fNumber';
import { stabilisedStops } from '../light/shutterFloor';
import { albumMm } from '../sharpness/tolerance';
import type { Scene } from '../study/scene';
import type { Handling } from '../study/technique';
import { isHuman } from '../tables/heads';
import { biasMmOf, type Spreads } from '../tables/spreads';
import { RULES } from '../tables/rules';

type Sensor = Body['sensor'];

/** What the frames of a focus depend on, as flat arrays. */
export interface Conditions {
	readonly focalMm: number;
	readonly fieldCurvature: number;
	/** The plane focused on, before any accident, and the same as the plan has it, m. */
	readonly planeM: number;
	readonly plannedM: number;
	/** Spread and bias of the focusing, mm behind the lens. */
	readonly focusingMm: number;
	readonly biasMm: number;
	/** Chance that the camera takes something else than the point meant. */
	readonly wrongChance: number;
	/** Spread of the camera along its axis, and of the lean, m. */
	readonly cameraM: number;
	readonly leanM: number;
	/** What walking adds that continuous focusing did not foresee: its spread, m. */
	readonly foresightM: number;
	/** Scale of the shake, mm/s on the sensor. */
	readonly shakeMmPerS: number;
	readonly shutChance: number;
	/** Place in `people` of whoever the focus is locked on; -1 for nobody. */
	readonly lockedOn: number;
	readonly people: readonly PersonConditions[];
	/** The others in the shot: they decide nothing, but they are in the frames. */
	readonly others: readonly PersonConditions[];
	readonly targets: readonly TargetConditions[];
}

export interface PersonConditions {
	readonly personId: string;
	/** Place among the people of the shot: whose draws these are. */
	readonly index: number;
	/** Spread along the axis, m. */
	readonly swayM: number;
	/** Nearer at the release than at the focus, m. */
	readonly nearerM: number;
	readonly isWalking: boolean;
	/** How well the depth is known: its spread, m. */
	readonly depthSigmaM: number;
	/** Median speed across the frame, mm/s, and the spread of its logarithm. */
	readonly speedMmPerS: number;
	readonly speedSpread: number;
	/** Their eyes must be open. */
	readonly counts: boolean;
	readonly blinks: boolean;
}

interface TargetConditions {
	readonly depthM: number;
	/** From the axis, m. */
	readonly asideM: number;
	readonly allowedMm: number;
	/** Place in `people` of whose it is; -1 for a thing. */
	readonly owner: number;
}

/** Spread of the logarithm of a speed. */
const SPEED_SPREAD: Readonly<Record<Person['motion'], number>> = {
	still: 1,
	restless: 1,
	walking: 0.4
};
const SWAY_OF = {
	person: { calm: 'personMm', restless: 'restlessPersonMm' },
	child: { calm: 'childMm', restless: 'restlessChildMm' },
	animal: { calm: 'animalMm', restless: 'restlessAnimalMm' }
} as const;
/** How far somebody sways whose time is short. */
const swayed = (spreadMm: number, lagS: number): number =>
	(spreadMm * Math.sqrt(2 * (1 - Math.exp(-lagS)))) / 1000;
/** Gathers what the frames of a focus depend on. */
export function conditionsOf(
	scene: Scene,
	candidate: Candidate,
	handling: Handling,
	spreads: Spreads
): Conditions {
	const { shot, targets, sightings, optic } = scene;
	const { technique, reframeErrorM } = handling;
	const lagS = lagOf(handling, spreads);
	const isContinuous = handling.mode === 'continuous';
	const isReframed = technique === 'reframe';
	const all = sightings.map(({ person }, index) =>
		conditionsOfPerson(person, index, lagS, isContinuous, spreads)
	);
	const aimedAt = new Set(targets.map(({ personId }) => personId));
	const people = all.filter(({ personId }) => aimedAt.has(personId));
	const placeOf = (id: string | null) => people.findIndex(({ personId }) => personId === id);
	return {
		focalMm: optic.focalMm,
		fieldCurvature: optic.fieldCurvature,
		planeM: candidate.planeM + (isReframed ? reframeErrorM : 0),
		plannedM: candidate.planeM,
		focusingMm:
			spreads[focusingKey(scene.shot, handling)] * focusUnitMm(scene.shot, scene.optic.focalMm),
		biasMm: biasMmOf(spreads, shot.lens.name),
		wrongChance: wrongChance(scene, handling, spreads),
		cameraM: swayed(spreads[`${shot.camera.support}Mm`], lagS),
		leanM: technique === 'lean' ? Math.abs(candidate.leanM ?? 0) * RULES.leanSpreadShare : 0,
		foresightM: isContinuous ? (spreads.walkingMmPerS / 1000) * spreads.foresightS : 0,
		shakeMmPerS: shakeMmPerS(scene, spreads),
		shutChance: Math.min(1, (spreads.blinksPerMinute / 60) * spreads.blinkS),
		lockedOn:
			technique === 'manual' && candidate.kind === 'plane' ? -1 : placeOf(candidate.personId),
		people,
		others: all.filter(({ personId }) => !aimedAt.has(personId)),
		targets: targets.map(({ seen, factor, personId }) => ({
			depthM: seen.depthM,
			asideM: Math.hypot(seen.rightM, seen.upM),
			allowedMm: factor * scene.toleranceMm,
			owner: personId === null ? -1 : placeOf(personId)
		}))
	};
}

/** From focus to release, s. */
function lagOf({ technique, mode }: Handling, spreads: Spreads): number {
	switch (technique) {
		case 'manual':
			return spreads.handLagS;
		case 'reframe':
		case 'lean':
			return spreads.singleLagS + spreads.reframingS;
		case 'move-point':
			return mode === 'continuous' ? spreads.continuousLagS : spreads.singleLagS;
	}
}

function conditionsOfPerson(
	{ id, build, motion, need, depthSigmaM }: Person,
	index: number,
	lagS: number,
	isContinuous: boolean,
	spreads: Spreads
): PersonConditions {
	const kind = !isHuman(build) ? 'animal' : build === 'adult' ? 'person' : 'child';
	const spreadMm = spreads[SWAY_OF[kind][motion === 'restless' ? 'restless' : 'calm']];
	const isWalking = motion === 'walking';
	const speedMmPerS = {
		still: spreads.stillMmPerS,
		restless: spreads.restlessMmPerS,
		walking: spreads.acrossMmPerS
	}[motion];
	return {
		personId: id,
		index,
		swayM: swayed(spreadMm, lagS),
		nearerM: isWalking && !isContinuous ? (spreads.walkingMmPerS / 1000) * lagS : 0,
		isWalking,
		depthSigmaM,
		speedMmPerS,
		speedSpread: SPEED_SPREAD[motion],
		counts: need === 'key' || need === 'sharp',
		blinks: isHuman(build)
	};
}

/** The depth of focus of a small print wide open: what focusing errs by is a share of it, mm. */
export const focusUnitMm = ({ lens, body }: Pick<Shot, 'lens' | 'body'>, focalMm: number): number =>
	widestFNumber(lens, focalMm) * albumMm(body.sensor);

/** Ways of focusing that have a spread of their own. */
export const FOCUSING_KEYS = ['middlePoint', 'outerPoint', 'byHand', 'byFinder'] as const;
export type FocusingKey = (typeof FOCUSING_KEYS)[number];

/** Which spread a way of focusing has. */
export function focusingKey(
	{ choices }: Pick<Shot, 'choices'>,
	{ technique, isSensitive }: Pick<Handling, 'technique' | 'isSensitive'>
): FocusingKey {
	if (technique === 'manual') return choices.focusBy === 'hand-finder' ? 'byFinder' : 'byHand';
	// reframing and leaning lock with the middle point
	return technique !== 'move-point' || isSensitive ? 'middlePoint' : 'outerPoint';
}

function wrongChance(
	{ shot: { choices } }: Scene,
	{ technique }: Handling,
	spreads: Spreads
): number {
	if (technique === 'manual') return 0;
	if (choices.focusBy === 'area') return spreads.wrongArea;
	return choices.focusBy === 'whole-frame' ? spreads.wrongFrame : spreads.wrongPoint;
}

/** Shake: tolerance_album f crop h / 2^stabiliser, times the scale of Rayleigh's distribution, mm/s. */
function shakeMmPerS({ shot: { body, lens, camera } }: Scene, spreads: Spreads): number {
	const held = {
		handheld: 1,
		braced: spreads.bracedShake,
		kneeling: spreads.bracedShake,
		monopod: spreads.monopodShake,
		tripod: 0
	}[camera.support];
	const unit = shakeUnitMmPerS(body.sensor, camera.focalMm, stabilisedStops(body, lens));
	return unit * held * spreads.shake;
}

/** How fast a picture may move in the hand to be sharp in a small print at one over the focal length, mm/s on the sensor. */
export const shakeUnitMmPerS = (sensor: Sensor, focalMm: number, stabiliserStops: number): number =>
	(albumMm(sensor) * focalMm * cropFactor(sensor)) / 2 ** stabiliserStops;

/** Image distance of the plane focused on, mm. */
export const imageOf = ({ focalMm }: Conditions, planeM: number): number =>
	imageDistanceMm(focalMm, planeM);
