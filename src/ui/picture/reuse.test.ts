import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keep, keeping, reuse, reusing } from './reuse';

describe('reusing what has not changed', () => {
	it('gives back the very same thing when nothing has', () => {
		const before = [{ at: { x: 1, y: 2 }, name: 'a' }, null];
		expect(reuse(before, structuredClone(before))).toBe(before);
	});

	it('keeps the parts that are as they were', () => {
		const before = [{ a: { x: 1 } }, { a: { x: 2 } }];
		const after = reuse(before, [{ a: { x: 1 } }, { a: { x: 3 } }]);
		expect(after[0]).toBe(before[0]);
		expect(after).toEqual([{ a: { x: 1 } }, { a: { x: 3 } }]);
	});

	it('never changes what a value is, nor what it was', () => {
		fc.assert(
			fc.property(fc.jsonValue(), fc.jsonValue(), (before, next) => {
				const was = structuredClone(before);
				expect(reuse(before, next)).toEqual(next);
				expect(before).toEqual(was);
			})
		);
	});

	it('tells a missing key from one without a value, and an array from an object', () => {
		expect(reuse<object>({ a: undefined }, {})).toEqual({});
		expect(Object.keys(reuse<object>({ a: undefined }, {}))).toEqual([]);
		expect(Object.keys(reuse<object>({ a: 1 }, { b: undefined }))).toEqual(['b']);
		expect(reuse<unknown>({}, [])).toEqual([]);
		expect(Array.isArray(reuse<unknown>({}, []))).toBe(true);
	});

	it('remembers the last value', () => {
		let x = 1;
		const value = reusing(() => ({ x, rest: [1, 2] }));
		const first = value();
		expect(value()).toBe(first);
		x = 2;
		expect(value()).not.toBe(first);
		expect(value().rest).toBe(first.rest);
	});
});

describe('keeping what is the same as a whole', () => {
	it('gives back what was there before when nothing differs, else the new thing itself', () => {
		const before = { scene: { a: 1 }, at: [1, 2] };
		expect(keep(before, structuredClone(before))).toBe(before);
		const after = { scene: { a: 1 }, at: [1, 3] };
		expect(keep(before, after)).toBe(after);
		expect(keep(before, after).scene).toBe(after.scene);
	});

	it('remembers the last one', () => {
		let value = { a: [1] };
		const kept = keeping(() => structuredClone(value));
		const first = kept();
		expect(kept()).toBe(first);
		value = { a: [2] };
		expect(kept()).toEqual({ a: [2] });
	});
});
