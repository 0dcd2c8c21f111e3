import { describe, expect, it } from 'vitest';
import { LENSES } from '../../data/kit';
import { focalsOf, isZoom } from './zoom';

describe('focal lengths to try', () => {
	const zoom = { ...LENSES.normal50, focalMm: [24, 70] as [number, number] };

	// two between the ends, in equal ratios: 24 (70/24)^(1/3) and ^(2/3)
	it('the ends of a zoom and two between, in equal steps of size', () => {
		expect(focalsOf(zoom, 24)).toEqual([24, 34, 49, 70]);
	});

	it('and the one in use, but not twice', () => {
		expect(focalsOf(zoom, 40)).toEqual([24, 34, 40, 49, 70]);
		expect(focalsOf(zoom, 70)).toEqual([24, 34, 49, 70]);
	});

	it('a fixed lens has one', () => {
		expect(focalsOf(LENSES.normal50, 50)).toEqual([50]);
		expect(isZoom(LENSES.normal50)).toBe(false);
		expect(isZoom(zoom)).toBe(true);
	});
});
