import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sampleDay';
import { LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { asItIs, mostRows, turnedOut } from './turnedOut';
import { solve } from '$tests/support/solved';

const shots = sampleDay(0).shots.map(({ shot }) => [shot.title, shot] as const);
/** Two rows of three, 4 m and 5 m away. */
const rowsShot = () =>
	shotOf({
		people: [4, 5].flatMap((z, row) =>
			[-0.6, 0, 0.6].map((x) => person(`p${z}${x}`, [x, 1.5 + 0.3 * row, z], { row: row + 1 }))
		)
	});
const needed = (shot: Parameters<typeof solve>[0]) => solve(shot).plan.fNumberExact ?? Infinity;

describe('it turned out different', () => {
	it.each(shots)('nothing said, nothing changed: %s', (_, shot) => {
		expect(turnedOut(shot, {})).toEqual(shot);
	});

	it.each(shots)('what is said of a shot is so afterwards: %s', (_, shot) => {
		const now = asItIs(shot);
		const away = turnedOut(shot, { distanceM: now.distanceM * 1.3 });
		expect(asItIs(away).distanceM).toBeCloseTo(now.distanceM * 1.3, 6);
		const lit = turnedOut(shot, { ev100: 6 });
		expect(asItIs(lit).ev100).toBe(shot.light?.mode === 'flash' ? null : 6);
		if (now.rows < 2) return;
		const deep = turnedOut(shot, { depthM: now.depthM * 1.5 });
		expect(asItIs(deep).depthM).toBeCloseTo(now.depthM * 1.5, 2);
		expect(asItIs(deep).distanceM).toBeCloseTo(now.distanceM, 6);
	});

	it.each([1, 2, 3, 4])('a group stands in %d rows, nobody lost', (rows) => {
		const shot = rowsShot();
		const other = turnedOut(shot, { rows });
		expect(asItIs(other).rows).toBe(rows);
		expect(other.people.map(({ id }) => id)).toEqual(shot.people.map(({ id }) => id));
		expect(asItIs(other).distanceM).toBeCloseTo(asItIs(shot).distanceM, 6);
	});

	it('there are no more rows than people', () => {
		const shot = rowsShot();
		expect(asItIs(turnedOut(shot, { rows: 99 })).rows).toBe(mostRows(shot));
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
