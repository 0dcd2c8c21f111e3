import { REACH } from '../anatomy/figure';
import type { Camera, Person, Shot } from '../format/shot';
import { degrees, wrapDeg } from '../geometry/angle';
import { imageDistanceMm } from '../geometry/thinLens';
import { cameraPose, seenFrom } from '../geometry/camera';
import { meanPoint, type Vec3 } from '../geometry/vector';
import { headSize } from '../tables/heads';

/** Moving the camera while what the picture is of keeps its place, or its size, in the frame. */

/** What the camera turns about: the middle of those who count, else of everything meant sharp. */
export function pivotOf({ people, things, camera }: Shot): Vec3 {
	const counted = people.filter(({ need }) => need !== 'free');
	const sharp = things.filter(({ intent }) => intent === 'sharp');
	const places =
		counted.length > 0
			? counted.map(({ eyeMidpoint }) => eyeMidpoint)
			: sharp.map(({ position }) => position);
	if (places.length === 0) return { ...camera.position, z: camera.position.z + 3 };
	return meanPoint(places);
}

/** Direction from a camera to a point, degrees. */
function directionTo(from: Vec3, to: Vec3): { panDeg: number; tiltDeg: number } {
	const [dx, dy, dz] = [to.x - from.x, to.y - from.y, to.z - from.z];
	return {
		panDeg: degrees(Math.atan2(dx, dz)),
		tiltDeg: degrees(Math.atan2(dy, Math.hypot(dx, dz)))
	};
}

type Direction = ReturnType<typeof directionTo>;

/** A camera turned by as much as one direction differs from another. */
function turned(camera: Camera, before: Direction, after: Direction): Camera {
	const tiltDeg = camera.tiltDeg + after.tiltDeg - before.tiltDeg;
	return {
		...camera,
		panDeg: wrapDeg(camera.panDeg + after.panDeg - before.panDeg),
		tiltDeg: Math.min(85, Math.max(-85, tiltDeg))
	};
}

/** The camera elsewhere, turned so that the pivot keeps its place in the frame. */
export function standingAt(camera: Camera, pivot: Vec3, position: Vec3): Camera {
	const after = directionTo(position, pivot);
	return { ...turned(camera, directionTo(camera.position, pivot), after), position };
}

/** The camera of a changed shot, turned after whoever moved so that the pivot keeps its place. */
export function following(before: Shot, after: Shot): Camera {
	const { camera } = after;
	const direction = (shot: Shot) => directionTo(camera.position, pivotOf(shot));
	return turned(camera, direction(before), direction(after));
}

/** Distance over the ground from the camera to the pivot, m. */
export const groundDistanceM = ({ position }: Camera, pivot: Vec3): number =>
	Math.hypot(position.x - pivot.x, position.z - pivot.z);

/** How much farther from the people another camera stands than the shot's, over the ground, m. */
export function fartherBackM(shot: Shot, other: Camera): number {
	const pivot = pivotOf(shot);
	return groundDistanceM(other, pivot) - groundDistanceM(shot.camera, pivot);
}

/** Whether another camera has the room behind the shot's that it needs, as far as that is known. */
export const hasRoom = (shot: Shot, other: Camera): boolean =>
	fartherBackM(shot, other) <= (shot.place?.clearBehindCameraM ?? Infinity) + 1e-6;

/** The camera so many metres farther back over the ground, at its height. */
export function steppedBack(camera: Camera, pivot: Vec3, byM: number): Camera {
	const { position } = camera;
	const now = groundDistanceM(camera, pivot);
	const [ux, uz] =
		now > 1e-6 ? [(position.x - pivot.x) / now, (position.z - pivot.z) / now] : [0, -1];
	return standingAt(camera, pivot, {
		...position,
		x: position.x + ux * byM,
		z: position.z + uz * byM
	});
}

/** Sides of everybody who counts in the frame, as shares of it; null behind the camera. */
function spanOf(shot: Shot, camera: Camera, people: readonly Person[]) {
	const pose = cameraPose(camera, shot.body.sensor);
	const { above, below, aside } = REACH['head-and-shoulders'];
	let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
	for (const { build, eyeMidpoint } of people) {
		const size = headSize(build);
		const seen = seenFrom(pose, eyeMidpoint);
		for (const dy of [above * size, -below * size]) {
			// straight up or down in the world
			const depthM = seen.depthM + dy * pose.axis.y;
			if (depthM * 1000 <= pose.focalMm * 1.001) return null;
			const perM = imageDistanceMm(pose.focalMm, depthM) / depthM;
			left = Math.min(left, (seen.rightM - aside * size) * perM);
			right = Math.max(right, (seen.rightM + aside * size) * perM);
			const up = (seen.upM + dy * pose.up.y) * perM;
			low = Math.min(low, up);
			high = Math.max(high, up);
		}
	}
	return { width: (right - left) / pose.widthMm, height: (high - low) / pose.heightMm };
}

/** Compares how large people stand in the frame through another camera: 1 as now, 2 twice as large. */
function sizer(shot: Shot): (other: Camera) => number {
	const counted = shot.people.filter(({ need }) => need !== 'free');
	const people = counted.length > 0 ? counted : shot.people;
	const now = people.length > 0 ? spanOf(shot, shot.camera, people) : null;
	if (!now) {
		// nobody to compare: the magnification at the pivot
		const pivot = pivotOf(shot);
		const away = (camera: Camera) => groundDistanceM(camera, pivot) / camera.focalMm;
		return (other) => away(shot.camera) / away(other);
	}
	return (other) => {
		const then = spanOf(shot, other, people);
		return then ? Math.max(then.width / now.width, then.height / now.height) : Infinity;
	};
}

/** The framing is the same within this share. */
const WITHIN_SHARE = 5e-4;
/** Rounds of the search; a handful is enough unless people stand very deep. */
const SEARCH_ROUNDS = 24;
/** Nobody walks nearer or farther than so many times the distance. */
const LEAST_SHARE = 0.03;
const MOST_SHARE = 40;

/**
 * The camera with another focal length, as far from the pivot as the same framing needs. Size falls
 * nearly in proportion to distance, so the distance is multiplied by the size until it is 1.
 *
 * @returns null when no distance gives it
 */
export function sameFraming(shot: Shot, focalMm: number): Camera | null {
	const pivot = pivotOf(shot);
	const now = groundDistanceM(shot.camera, pivot);
	const sizeOf = sizer(shot);
	let share = focalMm / shot.camera.focalMm;
	for (let round = 0; round < SEARCH_ROUNDS; round++) {
		const camera = { ...steppedBack(shot.camera, pivot, now * (share - 1)), focalMm };
		const size = sizeOf(camera);
		if (Math.abs(size - 1) < WITHIN_SHARE) return camera;
		share *= Math.min(2, Math.max(0.5, size));
		if (share < LEAST_SHARE || share > MOST_SHARE) return null;
	}
	return null;
}
