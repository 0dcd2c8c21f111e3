import { dot, scale, subtract, type Vec3 } from './vector';

/** Solids that are in the way of a look from one point to another. */

/** An ellipsoid with its axes as rows, each divided by its half length, so that it is the unit ball. */
export interface Ellipsoid {
	readonly centre: Vec3;
	readonly rows: readonly [Vec3, Vec3, Vec3];
}

/** An upright column with an oval for its ground plan. */
export interface Pillar {
	/** A point of its axis. */
	readonly middle: Vec3;
	/** Level and at right angles, each divided by the half length of the oval there. */
	readonly rows: readonly [Vec3, Vec3];
	readonly lowM: number;
	readonly highM: number;
}

/** Where the segment from a to b enters an ellipsoid, as a share of its length; null if it does not. */
export function entersEllipsoid(a: Vec3, b: Vec3, { centre, rows }: Ellipsoid): number | null {
	const intoBall = (v: Vec3): Vec3 => ({
		x: dot(v, rows[0]),
		y: dot(v, rows[1]),
		z: dot(v, rows[2])
	});
	const start = intoBall(subtract(a, centre));
	const step = intoBall(subtract(b, a));
	// |start + t step|^2 = 1
	const within = rootsBetween(dot(step, step), dot(start, step), dot(start, start) - 1);
	return within && within[1] > 0 && within[0] < 1 ? Math.max(within[0], 0) : null;
}

/** Where the segment from a to b enters a pillar, as a share of its length; null if it does not. */
export function entersPillar(
	a: Vec3,
	b: Vec3,
	{ middle, rows, lowM, highM }: Pillar
): number | null {
	const [p, q] = rows;
	const from = subtract(a, middle);
	const step = subtract(b, a);
	const [u, v, du, dv] = [dot(from, p), dot(from, q), dot(step, p), dot(step, q)];
	const within = rootsBetween(du * du + dv * dv, u * du + v * dv, u * u + v * v - 1);
	if (!within) return null;
	let [enter, leave] = [Math.max(within[0], 0), Math.min(within[1], 1)];
	if (step.y === 0) {
		if (a.y < lowM || a.y > highM) return null;
	} else {
		const [low, high] = [(lowM - a.y) / step.y, (highM - a.y) / step.y];
		enter = Math.max(enter, Math.min(low, high));
		leave = Math.min(leave, Math.max(low, high));
	}
	return enter < leave ? enter : null;
}

/** Where A t² + 2 B t + C is not above zero; null where it always is. */
function rootsBetween(A: number, B: number, C: number): readonly [number, number] | null {
	if (A === 0) return C <= 0 ? [-Infinity, Infinity] : null;
	const root = B * B - A * C;
	if (root < 0) return null;
	return [(-B - Math.sqrt(root)) / A, (-B + Math.sqrt(root)) / A];
}

/** An ellipsoid from its half axes: directions of unit length and their halves, m. */
export function ellipsoid(
	centre: Vec3,
	axes: readonly [Vec3, Vec3, Vec3],
	halvesM: readonly [number, number, number]
): Ellipsoid {
	const row = (i: 0 | 1 | 2) => scale(axes[i], 1 / halvesM[i]);
	return { centre, rows: [row(0), row(1), row(2)] };
}
