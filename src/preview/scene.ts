import { levelled } from '$core/anatomy/body';
import { placeHead, type Head } from '$core/anatomy/head';
import type { Person, PlaceKind, Shot, Thing } from '$core/format/shot';
import { headSize, type Build } from '$core/tables/heads';
import { ev100Of } from '$core/light/ev';
import type { FocusedOptic } from '$core/optics/focus';
import { piecewise } from '$core/numeric/piecewise';
import { cameraPose, type CameraPose } from '$core/geometry/camera';
import { dot, subtract, type Vec3 } from '$core/geometry/vector';

/**
 * What the preview draws, as plain data that a worker can be sent: everything in the camera's own
 * coordinates (x right, y up, z the depth, metres), so that single precision is enough.
 */
export interface PreviewScene {
	readonly figures: readonly Figure[];
	readonly things: readonly PreviewThing[];
	readonly ground: Ground;
	readonly light: PreviewLight;
	readonly place: PreviewPlace | null;
}

/** What is around them. */
export interface PreviewPlace {
	readonly kind: PlaceKind;
	/** Of the last of them from the camera, along the ground, m: what closes the view stands behind. */
	readonly lastM: number;
}

/** An origin and three axes of unit length, in the camera's coordinates. */
export interface Placement {
	readonly origin: Vec3;
	readonly left: Vec3;
	readonly up: Vec3;
	readonly out: Vec3;
}

export interface Figure {
	readonly id: string;
	readonly build: Build;
	readonly head: Placement;
	/** Level below the head, facing less far aside than the face does. */
	readonly body: Placement;
	/** Height of the eyes above the ground, m. */
	readonly eyeHeightM: number;
	/** Height of the skull over that of an adult's. */
	readonly size: number;
	readonly isShut: boolean;
	/** To the right of the picture while the shutter is open, m/s. */
	readonly acrossMPerS: number;
}

export interface PreviewThing {
	readonly id: string;
	readonly label: string;
	readonly look: Thing['look'] | 'chart';
	/** What is printed on a chart. */
	readonly chart?: HungChart;
	readonly centre: Vec3;
	readonly widthM: number;
	readonly heightM: number;
	readonly detailMm: number;
	/** Whether somebody stands behind it: panes are clear then. */
	readonly hasPeopleBehind: boolean;
}

/** What is printed: shapes on white paper that do not overlap, mm from its middle, y up. */
export interface Drawing {
	readonly shapes: readonly {
		readonly outline: readonly (readonly [x: number, y: number])[];
		/** What is left out of it. */
		readonly hole?: readonly (readonly [x: number, y: number])[];
		/** 0 black to 1 as white as the paper. */
		readonly tone: number;
	}[];
}

/** How a chart hangs: parallel to the sensor, then turned, its right side away, and tilted, its top away. */
export interface HungChart {
	readonly drawing: Drawing;
	readonly turnDeg: number;
	readonly tiltDeg: number;
}

/** The ground, y = 0 of the world. */
export interface Ground {
	/** The world's point straight below the camera, and its axes. */
	readonly origin: Vec3;
	readonly right: Vec3;
	readonly up: Vec3;
	readonly away: Vec3;
}

/** Light on the scene. */
export interface PreviewLight {
	/** Distance at which the flash gives what the exposure asks for, m; null without flash. */
	readonly flashAtM: number | null;
	/** How far the light of the room lies below that at f/1, stops. */
	readonly roomStopsBelow: number;
	/** Of the light around them: 1 like lamps, -1 like deep shade. */
	readonly warmth: number;
}

/** The lens as set for one picture. */
export interface LensSetting {
	readonly focus: FocusedOptic;
	readonly fNumber: number;
	/** 0 for a round opening. */
	readonly blades: number;
}

/** A rectangle of the sensor, mm from its middle, y up. */
export interface Window {
	readonly x: number;
	readonly y: number;
	readonly widthMm: number;
	readonly heightMm: number;
}

/** The whole sensor as held. */
export function wholeFrame({ widthMm, heightMm }: CameraPose): Window {
	return { x: 0, y: 0, widthMm, heightMm };
}

export interface PreviewSize {
	readonly widthPx: number;
	readonly heightPx: number;
}

/** What a picture is of. */
export interface Subject extends PreviewSize {
	readonly scene: PreviewScene;
	readonly setting: LensSetting;
	readonly window: Window;
	/** How far anything moves on the sensor while it is taken, mm: what comes into the window so is drawn. */
	readonly streakMm?: number;
	/** Whether diffraction is drawn: worth it where a pixel is as small as the sensor's. */
	readonly showsDiffraction: boolean;
}

/** What the camera of a shot sees, ready to draw. */
export function previewOf(shot: Shot): PreviewScene {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const { position } = pose;
	const things = shot.things.map((thing) => thingOf(pose, thing, shot.people));
	const ground: Ground = {
		origin: pointSeen(pose, { x: position.x, y: 0, z: position.z }),
		right: turned(pose, { x: 1, y: 0, z: 0 }),
		up: turned(pose, { x: 0, y: 1, z: 0 }),
		away: turned(pose, { x: 0, y: 0, z: 1 })
	};
	const figures = shot.people.map((person) => figureOf(pose, person));
	return { figures, things, ground, light: lightOf(shot), place: placeOf(shot) };
}

function placeOf({ place, camera, people, things }: Shot): PreviewPlace | null {
	if (!place?.kind) return null;
	const depths = [
		...people.map(({ eyeMidpoint }) => eyeMidpoint.z),
		...things.map(({ position }) => position.z)
	];
	return { kind: place.kind, lastM: Math.max(0, ...depths.map((z) => z - camera.position.z)) };
}

/** A direction of the world in the camera's coordinates. */
function turned(pose: CameraPose, v: Vec3): Vec3 {
	return { x: dot(v, pose.right), y: dot(v, pose.up), z: dot(v, pose.axis) };
}

function pointSeen(pose: CameraPose, point: Vec3): Vec3 {
	return turned(pose, subtract(point, pose.position));
}

function placementOf(pose: CameraPose, head: Head): Placement {
	return {
		origin: pointSeen(pose, head.origin),
		left: turned(pose, head.left),
		up: turned(pose, head.up),
		out: turned(pose, head.out)
	};
}

function figureOf(pose: CameraPose, person: Person): Figure {
	return {
		id: person.id,
		build: person.build,
		head: placementOf(pose, placeHead(person, pose.position)),
		body: placementOf(pose, placeHead(levelled(person), pose.position)),
		eyeHeightM: person.eyeMidpoint.y,
		size: headSize(person.build),
		isShut: false,
		acrossMPerS: 0
	};
}

function thingOf(pose: CameraPose, thing: Thing, people: readonly Person[]): PreviewThing {
	const { id, label, look, widthM, heightM, detailMm } = thing;
	const centre = pointSeen(pose, thing.position);
	const hasPeopleBehind = people.some(
		({ eyeMidpoint }) => pointSeen(pose, eyeMidpoint).z > centre.z
	);
	return { id, label, look, centre, widthM, heightM, detailMm, hasPeopleBehind };
}

/** With flash the shutter is taken to be at the sync speed and the ISO at 100. */
function lightOf({ light, body }: Shot): PreviewLight {
	if (light?.mode !== 'flash') {
		return { flashAtM: null, roomStopsBelow: 0, warmth: light ? warmthOf(light.ev100) : 0 };
	}
	const { distanceM, ambientEv100 } = light;
	const wideOpen = { fNumber: 1, shutterS: body.syncSpeedS, iso: 100 };
	return {
		flashAtM: distanceM,
		roomStopsBelow: ev100Of(wideOpen) - ambientEv100,
		warmth: warmthOf(ambientEv100)
	};
}

/**
 * How warm light of such a strength usually is: lamps, then windows, shade and cloud, then the sun (common practice,
 * no source).
 */
const WARMTH = [
	[5, 1],
	[9, 0],
	[12, -0.7],
	[13, -0.4],
	[15, 0.3]
] as const;

const warmthOf = (ev100: number): number => piecewise(WARMTH, ev100);

/** The light of the room as a share of what the exposure asks for: 1 without flash. */
export function roomShare({ flashAtM, roomStopsBelow }: PreviewLight, fNumber: number): number {
	if (flashAtM === null) return 1;
	return Math.min(1, 2 ** -(roomStopsBelow + 2 * Math.log2(fNumber)));
}
