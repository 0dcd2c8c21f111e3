import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { depthOfField } from './depthOfField';
import { focusAt } from './focus';

/** The sharp zone of a lens without bend, all lengths but the depths in mm. */
const zone = (focalMm: number, fNumber: number, planeM: number, toleranceMm: number) =>
	depthOfField(focusAt({ focalMm, fieldCurvature: 0 }, planeM), fNumber, toleranceMm);

/** H = f²/(N c0) + f, mm (Ray, Applied Photographic Optics, from memory). */
const hyperfocalMm = (focalMm: number, fNumber: number, toleranceMm: number) =>
	focalMm ** 2 / (fNumber * toleranceMm) + focalMm;

const M_PER_FOOT = 0.3048;

describe('hyperfocal distance', () => {
	// Worked example of the encyclopedia article "Hyperfocal distance": 50 mm, f/8, 0.03 mm gives
	// 10467 mm, and from half of it to infinity is sharp (from memory). The others are the same
	// formula by hand, as tables of depth of field print it to three figures.
	it.each([
		[50, 8, 0.03, 10_467],
		[35, 8, 0.03, 5_139],
		[24, 11, 0.03, 1_769],
		[28, 16, 0.03, 1_661],
		[85, 5.6, 0.03, 43_091],
		[135, 2.8, 0.03, 217_099]
	])('%d mm at f/%d with %d mm: %d mm', (focalMm, fNumber, toleranceMm, tabledMm) => {
		expect(hyperfocalMm(focalMm, fNumber, toleranceMm)).toBeCloseTo(tabledMm, -1);
		const { nearM, farM } = zone(focalMm, fNumber, tabledMm / 1000 + 0.001, toleranceMm);
		expect(nearM).toBeCloseTo(tabledMm / 2000, 2);
		expect(farM).toBeGreaterThan(10_000);
	});

	it('is the nearest focus that reaches infinity', () => {
		const hyperfocalM = hyperfocalMm(50, 8, 0.03) / 1000;
		expect(zone(50, 8, hyperfocalM * 1.001, 0.03).farM).toBe(Infinity);
		expect(zone(50, 8, hyperfocalM * 0.999, 0.03).farM).toBeLessThan(20_000);
	});
});

describe('near and far limit', () => {
	// near = s(H-f)/(H+s-2f), far = s(H-f)/(H-s) (Ray, from memory), worked out to a tenth of a millimetre
	it.each([
		[50, 1.8, 6.096, 0.03, 5.3919, 7.0117],
		[50, 1.8, 3.048, 0.03, 2.8626, 3.259],
		[85, 1.4, 2, 0.03, 1.978, 2.0225],
		[35, 5.6, 4, 0.03, 2.5911, 8.7675],
		[135, 2, 5, 0.03, 4.9212, 5.0814],
		[24, 8, 2, 0.03, 1.0969, 11.3208]
	])('%d mm, f/%d at %d m: %d .. %d', (focalMm, fNumber, planeM, toleranceMm, nearM, farM) => {
		const limits = zone(focalMm, fNumber, planeM, toleranceMm);
		expect(limits.nearM).toBeCloseTo(nearM, 3);
		expect(limits.farM).toBeCloseTo(farM, 3);
	});

	it('agrees with the classical formulas for any lens and distance', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 14, max: 400, noNaN: true }),
				fc.double({ min: 1, max: 22, noNaN: true }),
				fc.double({ min: 1, max: 60, noNaN: true }),
				(focalMm, fNumber, planeM) => {
					const h = hyperfocalMm(focalMm, fNumber, 0.03);
					const s = planeM * 1000;
					const { nearM, farM } = zone(focalMm, fNumber, planeM, 0.03);
					expect(nearM * 1000).toBeCloseTo((s * (h - focalMm)) / (h + s - 2 * focalMm), 4);
					const far = (s * (h - focalMm)) / (h - s);
					if (s < h * 0.99) expect((farM * 1000) / far).toBeCloseTo(1, 6);
				}
			)
		);
	});

	it('is bounded by the harmonic law: the focus is the harmonic mean of its limits', () => {
		const { nearM, farM } = zone(50, 4, 4, 0.03);
		expect(2 / (1 / nearM + 1 / farM)).toBeCloseTo(4, 9);
	});
});

describe('facts of the trade (common practice, no source)', () => {
	const depthFt = (distanceFt: number) => {
		const { nearM, farM } = zone(50, 1.8, distanceFt * M_PER_FOOT, 0.03);
		return (farM - nearM) / M_PER_FOOT;
	};

	it('50 mm, f/1.8, full frame, 20 ft away: about 5 ft', () => {
		expect(depthFt(20)).toBeGreaterThan(4.5);
		expect(depthFt(20)).toBeLessThan(5.5);
	});

	it('the same 10 ft away: a little over 1 ft', () => {
		expect(depthFt(10)).toBeGreaterThan(1);
		expect(depthFt(10)).toBeLessThan(1.5);
	});

	it.each([0.5, 1, 3, 6, 10])('more lies behind the focus than in front, at %d m', (planeM) => {
		const { nearM, farM } = zone(50, 4, planeM, 0.03);
		expect(farM - planeM).toBeGreaterThan(planeM - nearM);
	});

	it('nearly equal up close', () => {
		const { nearM, farM } = zone(50, 4, 0.5, 0.03);
		expect((farM - 0.5) / (0.5 - nearM)).toBeLessThan(1.05);
	});
});
