import type { Shot } from '../format/shot';
import { focusAt, focusedAt, type FocusedOptic } from '../optics/focus';
import { along } from '../geometry/vector';
import { Random } from '../numeric/random';
import type { Take } from '../study/candidate';
import { worstWideOpen } from '../study/candidates';
import type { Scene } from '../study/scene';
import type { CameraSettings } from '../study/settings';
import { takenByCamera } from '../study/leftToItself';
import type { Spreads } from '../tables/spreads';
import type { Accidents } from './accidents';
import { DECIDING_FRAMES } from './chanceOf';
import { imageOf } from './conditions';
import { drawsOf } from './draws';
import type { FrameSet } from './frameSet';
import { FrameSets } from './frameSets';

/** One release of the shutter as it happened: everything that is needed to draw the frame. */
export interface Release {
	/** Which of the seed's frames this is, from 0. */
	readonly frame: number;
	/** The shot as camera and people stood. */
	readonly shot: Shot;
	readonly focus: FocusedOptic;
	/** Whether the camera took something else than what was meant. */
	readonly isElsewhere: boolean;
	/** Motion of the whole picture on the sensor, mm/s: to the right and up. */
	readonly shakeMmPerS: { readonly x: number; readonly y: number };
	readonly people: readonly ReleasedPerson[];
	/** Whether everything that counts is sharp; and the eyes open of all who count. */
	readonly isSharp: boolean;
	readonly isGood: boolean;
}

interface ReleasedPerson {
	readonly personId: string;
	/** To the right of the frame, m/s. */
	readonly acrossMPerS: number;
	readonly isShut: boolean;
}

/** How far heads turn from frame to frame, degrees: their spread (common practice, no source). */
const TURN_DEG = { still: 1.5, restless: 5, walking: 3 } as const;

/** The shot as it stood in a frame: camera and people moved along the axis. */
export function stoodAt({ shot, pose }: Scene, { cameraM, people }: Accidents): Shot {
	const awayM = new Map(people.map((one) => [one.personId, one.awayM]));
	return {
		...shot,
		camera: { ...shot.camera, position: along(shot.camera.position, pose.axis, cameraM) },
		people: shot.people.map((one) => ({
			...one,
			eyeMidpoint: along(one.eyeMidpoint, pose.axis, awayM.get(one.id) ?? 0)
		}))
	};
}

/**
 * The first frames that a seed gives for a take: those that the odds count. Which way somebody moves,
 * which way the camera shakes and how a head turns a little is drawn beside them: it decides nothing.
 *
 * @param count at most as many as the odds are decided by
 */
export function releasesOf(
	take: Take,
	settings: CameraSettings,
	count: number,
	seed: number,
	spreads: Spreads
): Release[] {
	const set = new FrameSets(spreads, () => drawsOf(seed, DECIDING_FRAMES)).of(take);
	return Array.from({ length: Math.min(count, set.frames) }, (_, frame) =>
		releaseOf(take, settings, set, frame, seed)
	);
}

function releaseOf(
	take: Take,
	{ fNumber, blurS }: CameraSettings,
	set: FrameSet,
	frame: number,
	seed: number
): Release {
	const accidents = set.accidents(frame);
	const random = new Random(Math.imul(seed + 1, 0x9e3779b1) ^ Math.imul(frame + 1, 0x85ebca6b));
	const angle = 2 * Math.PI * random.uniform();
	const elsewhereMm = imageElsewhere(take, accidents, set, random);
	const isElsewhere = set.isWrong(frame);
	const stood = stoodAt(take.scene, accidents);
	const drawn = stood.people.map((person) => ({
		person,
		turnDeg: TURN_DEG[person.motion] * random.normal(),
		side: random.uniform() < 0.5 ? -1 : 1
	}));
	const { targets } = set.conditions;
	const isSharp =
		!isElsewhere && targets.every((_, i) => set.excess(frame, i, fNumber, blurS) <= 1);
	const known = new Map(accidents.people.map((one) => [one.personId, one]));
	return {
		frame,
		shot: {
			...stood,
			people: drawn.map(({ person, turnDeg }) => ({
				...person,
				turnDeg: person.turnDeg + turnDeg
			}))
		},
		focus: focusedAt(take.scene.optic, isElsewhere ? elsewhereMm : accidents.imageMm),
		isElsewhere,
		shakeMmPerS: {
			x: accidents.shakeMmPerS * Math.cos(angle),
			y: accidents.shakeMmPerS * Math.sin(angle)
		},
		people: drawn.map(({ person: { id }, side }) => ({
			personId: id,
			acrossMPerS: (side * (known.get(id)?.speedMmPerS ?? 0)) / 1000,
			isShut: known.get(id)?.isShut ?? false
		})),
		isSharp,
		isGood: isSharp && !set.hasBlink(frame)
	};
}

/** A hand or a shoulder before what was meant, m. */
const BEFORE_M = [0.2, 0.4] as const;
/** The background behind everybody where no thing stands there, m. */
const BEHIND_M = 3;

/**
 * Where the lens is focused in a frame that the camera focused on something else, mm: what it would
 * take when left to itself, or else as often a hand or a shoulder as what lies behind; the other of
 * the two where the first would have left everybody sharp, since such a frame counts as lost.
 */
function imageElsewhere(take: Take, accidents: Accidents, set: FrameSet, random: Random): number {
	const { scene, candidate, fNumber } = take;
	const { focusBy } = scene.shot.choices;
	const { depthM } = candidate.seen;
	const [nearM, farM] = BEFORE_M;
	const beforeM = depthM - nearM - (farM - nearM) * random.uniform();
	const isBefore = random.uniform() < 0.5;
	const left =
		focusBy === 'area' || focusBy === 'whole-frame' ? takenByCamera(take, focusBy) : null;
	const behind = scene.things
		.filter(({ inFrame, seen }) => inFrame && seen.depthM > depthM + BEHIND_M / 2)
		.map(({ seen }) => seen.depthM);
	const lastM = Math.max(
		...scene.sightings.map(({ nearEye }) => nearEye?.seen.depthM ?? 0),
		depthM
	);
	const behindM = behind.length > 0 ? Math.min(...behind) : lastM + BEHIND_M;
	const within = (depthM: number) => Math.max(depthM, scene.shot.lens.closestFocusM);
	const places = [
		...(left ? [left.depthM] : []),
		...(isBefore ? [beforeM, behindM] : [behindM, beforeM])
	].map(within);
	const misses = (planeM: number) => worstWideOpen(scene, focusAt(scene.optic, planeM)) > fNumber;
	const planeM = places.find(misses) ?? (places[0] as number);
	const error = accidents.imageMm - imageOf(set.conditions, set.conditions.planeM);
	return imageOf(set.conditions, planeM) + error;
}
