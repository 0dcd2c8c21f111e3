import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sampleDay';
import { readShot } from '../format/shotFile';
import { ahead, shotOf } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import {
	guestsFromText,
	inNoShot,
	newGuest,
	renamed,
	standsIn,
	withGuest,
	withoutGuest
} from './guests';

describe('a pasted list', () => {
	it('is read one person a line, with what is said of them', () => {
		const text =
			'  Noor \r\n\r\nTeo, child, 1,1\tm\nBiscuit; dog\nHalina, glasses, 148 cm, sits, left';
		const guests = guestsFromText(text);
		expect(guests.map(({ name, build, glasses }) => [name, build, glasses])).toEqual([
			['Noor', 'adult', false],
			['Teo', 'child', false],
			['Biscuit', 'dog', false],
			['Halina', 'adult', true]
		]);
		expect(guests[3]).toMatchObject({ eyeHeightM: 1.48, note: 'sits, left' });
		expect(guests[1]?.note).toBe('1, 1, m');
	});

	it('takes any script, and what looks like code as a name', () => {
		const names = ['نور الهدى', '陈伟', 'Ñusta', '<b>x</b>', '=1+1', '__proto__'];
		expect(guestsFromText(names.join('\n')).map(({ name }) => name)).toEqual(names);
	});

	it('cuts what is too long, and passes over impossible heights', () => {
		const [guest] = guestsFromText(`${'x'.repeat(500)}, 9 m, ${'y'.repeat(900)}`);
		expect([guest?.name.length, guest?.note.length, guest?.eyeHeightM]).toEqual([80, 400, 1.6]);
	});
});

describe('placing the people of the day', () => {
	const guest = { ...newGuest('Noor'), eyeHeightM: 1.7 };

	it('puts the first one into the picture, the next ones beside, each once', () => {
		const one = withGuest(shotOf(), guest);
		expect(solve(one).plan.unseen).toEqual([]);
		expect(one.people[0]?.eyeMidpoint.y).toBe(1.7);
		const two = withGuest(one, { ...guest, name: 'Radu' });
		const [a, b] = two.people;
		expect((b?.eyeMidpoint.x ?? 0) - (a?.eyeMidpoint.x ?? 0)).toBeCloseTo(0.6, 9);
		expect(withGuest(two, guest)).toBe(two);
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
