import { mean } from '../numeric/mean';

/** A point or direction of the world: x right, y up, z away from the camera; metres for points. */
export interface Vec3 {
	readonly x: number;
	readonly y: number;
	readonly z: number;
}

export const add = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
export const subtract = (a: Vec3, b: Vec3): Vec3 => ({
	x: a.x - b.x,
	y: a.y - b.y,
	z: a.z - b.z
});
export const scale = (a: Vec3, k: number): Vec3 => ({ x: a.x * k, y: a.y * k, z: a.z * k });
export const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const cross = (a: Vec3, b: Vec3): Vec3 => ({
	x: a.y * b.z - a.z * b.y,
	y: a.z * b.x - a.x * b.z,
	z: a.x * b.y - a.y * b.x
});
export const norm = (a: Vec3): number => Math.hypot(a.x, a.y, a.z);

/** a + k b. */
export const along = (a: Vec3, b: Vec3, k: number): Vec3 => add(a, scale(b, k));

/** The middle of several points; NaN of none. */
export const meanPoint = (points: readonly Vec3[]): Vec3 => ({
	x: mean(points.map(({ x }) => x)),
	y: mean(points.map(({ y }) => y)),
	z: mean(points.map(({ z }) => z))
});
