import { describe, expect, it } from 'vitest';
import { focusAt } from '$core/optics/focus';
import { airy, airyKernel } from './airy';

describe('diffraction', () => {
	// Born and Wolf, Principles of Optics, table 8.2 (from memory): dark rings at 1.220, 2.233 pi and
	// a first bright ring of 0.0175 at 1.635 pi
	it.each([
		[1.22 * Math.PI, 0],
		[2.233 * Math.PI, 0],
		[1.635 * Math.PI, 0.0175]
	])('the pattern at %d', (x, value) => expect(airy(x)).toBeCloseTo(value, 4));

	const setting = (fNumber: number) => ({
		focus: focusAt({ focalMm: 50, fieldCurvature: 0 }, 1e6),
		fNumber,
		blades: 0
	});

	it('weights add up to one, are even all around, and widen with the f-number', () => {
		const spread = (fNumber: number) => {
			const { radius, weights } = airyKernel(setting(fNumber), 0.004);
			const side = 2 * radius + 1;
			expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 5);
			expect(weights[0]).toBeCloseTo(weights[side * side - 1] ?? NaN, 9);
			expect(weights[1]).toBeCloseTo(weights[side] ?? NaN, 7);
			return 1 - (weights[radius * side + radius] ?? 0);
		};
		expect(spread(5.6)).toBeGreaterThan(spread(2.8));
		expect(spread(16)).toBeGreaterThan(spread(8));
	});

	it('is nothing where a pixel is much larger than the pattern', () => {
		const { radius, weights } = airyKernel(setting(1.4), 0.05);
		const side = 2 * radius + 1;
		expect(weights[radius * side + radius]).toBeGreaterThan(0.99);
	});
});
