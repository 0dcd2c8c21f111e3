import { describe, expect, it } from 'vitest';
import { count, distance, fromUnits, smallLength, stopsInWords, toUnits } from './numbers';
import { namesOf, splitNames } from './names';

describe('numbers as a photographer reads them', () => {
	it.each([
		[6.096, 'm', '6.10 m'],
		[6.096, 'ft', '20.0 ft'],
		[42, 'm', '42.0 m'],
		[42, 'ft', '138 ft'],
		[Infinity, 'm', 'infinity']
	] as const)('distance %d in %s: %s', (metres, units, text) => {
		expect(distance(metres, units)).toBe(text);
	});

	it.each([
		[0.004, 'm', '4 mm'],
		[0.06, 'm', '6 cm'],
		[-0.06, 'm', '6 cm'],
		[1.23, 'm', '1.2 m'],
		[0.0635, 'ft', '2.5 in'],
		[0.2, 'ft', '8 in'],
		[0.9, 'ft', '3.0 ft']
	] as const)('small length %d in %s: %s', (metres, units, text) => {
		expect(smallLength(metres, units)).toBe(text);
	});

	it.each([
		[1 / 3, 'a third of a stop'],
		[2 / 3, 'two thirds of a stop'],
		[1, '1 stop'],
		[2.5, '2.5 stops'],
		[3.02, '3 stops']
	])('%d stops: %s', (stops, text) => {
		expect(stopsInWords(stops)).toBe(text);
	});

	it('counts in words up to twenty', () => {
		expect([count(0), count(12), count(20), count(21)]).toEqual(['no', 'twelve', 'twenty', '21']);
	});

	it('names a few and counts the rest', () => {
		expect(namesOf([])).toBe('');
		expect(namesOf(['Radu', 'Noor'])).toBe('Radu and Noor');
		expect(namesOf(['Radu', 'Noor', 'Emre'])).toBe('Radu, Noor and Emre');
		expect(namesOf(['Radu', 'Noor', 'Emre', 'Aino'])).toBe('Radu, Noor and 2 more');
	});

	it('turns metres to feet and back without loss', () => {
		expect(fromUnits(toUnits(3.7, 'ft'), 'ft')).toBeCloseTo(3.7, 12);
		expect(toUnits(0.3048, 'ft')).toBe(1);
	});

	it('sets names apart from the sentence they stand in', () => {
		const parts = (text: string, names: string[]) =>
			splitNames(text, names).map((part) => (part.isName ? `<${part.text}>` : part.text));
		expect(parts('נועה is hidden behind Ana Maria.', ['Ana', 'Ana Maria', 'נועה'])).toEqual([
			'<נועה>',
			' is hidden behind ',
			'<Ana Maria>',
			'.'
		]);
		expect(parts('All hold.', [])).toEqual(['All hold.']);
		expect(parts('All but Al hold.', ['Al'])).toEqual(['All but ', '<Al>', ' hold.']);
		expect(parts('A. (b) holds', ['(b)', 'A.', ''])).toEqual(['<A.>', ' ', '<(b)>', ' holds']);
	});
});
