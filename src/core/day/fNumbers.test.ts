import { describe, expect, it } from 'vitest';
import { spreadOf } from './fNumbers';

describe('the f-numbers of a day', () => {
	it('are counted, the widest first', () => {
		expect(spreadOf([4, 1.4, 4, 8]).counts).toEqual([
			{ fNumber: 1.4, shots: 1 },
			{ fNumber: 4, shots: 2 },
			{ fNumber: 8, shots: 1 }
		]);
		expect(spreadOf([])).toEqual({ counts: [], alike: null });
	});

	// work.md: "everything at the widest aperture: a whole set with one look"; common practice, no source
	it('too many alike are told, within two thirds of a stop', () => {
		expect(spreadOf([1.4, 1.4, 1.6, 1.8, 5.6]).alike).toEqual({ from: 1.4, to: 1.8, shots: 4 });
		expect(spreadOf([1.4, 2, 2.8, 4, 5.6]).alike).toBeNull();
		expect(spreadOf([2, 2, 2.5, 8, 8]).alike).toEqual({ from: 2, to: 2.5, shots: 3 });
	});

	it('of a few shots nothing is said', () => {
		expect(spreadOf([1.4, 1.4, 1.4, 1.4]).alike).toBeNull();
	});
});
