import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { patchMm, sensorMm } from '$tests/support/rayTrace';
import { combinedBlurMm, defocusMm, diffractionMm, vergenceErrorOf } from './blur';
import { defocusContrast, patternContrast } from './contrast';
import { focusAt, planeThrough, vergenceError } from './focus';
import { imageDistanceMm } from '../geometry/thinLens';
import { depthOfVergence, vergence } from './vergence';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const optic = (focalMm: number, fieldCurvature = 0) => ({ focalMm, fieldCurvature });

const defocusOf = (
	focalMm: number,
	fNumber: number,
	planeM: number,
	depthM: number,
	bend = 0,
	cos = 1
) => {
	const focus = focusAt(optic(focalMm, bend), planeM);
	return defocusMm(focus, fNumber, vergenceError(focus, depthM, cos));
};

describe('image distance', () => {
	// Gaussian lens equation, worked by hand
	it.each([
		[50, 1, 52.6316],
		[100, 0.2, 200],
		[85, 2, 88.7728],
		[50, 1e9, 50]
	])('%d mm at %d m: %d mm', (focalMm, depthM, expected) => {
		expect(imageDistanceMm(focalMm, depthM)).toBeCloseTo(expected, 4);
	});

	it('has no real image at the focal length and nearer', () => {
		expect(imageDistanceMm(50, 0.05)).toBe(Infinity);
		expect(imageDistanceMm(50, -3)).toBe(Infinity);
	});
});

describe('vergence', () => {
	it('turns round to depth', () => {
		expect(vergence(4)).toBe(0.25);
		expect(depthOfVergence(0.25)).toBe(4);
		expect(depthOfVergence(0)).toBe(Infinity);
		expect(depthOfVergence(-1)).toBe(Infinity);
	});

	it('stays finite at the lens and behind it', () => {
		expect(vergence(0)).toBe(1000);
		expect(vergence(-5)).toBe(1000);
	});
});

describe('defocus', () => {
	it('is the patch that rays make on the sensor, on the axis and off it, flat or bent', () => {
		fc.assert(
			fc.property(
				between(20, 200),
				between(1.2, 16),
				between(1, 20),
				between(1, 40),
				between(-3, 3),
				between(-2, 2),
				between(-1, 1),
				(focalMm, fNumber, planeM, depthM, xM, yM, bend) => {
					const cos = depthM / Math.hypot(depthM, xM, yM);
					const lens = { focalMm, fNumber, planeMm: planeM * 1000, fieldCurvature: bend };
					const traced = patchMm(lens, xM * 1000, yM * 1000, depthM * 1000);
					const computed = defocusOf(focalMm, fNumber, planeM, depthM, bend, cos);
					expect(Math.abs(computed - traced)).toBeLessThan(1e-4 * traced + 1e-9);
				}
			),
			{ numRuns: 300 }
		);
	});

	it('is zero on the surface of focus and grows away from it on either side', () => {
		fc.assert(
			fc.property(between(1, 30), between(1.01, 3), between(1.01, 3), (planeM, a, b) => {
				expect(defocusOf(85, 2, planeM, planeM)).toBe(0);
				const near = [planeM / a, planeM / (a * b)];
				const far = [planeM * a, planeM * a * b];
				for (const [closer, farther] of [near, far] as [number, number][]) {
					expect(defocusOf(85, 2, planeM, closer)).toBeGreaterThan(0);
					expect(defocusOf(85, 2, planeM, farther)).toBeGreaterThan(
						defocusOf(85, 2, planeM, closer)
					);
				}
			})
		);
	});

	it('is zero for a point off the axis when the lens is focused through it, however bent', () => {
		fc.assert(
			fc.property(between(1, 20), between(0.7, 1), between(-1, 1), (depthM, cos, bend) => {
				const planeM = planeThrough(optic(50, bend), depthM, cos);
				expect(defocusOf(50, 1.4, planeM, depthM, bend, cos)).toBeCloseTo(0, 10);
			})
		);
	});

	it('halves with every two stops and turns round to vergence', () => {
		expect(defocusOf(50, 4, 3, 5)).toBeCloseTo(defocusOf(50, 2, 3, 5) / 2, 12);
		const focus = focusAt(optic(50), 3);
		expect(defocusMm(focus, 2.8, vergenceErrorOf(focus, 2.8, 0.03))).toBeCloseTo(0.03, 12);
	});

	it('puts a shell around the camera in focus when the bend is 1', () => {
		// 3 m away in any direction: depth 3 cos a
		for (const cos of [1, 0.95, 0.9]) {
			expect(defocusOf(35, 2, 3, 3 * cos, 1, cos)).toBeCloseTo(0, 10);
		}
	});
});

describe('diffraction', () => {
	const far = focusAt(optic(50), 1e6);

	it('matches defocus where both halve the contrast of the same detail', () => {
		// Goodman, Introduction to Fourier Optics (from memory): a perfect lens halves what is imaged at
		// 0.404 of its cut-off; a blur disc, 2J1(x)/x, at 0.7051 cycles a diameter
		const cyclesPerMm = 0.404 / (0.00055 * 8);
		expect(diffractionMm(far, 8) * cyclesPerMm).toBeCloseTo(0.7051, 3);
		const pattern = (mm: number) => (1 / cyclesPerMm) * (mm / far.imageDistanceMm) * 1e9;
		// both through the contrast that the app works out
		const barMm = pattern(1) / 2;
		expect(patternContrast(far, 8, 1e6, 0, barMm, 1e-5)).toBeCloseTo(0.5, 2);
		const disc = diffractionMm(far, 8);
		expect(defocusContrast(disc, 1 / cyclesPerMm / 2)).toBeCloseTo(0.5, 2);
	});

	it('grows with the f-number and with a close focus', () => {
		expect(diffractionMm(far, 16)).toBeCloseTo(2 * diffractionMm(far, 8), 12);
		const close = focusAt(optic(50), 0.1);
		// at 1:1 the image is twice as far away, and so is the working f-number
		expect(diffractionMm(close, 8) / diffractionMm(far, 8)).toBeCloseTo(2, 3);
	});

	it('adds to defocus as root-sum-square (Conrad, "Depth of Field in Depth", from memory)', () => {
		expect(combinedBlurMm(0.03, 0.04)).toBeCloseTo(0.05, 12);
	});
});

it('the traced lens itself is sound: its sensor stands where the lens equation says', () => {
	const lens = { focalMm: 50, fNumber: 2, planeMm: 1000, fieldCurvature: 0 };
	expect(sensorMm(lens)).toBeCloseTo(52.6316, 4);
	expect(patchMm(lens, 120, 0, 1000)).toBeCloseTo(0, 9);
});
