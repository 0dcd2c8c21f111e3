import { describe, expect, it } from 'vitest';
import { BODIES } from '$data/kit';
import { isCut, lensOf, lensOfEquivalent } from './lensOf';

const LEVEL = { widthPx: 6000, heightPx: 4000 };
const KIT = Object.values(BODIES);

describe('the lens of a photograph', () => {
	it.each([
		// by hand: 50 mm x 6000 px / 36 mm
		['a body of the kit', { focalMm: 50, bodyName: 'Full-frame 24 MP' }, 'kit', 8333.3],
		// 23.5 mm wide: 6000 px / 23.5 mm x 25.4 = 6485.1 px per inch
		['the sensor, per inch', { focalMm: 50, planePixels: 6485.106, planeUnit: 2 }, 'sensor', 12766],
		// per cm, written before it was made half as large
		[
			'the sensor, per cm',
			{ focalMm: 50, planePixels: 5106.38, planeUnit: 3, pixelsAcross: 12000 },
			'sensor',
			12766
		],
		// CIPA DC-008 takes the diagonal: 26 mm x 7211.1 px / 43.2666 mm
		['the equivalent', { focal35Mm: 26 }, 'equivalent', 4333.3]
	] as const)('by %s', (_, facts, by, focalPx) => {
		const lens = lensOf(facts, LEVEL, KIT);
		expect(lens?.by).toBe(by);
		expect((lens?.focalPx ?? 0) / focalPx).toBeCloseTo(1, 4);
	});

	it('upright is the same lens', () => {
		const upright = { widthPx: 4000, heightPx: 6000 };
		const facts = { focalMm: 50, bodyName: 'Full-frame 24 MP' };
		expect(lensOf(facts, upright, KIT)).toEqual(lensOf(facts, LEVEL, KIT));
	});

	it('a sensor that none is, is not believed', () => {
		const facts = { focalMm: 4, planePixels: 72, planeUnit: 2, focal35Mm: 28 };
		expect(lensOf(facts, LEVEL, KIT)?.by).toBe('equivalent');
	});

	it('is asked for where nothing is said', () => {
		expect(lensOf({}, LEVEL, KIT)).toBeNull();
		expect(lensOf({ focalMm: 50 }, LEVEL, KIT)).toBeNull();
	});

	it('an equivalent is a whole number of millimetres: short ones are less sure', () => {
		expect(lensOfEquivalent(13, LEVEL).share).toBeGreaterThan(lensOfEquivalent(85, LEVEL).share);
	});

	it('a cut picture is known by its shape', () => {
		const written = { pixelsAcross: 6000, pixelsDown: 4000 };
		expect(isCut(written, { widthPx: 4000, heightPx: 4000 })).toBe(true);
		expect(isCut(written, { widthPx: 1200, heightPx: 800 })).toBe(false);
		expect(isCut(written, { widthPx: 800, heightPx: 1200 })).toBe(false);
		expect(isCut({}, LEVEL)).toBe(false);
	});
});
