import { describe, expect, it } from 'vitest';
import type { Lens } from '../format/shot';
import { LENSES } from '$data/kit';
import {
	nominalFNumber,
	factorOfStops,
	fNumberOfThird,
	ladderOf,
	nearestRung,
	stopsBetween,
	widestFNumber
} from './fNumber';

describe('the series of f-numbers', () => {
	// ISO 517, series of whole stops (from memory); Exif annex C, APEX: Av = 2 log2 N (from memory)
	it.each([
		[0, 1],
		[1, 1.4],
		[2, 2],
		[3, 2.8],
		[4, 4],
		[5, 5.6],
		[6, 8],
		[7, 11],
		[8, 16],
		[9, 22],
		[10, 32],
		[11, 45],
		[12, 64]
	])('aperture value %d is f/%d', (apertureValue, fNumber) => {
		expect(nominalFNumber(fNumberOfThird(3 * apertureValue))).toBe(fNumber);
		// engraved numbers are rounded: never more than a tenth of a stop
		expect(Math.abs(stopsBetween(1, fNumber) - apertureValue)).toBeLessThan(0.1);
	});

	// thirds as engraved on lenses and shown by cameras (common practice, no source)
	it.each([
		[1.4, [1.4, 1.6, 1.8, 2]],
		[2.8, [2.8, 3.2, 3.5, 4]],
		[5.6, [5.6, 6.3, 7.1, 8]],
		[11, [11, 13, 14, 16]]
	])('from f/%d in thirds', (start, thirds) => {
		const first = Math.round(6 * Math.log2(start));
		expect(thirds.map((_, i) => nominalFNumber(fNumberOfThird(first + i)))).toEqual(thirds);
	});

	it('calls two thirds above f/1 "1.2", as lenses do', () => {
		expect(nominalFNumber(fNumberOfThird(2))).toBe(1.2);
	});
});

describe('stops between f-numbers (common practice, no source)', () => {
	it.each([
		[1.2, 5.6, 4.5],
		[2.8, 4, 1],
		[4, 11, 3],
		// f/5.6 at 1/3200 s and f/32 at 1/100 s: the same exposure, so five stops of aperture
		[5.6, 32, Math.log2(3200 / 100)]
	])('f/%d to f/%d is %d', (from, to, stops) => {
		expect(Math.abs(stopsBetween(from, to) - stops)).toBeLessThan(0.1);
	});

	it('a stop is a factor of the square root of two, either way', () => {
		expect(factorOfStops(1)).toBeCloseTo(Math.SQRT2, 12);
		expect(factorOfStops(-2)).toBeCloseTo(0.5, 12);
		expect(stopsBetween(4, 2.8)).toBeLessThan(0);
	});
});

describe('the ladder of a lens', () => {
	const names = (lens: Lens, focalMm: number) => ladderOf(lens, focalMm).map(nominalFNumber);

	it('runs in thirds from the widest to the smallest', () => {
		expect(names(LENSES.normal50, 50)).toEqual([
			1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11, 13, 14, 16
		]);
	});

	it('starts at f/1.2 for a lens engraved so, though the exact third is 1.26', () => {
		expect(names(LENSES.portrait85Fast, 85)[0]).toBe(1.2);
	});

	it('follows a zoom whose widest changes with the focal length', () => {
		const { zoom1855 } = LENSES;
		expect(widestFNumber(zoom1855, 18)).toBe(3.5);
		expect(widestFNumber(zoom1855, 55)).toBe(5.6);
		expect(widestFNumber(zoom1855, 36.5)).toBeCloseTo(4.55, 10);
		expect(names(zoom1855, 18)[0]).toBe(3.5);
		expect(names(zoom1855, 55)[0]).toBe(5.6);
		expect(names(zoom1855, 36.5)[0]).toBe(4.5);
	});

	it('is never empty, even where the whole range falls between two thirds', () => {
		const pinhole: Lens = { ...LENSES.normal50, widestFNumber: [5.3, 5.3], smallestFNumber: 5.3 };
		expect(names(pinhole, 50)).toEqual([5]);
	});

	it('finds the rung nearest in stops', () => {
		const ladder = ladderOf(LENSES.normal50, 50);
		expect(nominalFNumber(ladder[nearestRung(ladder, 4.2)] as number)).toBe(4);
		expect(nearestRung(ladder, 0.5)).toBe(0);
		expect(nearestRung(ladder, 90)).toBe(ladder.length - 1);
	});
});
