import { describe, expect, it } from 'vitest';
import { shareOfBest, type MeasuredSharpness } from './sharpness';

const of = (
	...stops: readonly (readonly [fNumber: number, centre: number])[]
): MeasuredSharpness => ({
	bodyName: 'a body',
	focalMm: 50,
	date: '2026-05-01',
	frames: 4,
	stops: stops.map(([fNumber, centre]) => ({ fNumber, centre, corners: null }))
});

describe('what a lens gives of its best', () => {
	const series = of([1.4, 1000], [2, 1500], [2.8, 2000], [8, 1800]);

	it.each([
		[1.4, 0.5],
		[2.8, 1],
		// engraved round
		[1.41, 0.5],
		[8, 0.9]
	])('at f/%d is as it was measured', (fNumber, share) => {
		expect(shareOfBest(series, fNumber)).toBeCloseTo(share, 2);
	});

	it('between two that were measured lies between them', () => {
		// half a stop from either
		expect(shareOfBest(series, 1.4 * 2 ** 0.25)).toBeCloseTo(0.625, 1);
	});

	it('is not known beyond them, nor where too much lies between', () => {
		expect(shareOfBest(series, 1.2)).toBeNull();
		expect(shareOfBest(series, 11)).toBeNull();
		expect(shareOfBest(series, 4)).toBeNull();
		expect(shareOfBest(of(), 4)).toBeNull();
	});
});
