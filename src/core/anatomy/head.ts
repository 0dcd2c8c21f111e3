import type { Person } from '../format/shot';
import type { Landmark, Offset } from '../tables/landmarks';
import { radians } from '../geometry/angle';
import { add, along, scale, type Vec3 } from '../geometry/vector';
import { HEADS, type HeadMeasures } from '../tables/heads';

/** A head placed in the world: its origin midway between the corneas and its own three axes. */
export interface Head {
	readonly origin: Vec3;
	/** Out of the face. */
	readonly out: Vec3;
	readonly up: Vec3;
	/** To the person's left. */
	readonly left: Vec3;
	readonly measures: HeadMeasures;
}

/** Heading, rad, of a head that faces the camera in plan. */
function headingTo(from: Vec3, camera: Vec3): number {
	return Math.atan2(camera.x - from.x, camera.z - from.z);
}

/**
 * Places a head: heading, then nod, then lean, about the origin. A turn of 0 faces the entrance
 * pupil in plan; positive turns towards the right of the frame, nods the chin down, leans the top
 * of the head towards the person's left.
 */
export function placeHead(
	person: Pick<Person, 'build' | 'eyeMidpoint' | 'turnDeg' | 'nodDeg' | 'leanDeg'>,
	camera: Vec3
): Head {
	const origin = person.eyeMidpoint;
	const heading = headingTo(origin, camera) - radians(person.turnDeg);
	const level: Vec3 = { x: Math.sin(heading), y: 0, z: Math.cos(heading) };
	const levelLeft: Vec3 = { x: -level.z, y: 0, z: level.x };
	const vertical: Vec3 = { x: 0, y: 1, z: 0 };

	const nod = radians(person.nodDeg);
	const out = add(scale(level, Math.cos(nod)), scale(vertical, -Math.sin(nod)));
	const nodUp = add(scale(vertical, Math.cos(nod)), scale(level, Math.sin(nod)));

	const lean = radians(person.leanDeg);
	const up = add(scale(nodUp, Math.cos(lean)), scale(levelLeft, Math.sin(lean)));
	const left = add(scale(levelLeft, Math.cos(lean)), scale(nodUp, -Math.sin(lean)));
	return { origin, out, up, left, measures: HEADS[person.build] };
}

/** The point of the world at an offset of the head, mm. */
export function headPoint(head: Head, [left, up, out]: Offset): Vec3 {
	const sideways = along(head.origin, head.left, left / 1000);
	return along(along(sideways, head.up, up / 1000), head.out, out / 1000);
}

/** Where a landmark is in the world. */
export function landmarkPoint(head: Head, landmark: Landmark): Vec3 {
	return headPoint(head, head.measures[landmark]);
}
