import { describe, expect, it } from 'vitest';
import { defocusContrast, patternContrast, objectPlaneBlurMm } from './contrast';
import { focusAt } from './focus';

const focus = (planeM: number, focalMm = 50) => focusAt({ focalMm, fieldCurvature: 0 }, planeM);

/** The smear at which the transfer of a disc has this argument, for bars of 10 mm. */
const smearOf = (x: number) => (x * 2 * 10) / Math.PI;

describe('what a blur disc leaves of bars', () => {
	// 2 J1(x)/x with J1 from Abramowitz and Stegun, table 9.1
	it.each([
		[0.5, 0.2422684577],
		[1, 0.4400505857],
		[2, 0.5767248078],
		[3, 0.3390589585],
		[3.8, 0.0128210029]
	])('at x = %d', (x, j1) => {
		expect(defocusContrast(smearOf(x), 10)).toBeCloseTo((2 * j1) / x, 9);
	});

	it('is whole without blur, and nothing from the first zero of J1, 3.8317 (table 9.5), on', () => {
		expect(defocusContrast(0, 10)).toBe(1);
		expect(defocusContrast(smearOf(3.8316), 10)).toBeGreaterThan(0);
		expect(defocusContrast(smearOf(3.8318), 10)).toBe(0);
		expect(defocusContrast(smearOf(5), 10)).toBe(0);
	});
});

describe('smear', () => {
	// Merklinger, "The INs and OUTs of Focus" (from memory): focused at infinity, a lens smears
	// every distance by the diameter of its opening; 50 mm at f/10 draws nothing finer than 5 mm
	it.each([1, 3, 30, 300])('focused at infinity, f/10 of 50 mm smears 5 mm at %d m', (depthM) => {
		expect(objectPlaneBlurMm(focus(1e9), 10, depthM, 1)).toBeCloseTo(5, 4);
	});

	it('falls in proportion from the lens to the plane of focus and grows again behind it', () => {
		expect(objectPlaneBlurMm(focus(4), 2, 2, 1)).toBeCloseTo(12.5, 9);
		expect(objectPlaneBlurMm(focus(4), 2, 4, 1)).toBe(0);
		expect(objectPlaneBlurMm(focus(4), 2, 8, 1)).toBeCloseTo(25, 9);
	});
});

describe('what is left of a pattern', () => {
	const PIXEL_MM = 0.006;

	// the transfer of a perfect lens at a share of its cut-off: Goodman, Introduction to Fourier Optics,
	// the curve of an incoherent system with a round pupil; values from memory
	it.each([
		[0.1, 0.873],
		[0.25, 0.685],
		[0.5, 0.391],
		[0.75, 0.144]
	])('in focus at %d of the cut-off a perfect lens leaves %d', (share, left) => {
		// f/16 at infinity: cut-off 1/(0.00055 x 16) = 113.64 cycles per mm
		const barMm = 1 / (2 * share * 113.636);
		const at = focus(1e6);
		const barFar = (barMm * 1e9) / at.imageDistanceMm;
		expect(patternContrast(at, 16, 1e6, 0, barFar, 0.0001)).toBeCloseTo(left, 3);
	});

	it('is nothing past the cut-off, and nothing finer than a pixel', () => {
		const at = focus(10);
		const barFor = (onSensorMm: number) => (onSensorMm * 10_000) / at.imageDistanceMm;
		expect(patternContrast(at, 64, 10, 0, barFor(0.0175), 0.001)).toBe(0);
		expect(patternContrast(at, 4, 10, 0, barFor(0.0061), PIXEL_MM)).toBeGreaterThan(0.5);
		expect(patternContrast(at, 4, 10, 0, barFor(0.0059), PIXEL_MM)).toBe(0);
	});

	it('multiplies the losses: x = 1 leaves 2 x 0.4400505857 of what diffraction left', () => {
		const at = focus(5);
		const still = patternContrast(at, 8, 9, 0, 20, PIXEL_MM);
		const smeared = patternContrast(at, 8, 9, (1 * 2 * 20) / Math.PI, 20, PIXEL_MM);
		expect(smeared / still).toBeCloseTo(0.8801011714, 9);
	});
});
