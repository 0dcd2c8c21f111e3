import { sightPeople, type Sighting } from '../anatomy/sight';
import type { Shot, Thing } from '../format/shot';
import type { Mover } from '../light/shutterFloor';
import type { Landmark } from '../tables/landmarks';
import type { Optic } from '../optics/focus';
import { rowsOf, type Row } from '../arrange/rows';
import { coveredShare } from '../anatomy/cover';
import {
	cameraPose,
	ownFramePoint,
	seenFrom,
	worldPoint,
	type CameraPoint,
	type CameraPose
} from '../geometry/camera';
import { imageDistanceMm } from '../geometry/thinLens';
import { lazily } from '../numeric/lazily';
import { requiredFacePoints } from '../sharpness/need';
import { toleranceMm } from '../sharpness/tolerance';

/** A point that the plan must keep sharp: part of a face, or a thing meant to be sharp. */
export interface Target {
	readonly personId: string | null;
	readonly thingId: string | null;
	readonly landmark: Landmark | 'thing';
	readonly seen: CameraPoint;
	/** How many times the tolerance it allows. */
	readonly factor: number;
	/** Belongs to somebody who comes first when not all can be had. */
	readonly isKey: boolean;
}

/** A thing as the camera sees it. */
export interface SeenThing {
	readonly thing: Thing;
	readonly seen: CameraPoint;
	readonly inFrame: boolean;
	/** The share of its part in the frame that is hidden by who and what stands before it. */
	readonly hiddenShare: () => number;
}

/** A shot worked out as far as it does not depend on the focus or the f-number. */
export interface Scene {
	readonly shot: Shot;
	readonly pose: CameraPose;
	readonly optic: Optic;
	readonly toleranceMm: number;
	readonly pixelMm: number;
	readonly sightings: readonly Sighting[];
	readonly things: readonly SeenThing[];
	/** Null where nothing is asked of it, or nobody stands before it. */
	readonly background: SeenThing | null;
	readonly targets: readonly Target[];
	/** Everybody who counts for rows, nearest row first. */
	readonly rows: readonly Row[];
	/** Everybody who counts and may move: those with something to keep sharp. */
	readonly movers: () => readonly Mover[];
}

/** Looks at a shot through its camera. */
export function lookAt(shot: Shot): Scene {
	const { body, lens, camera } = shot;
	const pose = cameraPose(camera, body.sensor);
	const sightings = sightPeople(pose, shot.people, shot.things);
	const things = shot.things.map((thing) => seeThing(pose, thing, shot));
	const targets = [
		...sightings.flatMap((sighting) => personTargets(pose, sighting)),
		...things.filter(isMeantSharp).map(thingTarget)
	];
	const tolerance = toleranceMm(shot.sharpness, body.sensor);
	return {
		shot,
		pose,
		optic: { focalMm: camera.focalMm, fieldCurvature: lens.fieldBend },
		toleranceMm: tolerance,
		pixelMm: body.sensor.widthMm / body.sensor.pixelsAcross,
		sightings,
		things,
		background: backgroundOf(shot, pose, targets),
		targets,
		rows: rowsOf(sightings.flatMap((sighting) => standing(pose, sighting))),
		movers: lazily(() => moversOf(targets, sightings, tolerance))
	};
}

function moversOf(
	targets: readonly Target[],
	sightings: readonly Sighting[],
	tolerance: number
): Mover[] {
	const factors = new Map<string, number>();
	for (const { personId, factor } of targets) {
		if (personId === null) continue;
		factors.set(personId, Math.min(factor, factors.get(personId) ?? factor));
	}
	return sightings.flatMap(({ person: { id, motion }, nearEye }) => {
		const factor = factors.get(id);
		if (!nearEye || factor === undefined) return [];
		const { depthM } = nearEye.seen;
		return { personId: id, motion, depthM, allowedMm: factor * tolerance };
	});
}

/** What the plan calls the background. */
export const BACKGROUND_ID = 'shot.background';
/** As wide and as high as a thing can be, m. */
const EVERYWHERE_M = 500;

/** The background on the axis, so far behind the farthest of what must be sharp. */
function backgroundOf(
	{ background }: Shot,
	pose: CameraPose,
	targets: readonly Target[]
): SeenThing | null {
	if (!background || targets.length === 0) return null;
	const { intent, behindM, detailMm } = background;
	const depthM = Math.max(...targets.map(({ seen }) => seen.depthM)) + behindM;
	const position = worldPoint(pose, depthM, 0, 0);
	const [widthM, heightM] = [EVERYWHERE_M, EVERYWHERE_M];
	return {
		thing: {
			id: BACKGROUND_ID,
			label: 'background',
			position,
			widthM,
			heightM,
			detailMm,
			intent,
			look: 'wall'
		},
		seen: seenFrom(pose, position),
		inFrame: true,
		hiddenShare: () => 0
	};
}

/** Whether a thing is to be sharp and can be: outside the frame it counts for nothing. */
export function isMeantSharp({ thing, inFrame }: SeenThing): boolean {
	return thing.intent === 'sharp' && inFrame;
}

function personTargets(pose: CameraPose, sighting: Sighting): Target[] {
	const { id: personId, need } = sighting.person;
	const isKey = need === 'key';
	return requiredFacePoints(pose, sighting).map(({ landmark, seen, factor }) => ({
		personId,
		thingId: null,
		landmark,
		seen,
		factor,
		isKey
	}));
}

function thingTarget({ thing, seen }: SeenThing): Target {
	return { personId: null, thingId: thing.id, landmark: 'thing', seen, factor: 1, isKey: false };
}

function standing(pose: CameraPose, { person, nearEye }: Sighting) {
	if (person.need === 'free' || !nearEye) return [];
	const { depthM } = nearEye.seen;
	const { x } = ownFramePoint(pose, nearEye.seen);
	return [{ personId: person.id, row: person.row, depthM, x }];
}

/** Things are rectangles parallel to the sensor, so that their picture has straight upright sides. */
function seeThing(pose: CameraPose, thing: Thing, { people, things }: Shot): SeenThing {
	const seen = seenFrom(pose, thing.position);
	if (seen.depthM * 1000 <= pose.focalMm) {
		return { thing, seen, inFrame: false, hiddenShare: () => 0 };
	}
	const { depthM, rightM, upM } = seen;
	// the frame at that depth, from its middle
	const v = imageDistanceMm(pose.focalMm, depthM);
	const [asideM, aboveM] = [pose.widthMm, pose.heightMm].map((mm) => (mm * depthM) / v / 2) as [
		number,
		number
	];
	const area = {
		depthM,
		left: Math.max(-asideM, rightM - thing.widthM / 2),
		right: Math.min(asideM, rightM + thing.widthM / 2),
		low: Math.max(-aboveM, upM - thing.heightM / 2),
		high: Math.min(aboveM, upM + thing.heightM / 2)
	};
	const inFrame = area.left <= area.right && area.low <= area.high;
	const hiddenShare = lazily(() => (inFrame ? coveredShare(pose, area, thing, people, things) : 0));
	return { thing, seen, inFrame, hiddenShare };
}
