import { describe, expect, it } from 'vitest';
import { eyesOfStatureM, heightM, statureOfEyesM } from './heights';
import { readPasted, type Pasted } from './pastedList';

const people = (text: string, of: 'body' | 'eyes' = 'eyes') =>
	readPasted(text, of).flatMap((one) => (one.kind === 'person' ? one.guest : []));
const shots = (text: string) =>
	readPasted(text, 'eyes').filter(
		(one): one is Extract<Pasted, { kind: 'shot' }> => one.kind === 'shot'
	);

describe('a height', () => {
	it.each([
		['150 cm', 1.5],
		['1.5 m', 1.5],
		['1,5 m', 1.5],
		['1.5m', 1.5],
		['1 m 10', 1.1],
		['1m5', 1.5],
		// one foot is 0.3048 m exactly: international yard and pound agreement, 1959
		['4 ft 2 in', 50 * 0.0254],
		[`4'2"`, 50 * 0.0254],
		['4’ 2”', 50 * 0.0254],
		['4′2″', 50 * 0.0254],
		[`4'`, 48 * 0.0254],
		['5.2 ft', 5.2 * 0.3048],
		['5 feet 6 inches', 66 * 0.0254]
	])('“%s” is %d m', (text, metres) => {
		expect(heightM(text)).toBeCloseTo(metres, 9);
	});

	it.each(['tall', '12', '', 'm', '4 to 5 m', '1.5 km', '3 cousins'])('“%s” is none', (text) => {
		expect(heightM(text)).toBeNull();
	});

	it('of the whole body is some ten centimetres above the eyes', () => {
		// Drillis and Contini, 1966 (from memory): eyes at 0.936 of the height
		expect(eyesOfStatureM(1.71)).toBeCloseTo(1.6, 2);
		expect(statureOfEyesM(eyesOfStatureM(1.23))).toBeCloseTo(1.23, 12);
	});
});

describe('a pasted list', () => {
	it('is read one person a line, with what is said of them', () => {
		const text =
			'  Noor \r\n\r\nTeo, child, 1,1 m\nBiscuit; dog\nHalina\tglasses\t148 cm\tsits, left';
		const guests = people(text);
		expect(guests.map(({ name, build, glasses }) => [name, build, glasses])).toEqual([
			['Noor', 'adult', false],
			['Teo', 'child', false],
			['Biscuit', 'dog', false],
			['Halina', 'adult', true]
		]);
		expect(guests[1]).toMatchObject({ eyeHeightM: 1.1, note: '' });
		expect(guests[3]).toMatchObject({ eyeHeightM: 1.48, note: 'sits, left' });
	});

	it('heights are of the eyes or of the whole body; of animals always of the eyes', () => {
		expect(people(`Teo, child, 4'2"`, 'body')[0]?.eyeHeightM).toBeCloseTo(0.936 * 1.27, 9);
		expect(people(`Teo, child, 4'2"`, 'eyes')[0]?.eyeHeightM).toBeCloseTo(1.27, 9);
		expect(people('Biscuit, dog, 40 cm', 'body')[0]?.eyeHeightM).toBeCloseTo(0.4, 9);
	});

	it.each(['- ', '• ', '* ', '1. ', '12) ', '(3) ', '[ ] ', '[x] ', '☐ ', '– ', '7\t', '  ✓ '])(
		'passes over “%s” in front',
		(mark) => {
			expect(people(`${mark}Noor`).map(({ name }) => name)).toEqual(['Noor']);
		}
	);

	it('takes any script, and what looks like code as a name', () => {
		const names = ['نور الهدى', '陈伟', 'Ñusta', '<b>x</b>', '=1', '__proto__', '3 cousins'];
		expect(people(names.join('\n')).map(({ name }) => name)).toEqual(names);
	});

	it('cuts what is too long, and passes over impossible heights', () => {
		const [guest] = people(`${'x'.repeat(500)}, 9 m, ${'y'.repeat(900)}`);
		expect([guest?.name.length, guest?.note.length, guest?.eyeHeightM]).toEqual([80, 400, 1.6]);
	});
});

describe('a shot in a pasted list', () => {
	it.each([
		['14:30 Family on the steps: Noor, Teo and Halina', '14:30', null],
		['2:30 pm Family on the steps – Noor; Teo; Halina', '14:30', null],
		['3. 14.30 - Family on the steps\tNoor, Teo, Halina', '14:30', null],
		['• 14h30–14:50  Family on the steps: Noor & Teo + Halina', '14:30', 20],
		['2:30-2:50 pm, Family on the steps: Noor, Teo, Halina', '14:30', 20],
		['14:30 to 15:15\tFamily on the steps\tNoor, Teo, Halina', '14:30', 45]
	])('“%s”', (line, time, minutes) => {
		expect(shots(line)).toEqual([
			expect.objectContaining({
				time,
				minutes,
				title: 'Family on the steps',
				names: ['Noor', 'Teo', 'Halina']
			})
		]);
	});

	it.each([
		['12 am', '00:00'],
		['12 pm', '12:00'],
		['9 a.m.', '09:00'],
		['23:59', '23:59']
	])('%s is %s', (said, time) => {
		expect(shots(`${said} Dance`)[0]).toMatchObject({ time, title: 'Dance', names: [] });
	});

	it('a number that is no time leaves a person', () => {
		for (const line of ['25:00 Dance', '14:75 Dance', '13 pm Dance', '8 bridesmaids', '14:30']) {
			expect(shots(line)).toEqual([]);
		}
	});
});
