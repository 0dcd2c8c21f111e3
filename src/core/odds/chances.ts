import type { Camera, Person, Shot } from '../format/shot';
import { cropFactor } from '../optics/crop';
import { albumMm } from '../sharpness/tolerance';
import { isHuman } from '../tables/heads';
import { focusAt } from '../optics/focus';
import { imageDistanceMm } from '../geometry/thinLens';
import { widestFNumber } from '../optics/fNumber';
import { SPEED_MM_PER_S } from '../light/shutterFloor';
import { exposureAt, floorOf, floorsOf, isFrozen } from '../study/light';
import type { Take } from '../study/take';
import { techniqueOf } from '../study/technique';
import type { Spreads } from '../tables/spreads';

/** What a frame's chances depend on, as flat arrays: nothing is allocated while frames are drawn. */
export interface Chances {
	readonly focalMm: number;
	readonly fNumber: number;
	readonly shutterS: number;
	/** Image distance as focused, before any error, and the same as the plan has it, mm. */
	readonly imageMm: number;
	readonly plannedMm: number;
	readonly fieldBend: number;
	/** Spread and bias of the focusing, mm behind the lens. */
	readonly focusingMm: number;
	readonly biasMm: number;
	/** Spread of the camera along its axis, m. */
	readonly cameraM: number;
	/** Scale of the shake, mm on the sensor. */
	readonly shakeMm: number;
	readonly shutChance: number;
	readonly personIds: readonly string[];
	/** For each person: spread along the axis and step towards the camera, m; blur from motion, mm. */
	readonly personM: Float64Array;
	readonly stepM: Float64Array;
	readonly motionMm: Float64Array;
	/** 1 for those who must be sharp with their eyes open. */
	readonly personCounts: Uint8Array;
	readonly blinks: Uint8Array;
	/** For each target: depth and distance from the axis, m; blur allowed, mm; whose it is, or -1. */
	readonly depthM: Float64Array;
	readonly asideM: Float64Array;
	readonly allowedMm: Float64Array;
	readonly owner: Int32Array;
	readonly targetCounts: Uint8Array;
}

export interface Handling {
	/** Instead of the shot's own. */
	readonly support?: Camera['support'];
	readonly mode?: 'single' | 'continuous';
	/** Instead of what the light gives, s. */
	readonly shutterS?: number;
}

/** Where nothing is known of the light and nothing limits the shutter, s. */
const USUAL_SHUTTER_S = 1 / 125;
/** How long a flash burns: it freezes what it lights alone, s. */
const FLASH_S = 1 / 1000;

/** Gathers what the frames of a take depend on. */
export function chancesOf(take: Take, spreads: Spreads, handling: Handling): Chances {
	const { scene, candidate, fNumber } = take;
	const { shot, targets, sightings, pose, optic } = scene;
	const { focus } = candidate;
	const technique = techniqueOf(take, null);
	const support = handling.support ?? shot.camera.support;
	const shutterS = handling.shutterS ?? shutterOf(take, support);
	const reframedM = technique.technique === 'reframe' ? technique.reframeErrorM : 0;
	const smallPrintMm = albumMm(shot.body.sensor);

	const people = sightings.filter(({ person }) =>
		targets.some(({ personId }) => personId === person.id)
	);
	const index = new Map(people.map(({ person }, i) => [person.id, i]));
	const moving = (person: Person) =>
		(SPEED_MM_PER_S[person.motion] * shutterS * focus.imageDistanceMm) / 1000;
	const lagS = {
		single: spreads.singleLagS,
		continuous: spreads.continuousLagS
	}[handling.mode ?? technique.mode];
	const isYoung = ({ build }: Person) => build !== 'adult';
	const counts = ({ need }: Person) => need === 'key' || need === 'sharp';
	const ofPeople = (value: (person: Person) => number) =>
		Float64Array.from(people, ({ person }) => value(person));

	return {
		focalMm: pose.focalMm,
		fNumber,
		shutterS,
		imageMm: imageDistanceMm(pose.focalMm, candidate.planeM + reframedM),
		plannedMm: focusAt(optic, candidate.planeM).imageDistanceMm,
		fieldBend: optic.fieldBend,
		focusingMm:
			focusingShare(technique, spreads) * widestFNumber(shot.lens, pose.focalMm) * smallPrintMm,
		biasMm: spreads.biasMm,
		cameraM: spreads[`${support}Mm`] / 1000,
		shakeMm: shakeMm(shot, support, shutterS, spreads),
		shutChance: Math.min(1, (spreads.blinksPerMinute / 60) * spreads.blinkS),
		personIds: people.map(({ person }) => person.id),
		personM: ofPeople((person) => (isYoung(person) ? spreads.childMm : spreads.personMm) / 1000),
		stepM: ofPeople(({ motion }) =>
			motion === 'walking' ? (spreads.walkingMmPerS / 1000) * lagS : 0
		),
		motionMm: Float64Array.from(people, ({ person, nearEye }) =>
			nearEye ? moving(person) / nearEye.seen.depthM : 0
		),
		personCounts: Uint8Array.from(people, ({ person }) => (counts(person) ? 1 : 0)),
		blinks: Uint8Array.from(people, ({ person }) => (isHuman(person.build) ? 1 : 0)),
		depthM: Float64Array.from(targets, ({ seen }) => seen.depthM),
		asideM: Float64Array.from(targets, ({ seen }) => Math.hypot(seen.rightM, seen.upM)),
		allowedMm: Float64Array.from(targets, ({ factor }) => factor * scene.toleranceMm),
		owner: Int32Array.from(targets, ({ personId }) =>
			personId === null ? -1 : (index.get(personId) ?? -1)
		),
		targetCounts: Uint8Array.from(targets, ({ personId }) => {
			const owner = people.find(({ person }) => person.id === personId);
			return !owner || counts(owner.person) ? 1 : 0;
		})
	};
}

function focusingShare(
	{ technique, isSensitive }: ReturnType<typeof techniqueOf>,
	spreads: Spreads
): number {
	if (technique === 'manual') return spreads.byHand;
	// reframing locks with the middle point
	return technique === 'reframe' || isSensitive ? spreads.middlePoint : spreads.outerPoint;
}

/**
 * The shutter that the frames are taken with: the flash's where it freezes everybody; a stop faster
 * than the slowest allowed while nothing is known of the light.
 */
function shutterOf({ scene, candidate, fNumber }: Take, support: Camera['support']): number {
	const shot: Shot = { ...scene.shot, camera: { ...scene.shot.camera, support } };
	const floors = floorsOf({ ...scene, shot }, candidate.focus);
	const exposure = exposureAt(shot, fNumber, floors);
	if (exposure) return isFrozen(exposure) ? FLASH_S : exposure.shutterS;
	const floorS = floorOf(floors)?.shutterS;
	return floorS === undefined ? USUAL_SHUTTER_S : floorS / 2;
}

/** Shake: tolerance_album x t f crop h / 2^stabiliser, times the spread of Rayleigh's distribution. */
function shakeMm(
	{ body, lens, camera }: Shot,
	support: Camera['support'],
	shutterS: number,
	spreads: Spreads
): number {
	const held = {
		handheld: 1,
		braced: spreads.bracedShake,
		kneeling: spreads.bracedShake,
		monopod: spreads.monopodShake,
		tripod: 0
	}[support];
	const rule = shutterS * camera.focalMm * cropFactor(body.sensor);
	return (albumMm(body.sensor) * rule * held * spreads.shake) / 2 ** lens.stabiliserStops;
}
