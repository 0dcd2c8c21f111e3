import type { Sculpted } from '../sculpt/store';
import { WET_GLOSS } from '../sculpt/store';
import { lightOn, type Lighting } from './lighting';
import type { Outside } from './reach';

/** A part in its place with the colours of its figure. */
export interface Placed {
	readonly part: Sculpted;
	/** 4 by 4 by columns: from the part's millimetres to the camera's metres. */
	readonly matrix: readonly number[];
	/** Red, green, blue, 1 of each matter. */
	readonly palette: readonly number[];
	/** To the right while the shutter is open, m/s. */
	readonly acrossMPerS: number;
}

/** All figures as one surface, in the camera's coordinates, lit. */
export interface Baked {
	readonly positions: Float32Array;
	readonly normals: Float32Array;
	readonly colours: Float32Array;
	/** To the right, m/s, of each vertex; null where nothing moves. */
	readonly across: Float32Array | null;
	readonly matte: Uint32Array;
	readonly wet: Uint32Array;
}

/** What one view can show. */
export interface ViewLimits {
	readonly pupilRadiusM: number;
	readonly outside: Outside;
}

/**
 * Puts parts where they belong and lights them once for a whole picture: what is left to do for
 * each sample is to look at them from another point of the pupil. Triangles that face away, or lie
 * outside the view, are left out.
 */
export function bake(all: readonly Placed[], lighting: Lighting, sight: ViewLimits): Baked {
	const total = (of: (part: Sculpted) => ArrayLike<number>) =>
		all.reduce((sum, { part }) => sum + of(part).length, 0);
	const numbers = total(({ positions }) => positions);
	const baked: Baked = {
		positions: new Float32Array(numbers),
		normals: new Float32Array(numbers),
		colours: new Float32Array(numbers),
		across: all.some(({ acrossMPerS }) => acrossMPerS !== 0) ? new Float32Array(numbers / 3) : null,
		matte: new Uint32Array(total(({ matte }) => matte)),
		wet: new Uint32Array(total(({ wet }) => wet))
	};
	let [vertex, matte, wet] = [0, 0, 0];
	for (const placed of all) {
		const { part } = placed;
		place(placed, baked, vertex);
		const seen = seenVertices(part, baked, vertex, sight);
		matte = addSeen(part.matte, vertex, seen, baked, baked.matte, matte, sight);
		wet = addSeen(part.wet, vertex, seen, baked, baked.wet, wet, sight);
		light(placed, lighting, seen, baked, vertex);
		const end = vertex + part.positions.length / 3;
		baked.across?.fill(placed.acrossMPerS, vertex, end);
		vertex = end;
	}
	return { ...baked, matte: baked.matte.subarray(0, matte), wet: baked.wet.subarray(0, wet) };
}

/** Puts the vertices of a part, and their normals, into the camera's coordinates. */
function place({ part, matrix }: Placed, into: Baked, first: number): void {
	const [ax, ay, az, , bx, by, bz, , cx, cy, cz, , ox, oy, oz] = matrix as Matrix;
	const { positions, normals } = part;
	for (let i = 0; i < positions.length; i += 3) {
		const [x, y, z] = at(positions, i);
		const [nx, ny, nz] = at(normals, i);
		put(into.positions, 3 * first + i, [
			ax * x + bx * y + cx * z + ox,
			ay * x + by * y + cy * z + oy,
			az * x + bz * y + cz * z + oz
		]);
		const normal: Triple = [
			ax * nx + bx * ny + cx * nz,
			ay * nx + by * ny + cy * nz,
			az * nx + bz * ny + cz * nz
		];
		const length = Math.sqrt(normal[0] ** 2 + normal[1] ** 2 + normal[2] ** 2) || 1;
		put(into.normals, 3 * first + i, [normal[0] / length, normal[1] / length, normal[2] / length]);
	}
}

/** Marks a vertex that some triangle uses, beside the sides it lies outside of. */
const USED_BIT = 128;

function seenVertices(
	part: Sculpted,
	baked: Baked,
	first: number,
	{ outside }: ViewLimits
): Uint8Array {
	const sides = new Uint8Array(part.positions.length / 3);
	for (let i = 0; i < sides.length; i++) {
		sides[i] = outside(...at(baked.positions, 3 * (first + i)));
	}
	return sides;
}

/** Adds the triangles that may be seen; returns where the next ones go. */
function addSeen(
	triangles: Uint32Array,
	first: number,
	sides: Uint8Array,
	{ positions }: Baked,
	into: Uint32Array,
	start: number,
	{ pupilRadiusM }: ViewLimits
): number {
	let next = start;
	for (let i = 0; i < triangles.length; i += 3) {
		const [a, b, c] = at(triangles, i);
		if ((sides[a] as number) & (sides[b] as number) & (sides[c] as number) & 31) continue;
		const [x, y, z] = at(positions, 3 * (first + a));
		const [bx, by, bz] = at(positions, 3 * (first + b));
		const [cx, cy, cz] = at(positions, 3 * (first + c));
		const [ux, uy, uz] = [bx - x, by - y, bz - z];
		const [vx, vy, vz] = [cx - x, cy - y, cz - z];
		// in the camera's coordinates, which are left-handed, this points into the surface
		const nx = uy * vz - uz * vy;
		const ny = uz * vx - ux * vz;
		const nz = ux * vy - uy * vx;
		const room = pupilRadiusM * (Math.abs(nx) + Math.abs(ny));
		if (x * nx + y * ny + z * nz < -room) continue;
		for (const corner of [a, b, c]) {
			sides[corner] = (sides[corner] as number) | USED_BIT;
			into[next++] = first + corner;
		}
	}
	return next;
}

function light(
	{ part, palette }: Placed,
	lighting: Lighting,
	sides: Uint8Array,
	into: Baked,
	first: number
): void {
	const { matters, finish } = part;
	for (let i = 0; i < sides.length; i++) {
		if (!((sides[i] as number) & USED_BIT)) continue;
		const to = 3 * (first + i);
		const [x, y, z] = at(into.positions, to);
		const [nx, ny, nz] = at(into.normals, to);
		const open = finish[2 * i] as number;
		const gloss = finish[2 * i + 1] as number;
		const sheen = gloss > WET_GLOSS ? 0 : gloss;
		const lit = lightOn(lighting, { x: nx, y: ny, z: nz }, { x, y, z }, open, sheen);
		const [one, other, share] = at(matters, 3 * i);
		const channel = (c: 0 | 1 | 2): number => {
			const a = palette[4 * one + c] as number;
			const b = palette[4 * other + c] as number;
			return (a + (b - a) * share) * lit[c];
		};
		put(into.colours, to, [channel(0), channel(1), channel(2)]);
	}
}

type Triple = [number, number, number];
// prettier-ignore
type Matrix = [
	number, number, number, number, number, number, number, number,
	number, number, number, number, number, number, number, number
];

const at = (values: Float32Array | Uint32Array, i: number): Triple => [
	values[i] as number,
	values[i + 1] as number,
	values[i + 2] as number
];

function put(values: Float32Array, i: number, [x, y, z]: Triple): void {
	values[i] = x;
	values[i + 1] = y;
	values[i + 2] = z;
}
