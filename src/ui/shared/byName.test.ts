import { describe, expect, it } from 'vitest';
import { byName, indexByName } from './byName';

describe('choosing by name', () => {
	const twins = [
		{ name: '50 mm', widest: 1.8 },
		{ name: '85 mm', widest: 1.4 },
		{ name: '50 mm', widest: 1.4 }
	];

	it('tells two of one name apart', () => {
		expect(byName(twins).map(({ text }) => text)).toEqual(['50 mm', '85 mm', '50 mm (2)']);
		expect(new Set(byName(twins).map(({ value }) => value)).size).toBe(3);
	});

	it('finds the very one, else one of its name, else none', () => {
		expect(indexByName(twins, { ...twins[2] } as (typeof twins)[number])).toBe('2');
		expect(indexByName(twins, { name: '50 mm' })).toBe('0');
		expect(indexByName(twins, { name: '35 mm' })).toBe('');
		expect(indexByName(twins, null)).toBe('');
	});
});
