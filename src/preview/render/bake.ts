import type { Sculpted } from '../sculpt/store';
import { WET_GLOSS } from '../sculpt/store';
import { lightOn, type Lighting } from './lighting';

/** A part in its place with the colours of its figure. */
export interface Placed {
	readonly part: Sculpted;
	/** 4 by 4 by columns: from the part's millimetres to the camera's metres. */
	readonly matrix: readonly number[];
	/** Red, green, blue, 1 of each matter. */
	readonly palette: readonly number[];
}

/** All figures as one surface, in the camera's coordinates, lit. */
export interface Baked {
	readonly positions: Float32Array;
	readonly normals: Float32Array;
	readonly colours: Float32Array;
	readonly matte: Uint32Array;
	readonly wet: Uint32Array;
}

/**
 * Puts parts where they belong and lights them once for a whole picture: what is left to do for
 * each sample is to look at them from another point of the pupil.
 */
export function bake(all: readonly Placed[], lighting: Lighting, pupilRadiusM: number): Baked {
	const total = (of: (part: Sculpted) => ArrayLike<number>) =>
		all.reduce((sum, { part }) => sum + of(part).length, 0);
	const baked: Baked = {
		positions: new Float32Array(total(({ positions }) => positions)),
		normals: new Float32Array(total(({ positions }) => positions)),
		colours: new Float32Array(total(({ positions }) => positions)),
		matte: new Uint32Array(total(({ matte }) => matte)),
		wet: new Uint32Array(total(({ wet }) => wet))
	};
	let [vertex, matte, wet] = [0, 0, 0];
	for (const placed of all) {
		bakePart(placed, lighting, baked, vertex);
		matte = addFacing(placed.part.matte, vertex, baked.positions, baked.matte, matte, pupilRadiusM);
		wet = addFacing(placed.part.wet, vertex, baked.positions, baked.wet, wet, pupilRadiusM);
		vertex += placed.part.positions.length / 3;
	}
	return { ...baked, matte: baked.matte.subarray(0, matte), wet: baked.wet.subarray(0, wet) };
}

/** Adds the triangles that face some point of the pupil; returns where the next ones go. */
function addFacing(
	triangles: Uint32Array,
	firstVertex: number,
	positions: Float32Array,
	into: Uint32Array,
	start: number,
	pupilRadiusM: number
): number {
	let next = start;
	for (let i = 0; i < triangles.length; i += 3) {
		const a = firstVertex + (triangles[i] as number);
		const b = firstVertex + (triangles[i + 1] as number);
		const c = firstVertex + (triangles[i + 2] as number);
		const [x, y, z] = pointAt(positions, a);
		const [bx, by, bz] = pointAt(positions, b);
		const [cx, cy, cz] = pointAt(positions, c);
		const [ux, uy, uz] = [bx - x, by - y, bz - z];
		const [vx, vy, vz] = [cx - x, cy - y, cz - z];
		// in the camera's coordinates, which are left-handed, this points into the surface
		const nx = uy * vz - uz * vy;
		const ny = uz * vx - ux * vz;
		const nz = ux * vy - uy * vx;
		const room = pupilRadiusM * (Math.abs(nx) + Math.abs(ny));
		if (x * nx + y * ny + z * nz < -room) continue;
		into[next++] = a;
		into[next++] = b;
		into[next++] = c;
	}
	return next;
}

const pointAt = (positions: Float32Array, vertex: number): Point3 => [
	positions[3 * vertex] as number,
	positions[3 * vertex + 1] as number,
	positions[3 * vertex + 2] as number
];

function bakePart(
	{ part, matrix, palette }: Placed,
	lighting: Lighting,
	into: Baked,
	first: number
) {
	const m = (i: number) => matrix[i] as number;
	const [ax, ay, az, bx, by, bz, cx, cy, cz, ox, oy, oz] = [
		0, 1, 2, 4, 5, 6, 8, 9, 10, 12, 13, 14
	].map(m) as [
		number,
		number,
		number,
		number,
		number,
		number,
		number,
		number,
		number,
		number,
		number,
		number
	];
	const { positions, normals, matters, finish } = part;
	for (let i = 0; i < positions.length / 3; i++) {
		const [x, y, z] = [positions[3 * i], positions[3 * i + 1], positions[3 * i + 2]] as Point3;
		const at = {
			x: ax * x + bx * y + cx * z + ox,
			y: ay * x + by * y + cy * z + oy,
			z: az * x + bz * y + cz * z + oz
		};
		const [nx, ny, nz] = [normals[3 * i], normals[3 * i + 1], normals[3 * i + 2]] as Point3;
		const normal = {
			x: ax * nx + bx * ny + cx * nz,
			y: ay * nx + by * ny + cy * nz,
			z: az * nx + bz * ny + cz * nz
		};
		const length = Math.sqrt(normal.x ** 2 + normal.y ** 2 + normal.z ** 2) || 1;
		normal.x /= length;
		normal.y /= length;
		normal.z /= length;
		const gloss = finish[2 * i + 1] as number;
		const light = lightOn(
			lighting,
			normal,
			at,
			finish[2 * i] as number,
			gloss > WET_GLOSS ? 0 : gloss
		);
		const [one, other, share] = [matters[3 * i], matters[3 * i + 1], matters[3 * i + 2]] as Point3;
		const to = 3 * (first + i);
		for (let c = 0; c < 3; c++) {
			const a = palette[4 * one + c] as number;
			const b = palette[4 * other + c] as number;
			into.colours[to + c] = (a + (b - a) * share) * (light[c] as number);
		}
		into.positions[to] = at.x;
		into.positions[to + 1] = at.y;
		into.positions[to + 2] = at.z;
		into.normals[to] = normal.x;
		into.normals[to + 1] = normal.y;
		into.normals[to + 2] = normal.z;
	}
}

type Point3 = [number, number, number];
