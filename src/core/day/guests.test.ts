import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { addPerson, addRows } from '../arrange/arrange';
import { frameEdgesOf } from '../arrange/edges';
import { frameByPlace, type Framing } from '../arrange/framing';
import { heldDownTo } from '../arrange/held';
import type { Shot } from '../format/shot';
import { readShot } from '../format/shotFile';
import { ahead, shotOf } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { called, inNoShot, newGuest, renamed, standsIn, withGuest, withoutGuest } from './guests';

describe('placing the people of the day', () => {
	const guest = { ...newGuest('Noor'), eyeHeightM: 1.7 };
	const WAIST_UP: Framing = { part: 'waist-up', personIds: [], margin: 0.05 };
	const isIn = (shot: Shot, name: string) =>
		!frameEdgesOf(shot)?.cutIds.includes(shot.people.find((one) => one.name === name)?.id ?? '');

	it('puts the first where the framing has them', () => {
		const one = withGuest(shotOf(), guest, WAIST_UP);
		const [first] = one.people;
		expect(first && heldDownTo(one, first)).toMatch(/waist|hips/);
		const near = withGuest(shotOf(), guest, { ...WAIST_UP, part: 'face' });
		expect(first?.eyeMidpoint.z).toBeGreaterThan(near.people[0]?.eyeMidpoint.z ?? Infinity);
		// the camera stays where it is
		expect(one.camera.position).toEqual(shotOf().camera.position);
	});

	it('fills a place without a name, the same build first, at its height', () => {
		const steps = { counts: [1, 2], rowGapM: 0.8, stepM: 0.3, spacingM: 0.6 };
		const rows = addPerson(addRows(shotOf(), steps, 4), 'child', 3);
		const next = withGuest(rows, newGuest('Teo', 'child'), WAIST_UP);
		expect(next.people.map(({ name }) => name)).toEqual([
			'Person 1',
			'Person 2',
			'Person 3',
			'Teo'
		]);
		const two = [guest, newGuest('Radu')].reduce((all, one) => withGuest(all, one, WAIST_UP), next);
		expect(two.people.map(({ name }) => name)).toEqual(['Noor', 'Radu', 'Person 3', 'Teo']);
		// on the step, 0.3 m up
		expect(two.people[1]?.eyeMidpoint.y).toBeCloseTo(1.9, 9);
		expect(two.camera).toEqual(rows.camera);
		// nobody takes the place of an animal
		const pets = addPerson(shotOf(), 'dog', 3);
		expect(withGuest(pets, guest, WAIST_UP).people).toHaveLength(2);
	});

	it('joins the shortest row, a child the front row, and the frame follows whoever it would cut', () => {
		const steps = { counts: [3, 2], rowGapM: 0.8, stepM: 0.3, spacingM: 0.6 };
		const wide = addRows(shotOf(), steps, 8);
		const rows = {
			...wide,
			people: wide.people.map((one) => ({ ...one, name: `Guest ${one.id}` }))
		};
		const more = withGuest(rows, guest, WAIST_UP);
		expect(more.people.at(-1)).toMatchObject({ name: 'Noor', row: 2 });
		expect(more.camera).toEqual(rows.camera);
		expect(withGuest(rows, newGuest('Teo', 'child'), WAIST_UP).people.at(-1)?.row).toBe(1);
		// a frame that is full already
		const full = frameByPlace(rows, { part: 'face', personIds: [], margin: 0 });
		if (!full.ok) throw new Error('cannot be framed');
		const cut = withGuest({ ...rows, camera: full.camera }, guest, WAIST_UP);
		expect(isIn(cut, 'Noor')).toBe(true);
		expect(cut.camera.position.z).toBeLessThan(full.camera.position.z);
		expect(readShot(cut).ok).toBe(true);
	});

	it('puts the first one into the picture, the next ones beside, each once', () => {
		const one = withGuest(shotOf(), guest, WAIST_UP);
		expect(solve(one).plan.unseen).toEqual([]);
		expect(one.people[0]?.eyeMidpoint.y).toBe(1.7);
		const two = withGuest(one, { ...guest, name: 'Radu' }, WAIST_UP);
		const [a, b] = two.people;
		expect(Math.abs((b?.eyeMidpoint.x ?? 0) - (a?.eyeMidpoint.x ?? 0))).toBeCloseTo(0.6, 3);
		expect(withGuest(two, guest, WAIST_UP)).toBe(two);
		expect(readShot(two).ok).toBe(true);
	});

	it('takes somebody out, and the focus with them', () => {
		const shot = shotOf({
			people: [ahead('a', 3), ahead('b', 4)],
			choices: { focus: { personId: 'b' } }
		});
		const less = withoutGuest(shot, 'b');
		expect(less.people.map(({ id }) => id)).toEqual(['a']);
		expect(less.choices.focus).toBeUndefined();
		expect(readShot(less).ok).toBe(true);
		expect(withoutGuest(shot, 'a').choices.focus).toEqual({ personId: 'b' });
	});

	it('names a row from left to right; whoever is on the list brings build and height', () => {
		const steps = { counts: [3], rowGapM: 0.8, stepM: 0, spacingM: 0.6 };
		const shot = addRows(shotOf(), steps, 4);
		const ids = shot.people.map(({ id }) => id);
		const teo = { ...newGuest('Teo', 'child'), id: 't', eyeHeightM: 1.05 };
		const named = called(shot, ids, 1, ['teo', ' Noor ', 'nobody left'], [teo]);
		expect(named.people.map(({ name, build }) => [name, build])).toEqual([
			['Person 1', 'adult'],
			['Teo', 'child'],
			['Noor', 'adult']
		]);
		expect(named.people[1]?.eyeMidpoint.y).toBeCloseTo(1.05, 9);
		expect(called(shot, ids, 0, ['', ' '], [])).toBe(shot);
	});

	it('calls somebody otherwise in a shot', () => {
		expect(standsIn('Nour', renamed(shotOf({ people: [ahead('Noor', 3)] }), 'Noor', 'Nour'))).toBe(
			true
		);
	});

	it('says who of the sample day has not been in any shot', () => {
		const { job, shots } = sampleDay(0);
		const missing = inNoShot(
			job.people,
			shots.map(({ shot }) => shot)
		);
		expect(missing.map(({ name }) => name)).toEqual(['Wojtek', 'Solveig']);
	});
});
