import { partCorners, type FigurePart } from '../anatomy/figure';
import type { Camera, Person, Shot } from '../format/shot';
import { imageDistanceMm } from '../geometry/thinLens';
import { degrees, wrapDeg } from '../geometry/angle';
import { cameraPose, ownFramePoint, seenFrom, type CameraPose } from '../geometry/camera';
import { add, meanPoint, subtract, type Vec3 } from '../geometry/vector';
import { lastHolding } from '../numeric/bisect';

/** Framing: who fills how much of the picture, and how to get there. */

export interface Framing {
	readonly part: FigurePart;
	/** Whom; everybody in the shot when empty. */
	readonly personIds: readonly string[];
	/** Room at every edge, as a share of the frame. */
	readonly margin: number;
}

/** Room at every edge unless something else is asked for, as a share of the frame. */
export const USUAL_MARGIN = 0.05;

/** Where the edges of what is framed fall, as fractions of the frame from its top left. */
export interface Extent {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

export type FramingResult =
	| { readonly ok: true; readonly camera: Camera; readonly isLoose: boolean }
	| { readonly ok: false; readonly problem: FramingProblem };

/** Why a framing cannot be had. */
export type FramingProblem =
	| { readonly why: 'nobody' }
	/** The camera would have to go farther back than there is room. */
	| { readonly why: 'no-room'; readonly backM: number; readonly clearM: number }
	| { readonly why: 'too-near'; readonly depthM: number; readonly closestFocusM: number }
	/** The focal length it would take from here; null when none does. */
	| {
			readonly why: 'lens-too-long';
			readonly shortestMm: number;
			readonly neededMm: number | null;
	  };

function framedPeople({ people }: Shot, { personIds }: Framing): Person[] {
	return personIds.length === 0 ? people : people.filter(({ id }) => personIds.includes(id));
}

/** The extent of points in the picture; null when one is at the lens or behind it. */
export function extentOf(pose: CameraPose, points: readonly Vec3[]): Extent | null {
	const places = [];
	for (const point of points) {
		const seen = seenFrom(pose, point);
		if (seen.depthM * 1000 <= pose.focalMm * 1.001) return null;
		places.push(ownFramePoint(pose, seen));
	}
	const xs = places.map(({ x }) => x);
	const ys = places.map(({ y }) => y);
	return {
		left: Math.min(...xs),
		right: Math.max(...xs),
		top: Math.min(...ys),
		bottom: Math.max(...ys)
	};
}

const cornersFor = (people: readonly Person[], part: FigurePart, { right }: CameraPose) =>
	people.flatMap((person) => partCorners(person, part, right));

const middleOf = (people: readonly Person[]): Vec3 =>
	meanPoint(people.map(({ eyeMidpoint }) => eyeMidpoint));

/** Times the aim is corrected: each time what is left of the error is squared or less. */
const AIM_ROUNDS = 6;
const MOST_TILT_DEG = 85;

/** Turns a camera so that what is framed stands in the middle. */
export function aimed(shot: Shot, camera: Camera, framing: Framing): Camera {
	const people = framedPeople(shot, framing);
	if (people.length === 0) return camera;
	const towards = middleOf(people);
	const { x, y, z } = camera.position;
	const [dx, dy, dz] = [towards.x - x, towards.y - y, towards.z - z];
	let panDeg = degrees(Math.atan2(dx, dz));
	let tiltDeg = degrees(Math.atan2(dy, Math.hypot(dx, dz)));
	const clamp = (tilt: number) => Math.min(MOST_TILT_DEG, Math.max(-MOST_TILT_DEG, tilt));
	for (let round = 0; round < AIM_ROUNDS; round++) {
		const pose = cameraPose({ ...camera, panDeg, tiltDeg: clamp(tiltDeg) }, shot.body.sensor);
		const extent = extentOf(pose, cornersFor(people, framing.part, pose));
		if (!extent) break;
		const v = imageDistanceMm(camera.focalMm, Math.hypot(dx, dy, dz));
		const off = (middle: number, sideMm: number) =>
			degrees(Math.atan(((middle - 0.5) * sideMm) / v));
		panDeg += off((extent.left + extent.right) / 2, pose.widthMm);
		tiltDeg = clamp(tiltDeg - off((extent.top + extent.bottom) / 2, pose.heightMm));
	}
	return { ...camera, panDeg: wrapDeg(panDeg), tiltDeg: clamp(tiltDeg) };
}

function fits(shot: Shot, camera: Camera, framing: Framing): boolean {
	const pose = cameraPose(camera, shot.body.sensor);
	const corners = cornersFor(framedPeople(shot, framing), framing.part, pose);
	const extent = extentOf(pose, corners);
	if (!extent) return false;
	const { margin } = framing;
	return (
		extent.left >= margin &&
		extent.top >= margin &&
		extent.right <= 1 - margin &&
		extent.bottom <= 1 - margin
	);
}

const NEAREST_M = 0.15;
const FARTHEST_M = 300;

/** The camera at a distance over the ground from those who are framed, in its present direction. */
function atDistance(shot: Shot, framing: Framing, distanceM: number): Camera {
	const { position } = shot.camera;
	const middle = middleOf(framedPeople(shot, framing));
	const [dx, dz] = [position.x - middle.x, position.z - middle.z];
	const awayM = Math.hypot(dx, dz);
	const [ux, uz] = awayM > 1e-6 ? [dx / awayM, dz / awayM] : [0, -1];
	const moved = { x: middle.x + ux * distanceM, y: position.y, z: middle.z + uz * distanceM };
	return aimed(shot, { ...shot.camera, position: moved }, framing);
}

/** Places and focal lengths are searched as closely as this, m and mm. */
const WITHIN_M = 1e-4;
const WITHIN_MM = 1e-2;

/** Moves the camera, its lens as it is, until the framing is filled; aims it. */
export function frameByPlace(shot: Shot, framing: Framing): FramingResult {
	const people = framedPeople(shot, framing);
	if (people.length === 0) return nobody;
	const { position } = shot.camera;
	const middle = middleOf(people);
	const nowM = Math.hypot(position.x - middle.x, position.z - middle.z);
	const fitsFrom = (m: number) => fits(shot, atDistance(shot, framing, m), framing);
	if (!fitsFrom(FARTHEST_M)) return nobody;
	const distanceM = lastHolding(fitsFrom, FARTHEST_M, NEAREST_M, WITHIN_M);
	const camera = atDistance(shot, framing, distanceM);
	const clearM = shot.place?.clearBehindCameraM;
	if (clearM !== undefined && distanceM - nowM > clearM + 1e-9) {
		return { ok: false, problem: { why: 'no-room', backM: distanceM - nowM, clearM } };
	}
	const pose = cameraPose(camera, shot.body.sensor);
	const depthM = Math.min(...people.map((one) => seenFrom(pose, one.eyeMidpoint).depthM));
	const { closestFocusM } = shot.lens;
	if (depthM < closestFocusM) {
		return { ok: false, problem: { why: 'too-near', depthM, closestFocusM } };
	}
	return { ok: true, camera, isLoose: false };
}

/**
 * The shot with its people as far away as the framing has them: they move, the camera only turns. As
 * it was where the framing cannot be had.
 */
export function stoodAsFramed(shot: Shot, framing: Framing): Shot {
	// where people stand, the room behind the camera does not matter
	const open = { ...shot };
	delete open.place;
	const framed = frameByPlace(open, framing);
	if (!framed.ok) return shot;
	const { position } = shot.camera;
	const push = subtract(position, framed.camera.position);
	return {
		...shot,
		camera: { ...framed.camera, position },
		people: shot.people.map((one) => ({ ...one, eyeMidpoint: add(one.eyeMidpoint, push) }))
	};
}

const nobody: FramingResult = { ok: false, problem: { why: 'nobody' } };

/** The shortest focal length that is thought of, mm. */
const SHORTEST_MM = 4;

/** Chooses the longest focal length that holds the framing from where the camera is; aims it. */
export function frameByFocal(shot: Shot, framing: Framing): FramingResult {
	if (framedPeople(shot, framing).length === 0) return nobody;
	const [short, long] = shot.lens.focalMm;
	const at = (focalMm: number) => aimed(shot, { ...shot.camera, focalMm }, framing);
	const holds = (focalMm: number) => fits(shot, at(focalMm), framing);
	if (holds(long)) return { ok: true, camera: at(long), isLoose: true };
	if (!holds(short)) {
		const neededMm = holds(SHORTEST_MM) ? lastHolding(holds, SHORTEST_MM, short, WITHIN_MM) : null;
		return { ok: false, problem: { why: 'lens-too-long', shortestMm: short, neededMm } };
	}
	return { ok: true, camera: at(lastHolding(holds, short, long, WITHIN_MM)), isLoose: false };
}
