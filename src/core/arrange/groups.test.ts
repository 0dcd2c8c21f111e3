import { describe, expect, it } from 'vitest';
import { ahead, EYE_M, person, shotOf } from '$tests/support/shots';
import type { Person } from '../format/shot';
import { addCouple, addPerson, addRows, addThing, addWalker } from './arrange';
import { rowsOf, whereStands, type Standing } from './rows';
import { rowName, whereWords } from '$words/rows';
import { reshape, shapeOf } from './rowShape';

const standing = (personId: string, depthM: number, x: number, row?: number): Standing => ({
	personId,
	depthM,
	x,
	row
});
const ids = (people: readonly Standing[]) =>
	rowsOf(people).map(({ members }) => members.map(({ personId }) => personId).join(' '));

describe('rows', () => {
	it('go by what was given, nearest first, whatever the number', () => {
		const people = [standing('a', 7, 0.2, 1), standing('b', 6, 0.5, 2), standing('c', 7.1, 0.1, 1)];
		expect(ids(people)).toEqual(['b', 'c a']);
	});

	it('split where the depth jumps by more than 0.35 m, unless everybody has one', () => {
		const people = [standing('a', 6, 0.4), standing('b', 6.34, 0.3, 1), standing('c', 6.7, 0.2)];
		expect(ids(people)).toEqual(['b a', 'c']);
	});

	it.each([
		[0, 1, ''],
		[0, 2, 'front row'],
		[1, 2, 'back row'],
		[1, 3, 'middle row'],
		[1, 4, 'second row'],
		[2, 4, 'third row'],
		[3, 4, 'back row']
	])('row %d of %d is called "%s"', (index, count, name) => {
		expect(rowName(index, count)).toBe(name);
	});

	it('say where somebody stands without a name', () => {
		const row = (n: number, depthM: number, row: number) =>
			Array.from({ length: n }, (_, i) => standing(`${row}.${i}`, depthM, i / 10, row));
		const rows = rowsOf([...row(5, 6, 1), ...row(6, 7, 2), ...row(2, 8, 3)]);
		expect(whereWords(whereStands(rows, '2.2'))).toBe('middle row, third from left');
		expect(whereWords(whereStands(rows, '2.4'))).toBe('middle row, second from right');
		expect(whereWords(whereStands(rows, '1.2'))).toBe('front row, third from left');
		expect(whereWords(whereStands(rows, '3.1'))).toBe('back row, on the right');
		expect(whereWords(whereStands(rowsOf([standing('only', 3, 0.5)]), 'only'))).toBe('');
		expect(whereWords(whereStands(rows, 'nobody'))).toBe('');
	});
});

describe('placing people', () => {
	const empty = () => shotOf({ people: [] });
	const places = (people: readonly Person[]) =>
		people.map(({ eyeMidpoint: { x, y, z } }) => [x, y, z].map((n) => Math.round(n * 100) / 100));

	it('rows on steps stand behind and above each other, centred ahead', () => {
		const steps = { counts: [2, 3], rowGapM: 0.8, stepM: 0.3, spacingM: 0.6 };
		const { people } = addRows(empty(), steps, 5);
		expect(places(people)).toEqual([
			[-0.3, 1.6, 5],
			[0.3, 1.6, 5],
			[-0.6, 1.9, 5.8],
			[0, 1.9, 5.8],
			[0.6, 1.9, 5.8]
		]);
		expect(people.map(({ row }) => row)).toEqual([1, 1, 2, 2, 2]);
	});

	it('stand across the picture of a panned camera', () => {
		const shot = shotOf({ people: [], camera: { panDeg: 90 } });
		const { people } = addRows(shot, { counts: [2], rowGapM: 0, stepM: 0, spacingM: 1 }, 4);
		expect(places(people)).toEqual([
			[4, 1.6, 0.5],
			[4, 1.6, -0.5]
		]);
	});

	it('come with ids nobody has, and a row only where everybody has one', () => {
		const shot = shotOf({ people: [ahead('person-7', 3)] });
		const next = addPerson(shot, 'child', 4).people[1];
		expect(next).toMatchObject({ id: 'person-8', name: 'Child 8', build: 'child' });
		expect(next?.row).toBeUndefined();
		const rows = addRows(shot, { counts: [1], rowGapM: 0, stepM: 0, spacingM: 1 }, 4);
		expect(rows.people[1]?.row).toBeUndefined();
	});

	it('a couple stands close, each turned to the other; a walker walks', () => {
		const { people } = addCouple(empty(), 3);
		expect(people.map(({ turnDeg }) => turnDeg)).toEqual([20, -20]);
		expect(addWalker(empty(), 3).people[0]?.motion).toBe('walking');
	});

	it('keeps the near eye and a third of a stop for one, both eyes and a whole stop for many', () => {
		const one = addPerson(empty(), 'adult', 3);
		expect(one.people[0]?.keep).toBe('near-eye');
		expect(one.choices.safetyStops).toBeCloseTo(1 / 3, 12);
		const three = addCouple(one, 3);
		expect(three.people.map(({ keep }) => keep)).toEqual(['both-eyes', 'both-eyes', 'both-eyes']);
		expect(three.choices.safetyStops).toBe(1);
	});

	it('leaves a margin alone that the user chose', () => {
		const shot = shotOf({ people: [ahead('a', 3)], choices: { safetyStops: 0.5 } });
		expect(addCouple(shot, 3).choices.safetyStops).toBe(0.5);
	});

	it('adds things at a height of their own', () => {
		const sketch = {
			label: 'lanterns',
			widthM: 3,
			heightM: 0.3,
			detailMm: 40,
			intent: 'any' as const,
			look: 'lights' as const,
			upM: 2.4
		};
		const { things } = addThing(addThing(empty(), sketch, 9), sketch, 11);
		expect(things.map(({ id }) => id)).toEqual(['thing-1', 'thing-2']);
		expect(things[0]?.position).toEqual({ x: 0, y: 2.4, z: 9 });
		expect(things[0]).not.toHaveProperty('upM');
	});
});

describe('a row as one thing', () => {
	const row = (places: readonly (readonly [x: number, z: number])[]) =>
		shotOf({ people: places.map(([x, z], i) => person(`p${i}`, [x, EYE_M, z])) }).people;
	const straight = row([-2, -1, 0, 1, 2].map((x) => [x, 6] as const));

	it('tells spacing and bend', () => {
		expect(shapeOf(straight)).toEqual({ spacingM: 1, bendM: expect.closeTo(0, 12) });
		const bent = row([
			[-2, 5.6],
			[-1, 5.9],
			[0, 6],
			[1, 5.9],
			[2, 5.6]
		]);
		expect(shapeOf(bent)?.bendM).toBeCloseTo(0.4, 9);
		expect(shapeOf(straight.slice(0, 1))).toBeNull();
	});

	it.each([
		[0.5, 0],
		[1, 0.3],
		[0.7, -0.2]
	])('takes a spacing of %d m and a bend of %d m, its middle staying', (spacingM, bendM) => {
		const again = reshape(straight, { spacingM, bendM });
		const shape = shapeOf(again);
		expect(shape?.spacingM).toBeCloseTo(spacingM, 9);
		expect(shape?.bendM).toBeCloseTo(bendM, 9);
		const mean = (axis: 'x' | 'z') =>
			again.reduce((sum, { eyeMidpoint }) => sum + eyeMidpoint[axis], 0) / again.length;
		expect(mean('x')).toBeCloseTo(0, 9);
		expect(mean('z')).toBeCloseTo(6, 9);
	});

	it('keeps what makes a row uneven', () => {
		const uneven = row([
			[-2, 6],
			[-1, 6.2],
			[0, 6],
			[1.2, 6],
			[2, 6]
		]);
		const again = reshape(uneven, { spacingM: 1, bendM: shapeOf(uneven)?.bendM ?? 0 });
		again.forEach(({ eyeMidpoint }, i) => {
			expect(eyeMidpoint.x).toBeCloseTo(uneven[i]?.eyeMidpoint.x ?? 0, 9);
			expect(eyeMidpoint.z).toBeCloseTo(uneven[i]?.eyeMidpoint.z ?? 0, 9);
		});
	});
});
