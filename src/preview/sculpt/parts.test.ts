import { describe, expect, it } from 'vitest';
import { HEADS } from '$core/tables/heads';
import type { Clay } from './clay';
import { sculpt, type PartName } from './parts';

/** Where a line straight into the face first meets the surface, mm out of the face. */
function met({ positions, indices }: Clay, x: number, y: number): number {
	let most = -Infinity;
	const at = (i: number) => [0, 1, 2].map((k) => positions[3 * i + k] as number) as Three;
	for (let i = 0; i < indices.length; i += 3) {
		const [a, b, c] = [0, 1, 2].map((k) => at(indices[i + k] as number)) as [Three, Three, Three];
		const det = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
		if (Math.abs(det) < 1e-12) continue;
		const u = ((x - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (y - a[1])) / det;
		const v = ((b[0] - a[0]) * (y - a[1]) - (x - a[0]) * (b[1] - a[1])) / det;
		if (u < -1e-9 || v < -1e-9 || u + v > 1 + 1e-9) continue;
		most = Math.max(most, a[2] + u * (b[2] - a[2]) + v * (c[2] - a[2]));
	}
	return most;
}

type Three = [number, number, number];

describe('heads have their landmarks where the model has them', () => {
	const cases = [
		['head adult fine', 'eyes adult open fine', 'adult', 1],
		['head adult middle', 'eyes adult open fine', 'adult', 2],
		['cat head fine', null, 'cat', 2],
		['dog head fine', null, 'dog', 2]
	] as const satisfies readonly (readonly [
		PartName,
		PartName | null,
		keyof typeof HEADS,
		number
	])[];

	it.each(cases)('%s with %s', (name, eyesName, build, withinMm) => {
		const face = sculpt(name);
		const clay = eyesName ? sculpt(eyesName) : face;
		const { 'left-eye': eye, 'nose-tip': noseTip, chin } = HEADS[build];
		// the cornea itself is a vertex of the ball
		const hasCornea = (side: number) =>
			clay.positions.some(
				(x, i) =>
					i % 3 === 0 &&
					Math.abs(x - side * eye[0]) < 1e-6 &&
					Math.abs((clay.positions[i + 1] ?? NaN) - eye[1]) < 1e-6 &&
					Math.abs((clay.positions[i + 2] ?? NaN) - eye[2]) < 1e-6
			);
		expect(hasCornea(1) && hasCornea(-1)).toBe(true);
		expect(met(clay, eye[0], eye[1])).toBeCloseTo(eye[2], 3);
		expect(Math.abs(met(face, noseTip[0], noseTip[1]) - noseTip[2])).toBeLessThan(withinMm);
		if (build === 'adult') {
			expect(Math.abs(met(face, chin[0], chin[1] + 1) - chin[2])).toBeLessThan(3);
			const { hairline } = HEADS.adult;
			expect(Math.abs(met(face, hairline[0], hairline[1]) - hairline[2])).toBeLessThan(withinMm);
		}
	});

	it('a shut lid lies before the pupil, which stays where it was', () => {
		const { 'left-eye': eye } = HEADS.adult;
		const [open, shut] = [sculpt('eyes adult open fine'), sculpt('eyes adult shut fine')];
		expect(met(open, eye[0], eye[1])).toBeCloseTo(eye[2], 3);
		expect(met(shut, eye[0], eye[1])).toBeGreaterThan(eye[2] + 0.5);
		const hasPupil = ({ positions }: Clay) =>
			positions.some((x, i) => i % 3 === 2 && Math.abs(x - eye[2]) < 1e-6);
		expect(hasPupil(shut)).toBe(true);
	});
});

describe('every part', () => {
	const names: PartName[] = [
		'head child fine',
		'head adult near',
		'head adult coarse',
		'eyes adult open near',
		'eyes child open middle',
		'eyes adult shut fine',
		'hair curls middle',
		'hair bun near',
		'hair long coarse',
		'glasses fine',
		'body jacket standing 1600 fine',
		'body coat sitting 1200 middle',
		'body shirt standing 1500 near',
		'body shirt carried 0 coarse',
		'dog head near',
		'cat body middle',
		'object trumpet 0.06',
		'object bouquet 0.05',
		'object parcel 0.1',
		'block'
	];
	it.each(names)(
		'%s is made of finite vertices, whole triangles, and normals that point as the triangles do',
		(name) => {
			const { positions, normals, matters, finish, indices } = sculpt(name);
			const count = positions.length / 3;
			expect(indices.length).toBeGreaterThan(0);
			expect(indices.length % 3).toBe(0);
			expect(indices.every((i) => Number.isInteger(i) && i >= 0 && i < count)).toBe(true);
			expect([...positions, ...normals, ...matters, ...finish].every(Number.isFinite)).toBe(true);
			const corner = (list: ArrayLike<number>, i: number) =>
				[0, 1, 2].map((axis) => list[3 * (indices[i] ?? NaN) + axis] ?? NaN) as Three;
			const minus = (a: Three, b: Three) => a.map((x, axis) => x - (b[axis] ?? NaN)) as Three;
			const cross = ([ax, ay, az]: Three, [bx, by, bz]: Three): Three => [
				ay * bz - az * by,
				az * bx - ax * bz,
				ax * by - ay * bx
			];
			const dot = (a: Three, b: Three) => a.reduce((sum, x, axis) => sum + x * (b[axis] ?? NaN), 0);
			let [along, against] = [0, 0];
			for (let i = 0; i < indices.length; i += 3) {
				const [a, b, c] = [0, 1, 2].map((k) => corner(positions, i + k)) as [Three, Three, Three];
				const face = cross(minus(b, a), minus(c, a));
				const agreement = dot(face, corner(normals, i));
				if (agreement > 0) along += Math.hypot(...face);
				else against += Math.hypot(...face);
			}
			// light falls on the side that is seen: all but the creases agree; thin sheets have two sides
			const isThin = name.startsWith('glasses') || name.startsWith('object');
			expect(along / (along + against)).toBeGreaterThan(isThin ? 0.6 : 0.92);
		}
	);

	it('finer parts have more triangles', () => {
		const size = (name: PartName) => sculpt(name).indices.length;
		expect(size('head adult fine')).toBeGreaterThan(2 * size('head adult near'));
		expect(size('head adult near')).toBeGreaterThan(1.5 * size('head adult middle'));
		expect(size('head adult middle')).toBeGreaterThan(2 * size('head adult coarse'));
		expect(size('head adult coarse')).toBeLessThan(3 * 1100);
	});
});
