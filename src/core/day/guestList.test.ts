import { describe, expect, it } from 'vitest';
import { guestsFromText } from './guestList';

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
