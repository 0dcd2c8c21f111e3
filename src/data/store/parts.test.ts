import { describe, expect, it } from 'vitest';
import { partsSaved } from './parts';

/** A record saved part by part, by what this window started from, has, and finds. */

const at = (revision: number, title: string, note = '') => ({ revision, title, note });
const base = at(3, 'a');

describe('saved part by part', () => {
	it.each([
		['a new one', null, at(0, 'a'), null, at(1, 'a')],
		['nobody else', base, at(3, 'b'), base, at(4, 'b')],
		['another part', base, at(3, 'b'), at(5, 'a', 'n'), at(6, 'b', 'n')],
		['the same change', base, at(3, 'b'), at(4, 'b'), at(5, 'b')],
		['taken out', base, null, base, null],
		['erased with its job', base, at(3, 'b'), null, null]
	])('%s', (_, from, mine, theirs, record) =>
		expect(partsSaved(from, mine, theirs, false)).toEqual({ outcome: 'saved', record })
	);

	it.each([
		['the same part', base, at(3, 'b'), at(4, 'c')],
		['taken out here, changed there', base, null, at(4, 'c')],
		['the same new one', null, at(0, 'a'), at(1, 'b')]
	])('is asked about: %s', (_, from, mine, theirs) =>
		expect(partsSaved(from, mine, theirs, false)).toEqual({ outcome: 'conflict', theirs })
	);

	it('is asked about when it was taken out there, where that is asked', () => {
		expect(partsSaved(base, at(3, 'b'), null, true)).toEqual({ outcome: 'conflict', theirs: null });
		// taken out by both
		expect(partsSaved(base, null, null, true)).toEqual({ outcome: 'saved', record: null });
	});
});
