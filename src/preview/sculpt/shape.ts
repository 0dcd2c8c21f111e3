/**
 * Shapes to sculpt with: how far a point is from a surface, mm, negative inside. Sources: the
 * distances and the smooth union are the usual ones of implicit modelling (Quilez, "Distance
 * functions"; from memory).
 */

export type Point = readonly [x: number, y: number, z: number];
export type Shape = (x: number, y: number, z: number) => number;

/** An ellipsoid; its distance is exact on the surface and good near it. */
export function ellipsoidShape([cx, cy, cz]: Point, [rx, ry, rz]: Point): Shape {
	return (x, y, z) => {
		const a = (x - cx) / rx;
		const b = (y - cy) / ry;
		const c = (z - cz) / rz;
		const inside = Math.sqrt(a * a + b * b + c * c);
		const slope = Math.sqrt((a / rx) ** 2 + (b / ry) ** 2 + (c / rz) ** 2);
		return slope < 1e-9 ? -Math.min(rx, ry, rz) : (inside * (inside - 1)) / slope;
	};
}

export const ball = (centre: Point, radius: number): Shape =>
	ellipsoidShape(centre, [radius, radius, radius]);

/** A rod with round ends that may be thicker at one of them. */
export function rod([ax, ay, az]: Point, b: Point, radiusA: number, radiusB: number): Shape {
	const [dx, dy, dz] = [b[0] - ax, b[1] - ay, b[2] - az];
	const length2 = dx * dx + dy * dy + dz * dz;
	return (x, y, z) => {
		const [px, py, pz] = [x - ax, y - ay, z - az];
		const t = Math.min(1, Math.max(0, (px * dx + py * dy + pz * dz) / length2));
		const radius = radiusA + (radiusB - radiusA) * t;
		return Math.hypot(px - dx * t, py - dy * t, pz - dz * t) - radius;
	};
}

/** The same shape on both sides of a face. */
export const mirrored =
	(shape: Shape): Shape =>
	(x, y, z) =>
		shape(Math.abs(x), y, z);

/** Joins b to a with a seam rounded over about k mm. */
function smoothMin(a: number, b: number, k: number): number {
	const h = Math.max(k - Math.abs(a - b), 0) / k;
	return Math.min(a, b) - (h * h * k) / 4;
}

/** One lump of clay: pressed on, or, when it digs, taken away. */
export interface Lump {
	readonly shape: Shape;
	/** How far its seam is rounded, mm. */
	readonly seam: number;
	readonly digs?: boolean;
}

export const lump = (shape: Shape, seam: number): Lump => ({ shape, seam });
/** The same lump on both sides of a face. */
export const lumps = (shape: Shape, seam: number): Lump => lump(mirrored(shape), seam);

/** Presses lumps together in their order. */
export function pressed(lumps: readonly Lump[]): Shape {
	return (x, y, z) => {
		let distance = 1e3;
		for (const { shape, seam, digs } of lumps) {
			const other = shape(x, y, z);
			distance = digs ? -smoothMin(-distance, other, seam) : smoothMin(distance, other, seam);
		}
		return distance;
	};
}

/** Where a ray from outside first meets a shape, as a distance from its start; null if it does not. */
export function meets(
	shape: Shape,
	from: Point,
	direction: Point,
	farthest: number
): number | null {
	let t = 0;
	for (let step = 0; step < 90; step++) {
		const distance = shape(
			from[0] + direction[0] * t,
			from[1] + direction[1] * t,
			from[2] + direction[2] * t
		);
		if (distance < 0.03) return t;
		t += Math.max(0.03, distance * 0.8);
		if (t > farthest) return null;
	}
	return null;
}

/** The same direction at length 1. */
export function unit([x, y, z]: Point): Point {
	const length = Math.hypot(x, y, z) || 1;
	return [x / length, y / length, z / length];
}
