import type { Camera, Sensor } from '../format/shot';
import { imageDistanceMm } from './thinLens';
import { radians } from './angle';
import { along, cross, dot, subtract, type Vec3 } from './vector';

/** Where the camera is, which way it looks, and its sensor as held. */
export interface CameraPose {
	/** Entrance pupil, m. */
	readonly position: Vec3;
	/** Optical axis. */
	readonly axis: Vec3;
	readonly right: Vec3;
	readonly up: Vec3;
	readonly focalMm: number;
	/** Sides of the sensor as held: an upright camera swaps them. */
	readonly widthMm: number;
	readonly heightMm: number;
}

/** A point as the camera sees it, metres. */
export interface CameraPoint {
	/** Along the optical axis. */
	readonly depthM: number;
	readonly rightM: number;
	readonly upM: number;
	/** Straight line from the entrance pupil. */
	readonly distanceM: number;
	/** Cosine of the angle off the axis. */
	readonly cosOffAxis: number;
}

/** A place in the picture: fractions of its width and height from the top-left corner. */
export interface FramePoint {
	readonly x: number;
	readonly y: number;
}

/**
 * The camera's axes: n = (sin pan cos tilt, sin tilt, cos pan cos tilt), r = (cos pan, 0, -sin pan),
 * u = n x r. Pan is positive to the right, tilt upwards.
 */
export function cameraPose(camera: Camera, sensor: Sensor): CameraPose {
	const pan = radians(camera.panDeg);
	const tilt = radians(camera.tiltDeg);
	const axis = {
		x: Math.sin(pan) * Math.cos(tilt),
		y: Math.sin(tilt),
		z: Math.cos(pan) * Math.cos(tilt)
	};
	const right = { x: Math.cos(pan), y: 0, z: -Math.sin(pan) };
	const upright = camera.orientation === 'portrait';
	return {
		position: camera.position,
		axis,
		right,
		up: cross(axis, right),
		focalMm: camera.focalMm,
		widthMm: upright ? sensor.heightMm : sensor.widthMm,
		heightMm: upright ? sensor.widthMm : sensor.heightMm
	};
}

/**
 * A point of the world as the camera sees it.
 *
 * @example seenFrom(poseAtOrigin, { x: 0.5, y: 0, z: 2 }) // { depthM: 2, rightM: 0.5, upM: 0, distanceM: 2.06, … }
 */
export function seenFrom(pose: CameraPose, point: Vec3): CameraPoint {
	const from = subtract(point, pose.position);
	const depthM = dot(from, pose.axis);
	const rightM = dot(from, pose.right);
	const upM = dot(from, pose.up);
	const distanceM = Math.hypot(depthM, rightM, upM);
	return { depthM, rightM, upM, distanceM, cosOffAxis: distanceM > 0 ? depthM / distanceM : 1 };
}

/** The point of the world at a depth and offsets from the axis, m. */
export function worldPoint(pose: CameraPose, depthM: number, rightM: number, upM: number): Vec3 {
	const onAxis = along(pose.position, pose.axis, depthM);
	return along(along(onAxis, pose.right, rightM), pose.up, upM);
}

/** A place on the sensor as the picture shows it: mm from its middle, y down. */
export interface SensorPoint {
	readonly x: number;
	readonly y: number;
}

/**
 * Where a point is imaged: v X / D and -v Y / D.
 *
 * @param imageMm image distance of the plane of focus, mm
 */
export function sensorPoint(seen: CameraPoint, imageMm: number): SensorPoint {
	const magnification = imageMm / seen.depthM;
	return { x: magnification * seen.rightM, y: -magnification * seen.upM };
}

/** The same as fractions of the frame: 0.5 + v X / (D W), 0.5 - v Y / (D H). */
export function framePoint(pose: CameraPose, seen: CameraPoint, imageMm: number): FramePoint {
	const { x, y } = sensorPoint(seen, imageMm);
	return { x: 0.5 + x / pose.widthMm, y: 0.5 + y / pose.heightMm };
}

/** Where a point falls in the picture when the lens is focused on its own depth. */
export function ownFramePoint(pose: CameraPose, seen: CameraPoint): FramePoint {
	return framePoint(pose, seen, imageDistanceMm(pose.focalMm, seen.depthM));
}

/** Whether a point is in the picture, judged so that it does not depend on the focus. */
export function isInFrame(pose: CameraPose, seen: CameraPoint): boolean {
	if (seen.depthM * 1000 <= pose.focalMm) return false;
	const { x, y } = ownFramePoint(pose, seen);
	return x >= 0 && x <= 1 && y >= 0 && y <= 1;
}

/** Distance of a point from the centre of the picture, mm on the sensor, focused on its own depth. */
export function offCentreMm(pose: CameraPose, seen: CameraPoint): number {
	const { x, y } = sensorPoint(seen, imageDistanceMm(pose.focalMm, seen.depthM));
	return Math.hypot(x, y);
}
