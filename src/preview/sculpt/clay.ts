import { MATTERS, type Matter } from '../looks';
import type { Shape, Point } from './shape';

/** What a vertex looks like: one matter, or two mixed; how open it lies to the light; its gloss. */
export interface Tint {
	readonly matter: Matter;
	readonly other?: Matter;
	/** Share of the other, 0 to 1. */
	readonly share?: number;
	readonly open?: number;
	readonly gloss?: number;
}

/** The place of each in a palette. */
const PLACES = Object.fromEntries(MATTERS.map((matter, i) => [matter, i])) as Record<
	Matter,
	number
>;

/** A surface of triangles in the making, mm in the coordinates of a head or body. */
export class Clay {
	readonly positions: number[] = [];
	readonly normals: number[] = [];
	/** Two matters and the share of the second. */
	readonly matters: number[] = [];
	/** Openness and gloss. */
	readonly finish: number[] = [];
	readonly indices: number[] = [];

	get size(): number {
		return this.positions.length / 3;
	}

	/** Adds a vertex and returns its number. */
	vertex([x, y, z]: Point, [nx, ny, nz]: Point, tint: Tint): number {
		const length = Math.hypot(nx, ny, nz) || 1;
		this.positions.push(x, y, z);
		this.normals.push(nx / length, ny / length, nz / length);
		this.matters.push(PLACES[tint.matter], PLACES[tint.other ?? tint.matter], tint.share ?? 0);
		this.finish.push(tint.open ?? 1, tint.gloss ?? 0);
		return this.size - 1;
	}

	triangle(a: number, b: number, c: number): void {
		this.indices.push(a, b, c);
	}

	/**
	 * Adds a net of rows by columns of vertices. Seen from outside, columns run to the right and rows
	 * upwards.
	 */
	net(rows: number, columns: number, at: (row: number, column: number) => [Point, Point, Tint]) {
		const first = this.size;
		for (let row = 0; row < rows; row++) {
			for (let column = 0; column < columns; column++) this.vertex(...at(row, column));
		}
		for (let row = 0; row + 1 < rows; row++) {
			for (let column = 0; column + 1 < columns; column++) {
				const a = first + row * columns + column;
				this.triangle(a, a + 1, a + columns);
				this.triangle(a + 1, a + columns + 1, a + columns);
			}
		}
	}

	/** A thin strip of rows of two vertices, seen from both sides. */
	blade(rows: number, at: (row: number, isRight: boolean) => [Point, Point, Tint]) {
		const first = this.indices.length;
		this.net(rows, 2, (row, column) => at(row, column === 1));
		for (const [a, b, c] of threes(this.indices.slice(first))) this.triangle(a, c, b);
	}

	/** The same as a net without a normal of its own: each vertex takes that of its neighbourhood. */
	sheet(rows: number, columns: number, at: (row: number, column: number) => [Point, Tint, Point?]) {
		const points: Point[] = [];
		const normals: (Point | undefined)[] = [];
		const tints: Tint[] = [];
		for (let row = 0; row < rows; row++) {
			for (let column = 0; column < columns; column++) {
				const [point, tint, normal] = at(row, column);
				points.push(point);
				normals.push(normal);
				tints.push(tint);
			}
		}
		const point = (row: number, column: number) =>
			points[
				Math.min(rows - 1, Math.max(0, row)) * columns + Math.min(columns - 1, Math.max(0, column))
			] as Point;
		this.net(rows, columns, (row, column) => {
			const across = difference(point(row, column + 1), point(row, column - 1));
			const up = difference(point(row + 1, column), point(row - 1, column));
			const at = row * columns + column;
			return [point(row, column), normals[at] ?? crossed(across, up), tints[at] as Tint];
		});
	}
}

function* threes(all: readonly number[]): Generator<[number, number, number]> {
	for (let i = 0; i < all.length; i += 3) yield all.slice(i, i + 3) as [number, number, number];
}

const difference = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const crossed = (a: Point, b: Point): Point => [
	a[1] * b[2] - a[2] * b[1],
	a[2] * b[0] - a[0] * b[2],
	a[0] * b[1] - a[1] * b[0]
];

/** The way out of a shape at a point: its slope. */
export function slopeOf(shape: Shape, [x, y, z]: Point, step = 0.5): Point {
	const here = shape(x, y, z);
	return [shape(x + step, y, z) - here, shape(x, y + step, z) - here, shape(x, y, z + step) - here];
}

/** How open a point lies to the light: how soon the shape falls away along the way out. */
export function openness(shape: Shape, [x, y, z]: Point, [nx, ny, nz]: Point): number {
	let shut = 0;
	for (const [reach, weight] of [
		[4, 0.5],
		[12, 0.35],
		[26, 0.25]
	] as const) {
		const free = shape(x + nx * reach, y + ny * reach, z + nz * reach);
		shut += weight * Math.max(0, 1 - free / reach);
	}
	return Math.max(0.25, 1 - 0.9 * shut);
}
