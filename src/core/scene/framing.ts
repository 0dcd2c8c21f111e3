import { partCorners, type Part } from '../anatomy/figure';
import type { Camera, Person, Shot } from '../format/shot';
import { imageDistanceMm } from '../optics/thinLens';
import { degrees, wrapDeg } from './angle';
import { cameraPose, ownFramePoint, seenFrom, type CameraPose } from './camera';
import type { Vec3 } from './vector';

/** Framing: who fills how much of the picture, and how to get there. */

export interface Framing {
	readonly part: Part;
	/** Whom; everybody in the shot when empty. */
	readonly personIds: readonly string[];
	/** Room at every edge, as a share of the frame. */
	readonly margin: number;
}

/** Where the edges of what is framed fall, as fractions of the frame from its top left. */
export interface Extent {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

export type FramingResult =
	| { readonly ok: true; readonly camera: Camera; readonly isLoose: boolean }
	| {
			readonly ok: false;
			readonly why: 'nobody' | 'no-room' | 'too-near' | 'lens-too-long';
			/** In a photographer's words. */
			readonly text: string;
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

const cornersFor = (people: readonly Person[], part: Part, { right }: CameraPose) =>
	people.flatMap((person) => partCorners(person, part, right));

const middleOf = (people: readonly Person[]): Vec3 => {
	const mean = (axis: keyof Vec3) =>
		people.reduce((sum, { eyeMidpoint }) => sum + eyeMidpoint[axis], 0) / people.length;
	return { x: mean('x'), y: mean('y'), z: mean('z') };
};

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

/** The smallest value in a range at which something holds that holds from there on; null if never. */
function smallestWhere(
	low: number,
	high: number,
	holds: (value: number) => boolean
): number | null {
	if (!holds(high)) return null;
	let [no, yes] = [low, high];
	if (holds(low)) return low;
	for (let i = 0; i < 40 && yes - no > 1e-4 * yes; i++) {
		const middle = (no + yes) / 2;
		if (holds(middle)) yes = middle;
		else no = middle;
	}
	return yes;
}

const NEAREST_M = 0.15;
const FARTHEST_M = 300;

/** The camera at a distance over the ground from those who are framed, in its present direction. */
function atDistance(shot: Shot, framing: Framing, distanceM: number): Camera {
	const { position } = shot.camera;
	const middle = middleOf(framedPeople(shot, framing));
	const [dx, dz] = [position.x - middle.x, position.z - middle.z];
	const length = Math.hypot(dx, dz);
	const [ux, uz] = length > 1e-6 ? [dx / length, dz / length] : [0, -1];
	const moved = { x: middle.x + ux * distanceM, y: position.y, z: middle.z + uz * distanceM };
	return aimed(shot, { ...shot.camera, position: moved }, framing);
}

const metres = (m: number) => `${m.toFixed(m < 10 ? 1 : 0)} m`;

/** Moves the camera, its lens as it is, until the framing is filled; aims it. */
export function frameByPlace(shot: Shot, framing: Framing): FramingResult {
	const people = framedPeople(shot, framing);
	if (people.length === 0) return nobody;
	const { position } = shot.camera;
	const middle = middleOf(people);
	const nowM = Math.hypot(position.x - middle.x, position.z - middle.z);
	const distanceM = smallestWhere(NEAREST_M, FARTHEST_M, (m) =>
		fits(shot, atDistance(shot, framing, m), framing)
	);
	if (distanceM === null) return nobody;
	const camera = atDistance(shot, framing, distanceM);
	const clearM = shot.place?.clearBehindCameraM;
	if (clearM !== undefined && distanceM - nowM > clearM + 1e-9) {
		const text = `That framing needs the camera ${metres(distanceM - nowM)} farther back, and there are only ${metres(clearM)} behind it. A shorter focal length would do it from here.`;
		return { ok: false, why: 'no-room', text };
	}
	const pose = cameraPose(camera, shot.body.sensor);
	const nearestM = Math.min(...people.map((one) => seenFrom(pose, one.eyeMidpoint).depthM));
	if (nearestM < shot.lens.closestFocusM) {
		const text = `That framing needs the camera ${metres(nearestM)} away, nearer than this lens can focus (${metres(shot.lens.closestFocusM)}). A longer focal length would do it.`;
		return { ok: false, why: 'too-near', text };
	}
	return { ok: true, camera, isLoose: false };
}

const nobody: FramingResult = {
	ok: false,
	why: 'nobody',
	text: 'There is nobody to frame.'
};

/** Chooses the longest focal length that holds the framing from where the camera is; aims it. */
export function frameByFocal(shot: Shot, framing: Framing): FramingResult {
	if (framedPeople(shot, framing).length === 0) return nobody;
	const [short, long] = shot.lens.focalMm;
	const at = (focalMm: number) => aimed(shot, { ...shot.camera, focalMm }, framing);
	const holds = (focalMm: number) => fits(shot, at(focalMm), framing);
	if (holds(long)) return { ok: true, camera: at(long), isLoose: true };
	if (!holds(short)) {
		const shortest = smallestWhere(-short, -4, (minus) => holds(-minus));
		const needs = shortest === null ? '' : `: it takes about ${Math.floor(-shortest)} mm`;
		const text = `Even at ${short} mm this lens cannot take that in from here${needs}. Step back, or take a wider lens.`;
		return { ok: false, why: 'lens-too-long', text };
	}
	const found = smallestWhere(-long, -short, (minus) => holds(-minus)) as number;
	return { ok: true, camera: at(-found), isLoose: false };
}
