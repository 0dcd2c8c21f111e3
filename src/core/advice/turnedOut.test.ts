import { describe, expect, it } from 'vitest';
import type { Shot } from '../format/shot';
import { sampleDay } from '$data/sample/sampleDay';
import { LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { frameEdgesOf } from '../arrange/edges';
import { asItIs, turnedOut } from './turnedOut';
import { solve } from '$tests/support/solved';

const shots = sampleDay(0).shots.map(({ shot }) => [shot.title, shot] as const);
/** Two rows of three, 4 m and 5 m away. */
const rowsShot = () =>
	shotOf({
		people: [4, 5].flatMap((z, row) =>
			[-0.6, 0, 0.6].map((x) => person(`p${z}${x}`, [x, 1.5 + 0.3 * row, z], { row: row + 1 }))
		)
	});
/** By plain arithmetic: how far the middle of those who count is over the ground, and where it looks. */
function measured({ people, camera }: Shot) {
	const counted = people.filter(({ need }) => need !== 'free').map((one) => one.eyeMidpoint);
	const middle = (of: 'x' | 'z') => counted.reduce((sum, at) => sum + at[of], 0) / counted.length;
	const [dx, dz] = [middle('x') - camera.position.x, middle('z') - camera.position.z];
	const pan = (camera.panDeg * Math.PI) / 180;
	return { distanceM: Math.hypot(dx, dz), axis: { x: Math.sin(pan), z: Math.cos(pan) } };
}
const needed = (shot: Parameters<typeof solve>[0]) => solve(shot).plan.fNumberExact ?? Infinity;

describe('it turned out different', () => {
	it.each(shots)('nothing said, nothing changed: %s', (_, shot) => {
		expect(turnedOut(shot, {})).toEqual(shot);
	});

	it.each(shots)('what is said of the distance and the light is so afterwards: %s', (_, shot) => {
		const away = turnedOut(shot, { distanceM: measured(shot).distanceM * 1.3 });
		expect(measured(away).distanceM).toBeCloseTo(measured(shot).distanceM * 1.3, 6);
		const lit = turnedOut(shot, { ev100: 6 }).light;
		expect(lit).toEqual(shot.light?.mode === 'flash' ? shot.light : { mode: 'ambient', ev100: 6 });
	});

	it.each(shots.filter(([, shot]) => asItIs(shot).rows > 1))(
		'a group is as deep as is said, about the same middle: %s',
		(_, shot) => {
			const { depthM } = asItIs(shot);
			const deep = turnedOut(shot, { depthM: depthM * 1.5 });
			// along the axis of the camera, by hand
			const { x, z } = measured(shot).axis;
			const along = (one: Shot) => one.people.map((p) => p.eyeMidpoint.x * x + p.eyeMidpoint.z * z);
			const spread = (all: number[]) => Math.max(...all) - Math.min(...all);
			expect(spread(along(deep)) - spread(along(shot))).toBeGreaterThan(0.4 * depthM);
			expect(asItIs(deep).depthM).toBeCloseTo(depthM * 1.5, 2);
			expect(measured(deep).distanceM).toBeCloseTo(measured(shot).distanceM, 6);
		}
	);

	it('the depth of two rows is that between them: 1.5 m instead of 1 m', () => {
		const zs = turnedOut(rowsShot(), { depthM: 1.5 }).people.map((one) => one.eyeMidpoint.z);
		expect(zs.map((z) => +z.toFixed(3))).toEqual([3.75, 3.75, 3.75, 5.25, 5.25, 5.25]);
	});

	it.each([1, 2, 3, 4])('a group stands in %d rows, nobody lost', (rows) => {
		const shot = rowsShot();
		const other = turnedOut(shot, { rows });
		const zs = new Set(other.people.map((one) => one.eyeMidpoint.z.toFixed(3)));
		expect(zs.size).toBe(rows);
		expect(other.people.map(({ id }) => id)).toEqual(shot.people.map(({ id }) => id));
		// from as far, unless that would cut somebody
		const isFull = rows === 1;
		const farther = measured(other).distanceM - measured(shot).distanceM;
		if (isFull) expect(farther).toBeGreaterThan(0.1);
		else expect(farther).toBeCloseTo(0, 6);
		expect(frameEdgesOf(other)?.cutIds).toEqual([]);
	});

	it('more people come, each with a place of their own, and the frame takes them in', () => {
		const shot = rowsShot();
		const more = turnedOut(shot, { people: 9, rows: 3 });
		expect(asItIs(more)).toMatchObject({ people: 9, rows: 3 });
		const places = new Set(
			more.people.map(({ eyeMidpoint: { x, z } }) => `${x.toFixed(2)} ${z.toFixed(2)}`)
		);
		expect(places.size).toBe(9);
		expect(frameEdgesOf(more)?.cutIds).toEqual([]);
		expect(needed(more)).toBeGreaterThan(needed(shot));
	});

	it('of fewer those without a name leave first', () => {
		const shot = turnedOut(rowsShot(), { people: 8 });
		const names = (one: Shot) => one.people.map(({ name }) => name);
		const named = names(rowsShot());
		expect(names(turnedOut(shot, { people: 6 }))).toEqual(named);
		expect(names(turnedOut(shot, { people: 5 }))).toEqual(named.slice(0, 5));
	});

	it('a flash farther away, or at less power, asks for more light or ISO by the square law', () => {
		const elder = sampleDay(0).shots.find(({ shot }) => shot.light?.mode === 'flash')?.shot;
		if (elder?.light?.mode !== 'flash') throw new Error('no flash');
		const power = (one: Shot) => solve(one).plan.exposure?.flashPower ?? NaN;
		const twice = turnedOut(elder, { flashDistanceM: elder.light.distanceM * 2 });
		expect(power(twice) / power(elder)).toBeCloseTo(4, 1);
		const quicker = turnedOut(elder, { iso: 400 });
		expect(solve(quicker).plan.exposure?.iso).toBe(400);
		expect(power(elder) / power(quicker)).toBeCloseTo(4, 1);
	});

	it('there are no more rows than people', () => {
		const shot = rowsShot();
		expect(asItIs(turnedOut(shot, { rows: 99 })).rows).toBe(6);
	});

	// depth of field: the trade's first rule; common practice, no source
	it('a deeper group and a nearer camera need a smaller opening', () => {
		const shot = rowsShot();
		const { depthM, distanceM } = asItIs(shot);
		expect(needed(turnedOut(shot, { depthM: depthM * 1.5 }))).toBeGreaterThan(needed(shot));
		expect(needed(turnedOut(shot, { distanceM: distanceM * 0.7 }))).toBeGreaterThan(needed(shot));
		expect(needed(turnedOut(shot, { depthM: depthM / 3 }))).toBeLessThan(needed(shot));
	});

	it('another lens is used as near to the focal length as it goes, its f-number free', () => {
		const shot = { ...rowsShot(), choices: { ...rowsShot().choices, fNumberExact: 8 } };
		const long = turnedOut(shot, { lens: LENSES.portrait85 });
		expect([long.lens.name, long.camera.focalMm]).toEqual([LENSES.portrait85.name, 85]);
		expect(long.choices.fNumberExact).toBeUndefined();
		expect(long.camera.position).toEqual(shot.camera.position);
	});
});
