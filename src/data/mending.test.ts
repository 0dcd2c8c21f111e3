import { describe, expect, it } from 'vitest';
import { valueAt, withValueAt } from './mending';

const record = { id: 'a', shot: { title: 12, people: [{ name: 'Ana' }, { name: 7 }] } };

describe('a record that is refused', () => {
	it.each([
		['shot.title', 12],
		['shot.people.1.name', 7],
		['shot.people.5.name', undefined],
		['shot.title.length', undefined],
		['shot.constructor', undefined]
	])('is looked at: %s', (path, value) => {
		expect(valueAt(record, path)).toBe(value);
	});

	it('is changed at one place, and the rest of it stays', () => {
		const mended = withValueAt(record, 'shot.people.1.name', 'Leo');
		expect(mended).toEqual({
			id: 'a',
			shot: { title: 12, people: [{ name: 'Ana' }, { name: 'Leo' }] }
		});
		expect(record.shot.people[1]?.name).toBe(7);
	});

	it('gets what is missing, and loses what is left out', () => {
		expect(withValueAt({ id: 'a' }, 'slot.minutes', 10)).toEqual({
			id: 'a',
			slot: { minutes: 10 }
		});
		expect(withValueAt(record, 'shot.people.0', undefined)).toEqual({
			id: 'a',
			shot: { title: 12, people: [{ name: 7 }] }
		});
		expect(withValueAt({ id: 'a', odd: 1 }, 'odd', undefined)).toEqual({ id: 'a' });
	});
});
