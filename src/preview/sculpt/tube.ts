import type { Matter } from '../looks';
import type { Clay, Tint } from './clay';
import { unit, type Point } from './shape';

/** Limbs and the like: round tubes along a smooth curve, with round ends. */

/** A place along a tube, the first one highest. */
export interface Knot {
	readonly at: Point;
	readonly radius: number;
	readonly matter: Matter;
}

/** @param around how many columns, @param between how many rings from knot to knot */
export function addTube(clay: Clay, knots: readonly Knot[], around: number, between: number): void {
	const rings = [...withCaps(smooth(knots, between), between === 1)].reverse();
	clay.sheet(rings.length, around + 1, (row, column) => {
		const ring = rings[row] as Knot;
		const [e1, e2] = across(rings, row);
		const angle = (2 * Math.PI * column) / around;
		const [a, b] = [ring.radius * Math.cos(angle), ring.radius * Math.sin(angle)];
		const point = ring.at.map((x, i) => x + a * (e1[i] as number) + b * (e2[i] as number));
		const tint: Tint = { matter: ring.matter, open: 0.85 };
		return [point as unknown as Point, tint];
	});
}

/** More knots between the given ones, on a curve through them. Source: Catmull and Rom, 1974. */
function smooth(knots: readonly Knot[], between: number): Knot[] {
	const knot = (i: number) => knots[Math.min(knots.length - 1, Math.max(0, i))] as Knot;
	const rings: Knot[] = [];
	for (let i = 0; i + 1 < knots.length; i++) {
		for (let step = 0; step < between; step++) {
			const t = step / between;
			const mix = (of: (one: Knot) => number) => {
				const [a, b, c, d] = [knot(i - 1), knot(i), knot(i + 1), knot(i + 2)].map(of) as Four;
				return (
					0.5 *
					(2 * b +
						(c - a) * t +
						(2 * a - 5 * b + 4 * c - d) * t ** 2 +
						(3 * b - a - 3 * c + d) * t ** 3)
				);
			};
			rings.push({
				at: [mix(({ at }) => at[0]), mix(({ at }) => at[1]), mix(({ at }) => at[2])],
				radius: mix(({ radius }) => radius),
				matter: knot(i).matter
			});
		}
	}
	return [...rings, knot(knots.length - 1)];
}

type Four = [number, number, number, number];

/** Rounds both ends off. */
function withCaps(rings: readonly Knot[], isCoarse: boolean): Knot[] {
	const [first, second] = rings as [Knot, Knot];
	const [last, before] = [...rings].reverse() as [Knot, Knot];
	const cap = (end: Knot, next: Knot): [tip: Knot, shoulder: Knot] => {
		const away = unit(minus(end.at, next.at));
		const ahead = (share: number, radius: number): Knot => ({
			...end,
			at: end.at.map((x, i) => x + (away[i] as number) * end.radius * share) as unknown as Point,
			radius: end.radius * radius
		});
		return [ahead(0.75, 0.02), ahead(0.5, 0.72)];
	};
	const [tipA, shoulderA] = cap(first, second);
	const [tipB, shoulderB] = cap(last, before);
	return isCoarse ? [tipA, ...rings, tipB] : [tipA, shoulderA, ...rings, shoulderB, tipB];
}

/** Two directions across the tube at a ring, the first to the back, where the seam lies. */
function across(rings: readonly Knot[], row: number): [Point, Point] {
	const ring = (i: number) => (rings[Math.min(rings.length - 1, Math.max(0, i))] as Knot).at;
	const along = unit(minus(ring(row + 1), ring(row - 1)));
	// a level tube has its seam below
	const towards: Point = Math.abs(along[2]) > 0.8 ? [0, -1, 0] : [0, 0, -1];
	const share = towards[0] * along[0] + towards[1] * along[1] + towards[2] * along[2];
	const e1 = unit(minus(towards, [along[0] * share, along[1] * share, along[2] * share]));
	const e2: Point = [
		along[1] * e1[2] - along[2] * e1[1],
		along[2] * e1[0] - along[0] * e1[2],
		along[0] * e1[1] - along[1] * e1[0]
	];
	return [e1, e2];
}

const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
