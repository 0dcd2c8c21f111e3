import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { merged } from './merge';

const guest = (id: string, name = id) => ({ id, name });

describe('two changes of one record', () => {
	it.each([
		['different parts', { a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }, { a: 2, b: 3 }],
		['the same change', { a: 1 }, { a: 2 }, { a: 2 }, { a: 2 }],
		[
			'parts of a part',
			{ x: { a: 1, b: 1 } },
			{ x: { a: 2, b: 1 } },
			{ x: { a: 1, b: 2 } },
			{ x: { a: 2, b: 2 } }
		],
		[
			'one takes a part out',
			{ a: 1, b: 1 } as object,
			{ a: 1 },
			{ a: 1, b: 1, c: 1 },
			{ a: 1, c: 1 }
		],
		[
			'both add to a list',
			[guest('a')],
			[guest('a'), guest('mine')],
			[guest('a'), guest('theirs')],
			[guest('a'), guest('theirs'), guest('mine')]
		],
		['one adds, one takes out', [guest('a')], [], [guest('a'), guest('b')], [guest('b')]],
		[
			'one renames, one adds',
			[guest('a')],
			[guest('a', 'Ann')],
			[guest('a'), guest('b')],
			[guest('a', 'Ann'), guest('b')]
		]
	])('%s: both stay', (_, base, mine, theirs, expected) => {
		expect(merged<unknown>(base, mine, theirs)).toEqual({ value: expected, conflicts: [] });
	});

	it.each([
		['the same part', { title: 'a' }, { title: 'mine' }, { title: 'theirs' }, 'title'],
		[
			'one took out what the other changed',
			{ p: [guest('a')] },
			{ p: [] },
			{ p: [guest('a', 'Ann')] },
			'p.a'
		],
		[
			'both renamed',
			{ p: [guest('a')] },
			{ p: [guest('a', 'x')] },
			{ p: [guest('a', 'y')] },
			'p.a.name'
		]
	])('%s: it is said, and mine stands', (_, base, mine, theirs, path) => {
		const { value, conflicts } = merged<object>(base, mine, theirs);
		expect(conflicts).toEqual([path]);
		expect(value).toEqual(mine);
	});

	// what comes out of the store has its prototype
	const plain = { noNullPrototype: true };
	const part = fc.record({ id: fc.constantFrom('p', 'q', 'r'), n: fc.nat(2) }, plain);
	const record = fc.record(
		{
			a: fc.nat(3),
			b: fc.nat(3),
			list: fc.uniqueArray(part, { selector: ({ id }) => id })
		},
		plain
	);

	it('who changed nothing loses nothing, whichever window it was', () => {
		fc.assert(
			fc.property(record, record, (base, changed) => {
				expect(merged(base, base, changed)).toEqual({ value: changed, conflicts: [] });
				const { value, conflicts } = merged(base, changed, base);
				expect([value.a, value.b, conflicts]).toEqual([changed.a, changed.b, []]);
				expect(value.list).toHaveLength(changed.list.length);
			})
		);
	});
});
