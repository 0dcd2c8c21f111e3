import { intervalsOf, studentT } from './interval';
import { medianInterval } from './median';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { besselJ1, FIRST_ZERO_OF_J1, jinc } from './bessel';
import { lastHolding } from './bisect';
import { leastSquares } from './leastSquares';
import { piecewise } from './piecewise';

describe('the first Bessel function', () => {
	// Abramowitz and Stegun, table 9.1
	it.each([
		[0, 0],
		[0.5, 0.2422684577],
		[1, 0.4400505857],
		[2, 0.5767248078],
		[3, 0.3390589585],
		[5, -0.3275791376],
		[10, 0.0434727462],
		[15, 0.2051040386]
	])('J1(%d)', (x, value) => expect(besselJ1(x)).toBeCloseTo(value, x > 12 ? 6 : 9));

	it('has its first zero at 3.8317 (table 9.5), and 2 J1(x)/x is 1 at 0', () => {
		expect(besselJ1(FIRST_ZERO_OF_J1)).toBeCloseTo(0, 4);
		expect(jinc(0)).toBe(1);
	});
});

describe('nonlinear least squares', () => {
	// Misra1a of the Statistical Reference Datasets (NIST), from memory; its certified values to ten digits
	const X = [
		77.6, 114.9, 141.1, 190.8, 239.9, 289, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760
	];
	const Y = [
		10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78
	];
	const residuals = (values: readonly number[]) => {
		const [top, rate] = values as [number, number];
		return X.map((x, i) => (Y[i] as number) - top * (1 - Math.exp(-rate * x)));
	};

	it.each([
		[500, 1e-4],
		[250, 5e-4]
	])('finds the certified values from %d and %d', (top, rate) => {
		const { values, cost, covariance } = leastSquares(residuals, [top, rate], [100, 1e-3]);
		expect((values[0] as number) / 238.94212918).toBeCloseTo(1, 6);
		expect((values[1] as number) / 5.5015643181e-4).toBeCloseTo(1, 6);
		expect(cost / 0.12455138894).toBeCloseTo(1, 8);
		const variance = cost / (X.length - 2);
		const deviations = [0, 1].map((i) => Math.sqrt(variance * (covariance?.[i]?.[i] as number)));
		expect((deviations[0] as number) / 2.7070075241).toBeCloseTo(1, 5);
		expect((deviations[1] as number) / 7.2668688436e-6).toBeCloseTo(1, 5);
	});
});

describe('the last value that holds', () => {
	it('finds square roots from either side', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.01, max: 1e6, noNaN: true }), (square) => {
				const below = lastHolding((x) => x * x <= square, 0, square + 1, 1e-9);
				const above = lastHolding((x) => x * x >= square, square + 1, 0, 1e-9);
				expect(Math.abs(below - Math.sqrt(square))).toBeLessThan(2e-9 + square * 1e-12);
				expect(above).toBeGreaterThanOrEqual(below);
			})
		);
	});
});

describe('between which a middle lies', () => {
	it('is as far as Student’s table says', () => {
		// two groups of three, each with a spread of a tenth of it: 2.776 at four degrees of freedom
		const [ten, five] = intervalsOf([
			[9, 10, 11],
			[4.5, 5, 5.5]
		]);
		expect(ten).toMatchObject({ mean: 10, count: 3 });
		expect((ten?.high ?? 0) - 10).toBeCloseTo((2.776 * 0.1 * 10) / Math.sqrt(3), 6);
		expect(5 - (five?.low ?? 0)).toBeCloseTo((2.776 * 0.1 * 5) / Math.sqrt(3), 6);
		// tables: 2.086 at 20 degrees of freedom, 1.984 at 100
		expect(studentT(20)).toBeCloseTo(2.086, 1);
		expect(studentT(100)).toBeCloseTo(1.984, 2);
		expect(intervalsOf([[3], [4]])[0]?.high).toBe(Infinity);
	});

	it('is by order for a median: of nine values the second to the eighth (binomial, 96.1 %)', () => {
		const nine = [5, 1, 9, 3, 7, 2, 8, 4, 6];
		expect(medianInterval(nine)).toEqual({ mean: 5, low: 2, high: 8, count: 9 });
		// 2 / 2^5 is more than 5 %
		expect(medianInterval([1, 2, 3, 4, 5]).low).toBe(-Infinity);
		expect(medianInterval([1, 2, 3, 4, 5, 6])).toMatchObject({ low: 1, high: 6 });
	});
});

describe('straight lines from point to point', () => {
	it.each([
		[-1, 2],
		[0, 2],
		[5, 3],
		[10, 4],
		[12, 0],
		[99, 0]
	])('at %d: %d', (x, value) => {
		const points = [
			[0, 2],
			[10, 4],
			[12, 0]
		] as const;
		expect(piecewise(points, x)).toBeCloseTo(value, 12);
	});
});
