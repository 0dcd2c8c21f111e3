import { describe, expect, it } from 'vitest';
import type { ApertureSeries } from '$core/bench/apertureSeries';
import { apertureWords, biasWords, steadyShutterWords, softLensSentence } from './bench';

const stop = (fNumber: number, mean: number) => ({
	fNumber,
	centre: { mean, low: mean - 0.01, high: mean + 0.01, count: 2 },
	corners: { 'top-left': 0.2, 'top-right': 0.2, 'bottom-left': 0.2, 'bottom-right': 0.2 }
});
const series: ApertureSeries = {
	bodyName: null,
	focalMm: 85,
	stops: [stop(1.4, 0.12), stop(2.8, 0.27), stop(4, 0.3), stop(5.6, 0.3), stop(8, 0.26)],
	best: 2,
	from: 2,
	to: 3,
	cornersFrom: 4,
	softCorners: [],
	isSharpened: false
};

describe('what the bench found', () => {
	it('is one sentence first', () => {
		expect(apertureWords(series)).toBe(
			'Sharpest from f/4 to f/5.6. f/1.4 gives 40 % of it; the corners come at f/8.'
		);
		const wide = { ...series, best: 0, from: 0, to: 0, cornersFrom: 0 };
		expect(apertureWords(wide)).toBe(
			'Sharpest at f/1.4. The corners are there from the widest on.'
		);
		expect(apertureWords({ ...series, softCorners: ['top-left'] })).toContain('out of true');
	});

	it('says which side a lens is off, in one’s own units', () => {
		const bias = {
			tries: Array.from({ length: 8 }, (_, i) => ({
				name: `${i}`,
				offMm: 12,
				biasMm: 0,
				lineMm: 0
			})),
			offMm: { mean: 12, low: 9, high: 14, count: 8 },
			biasMm: 0.01,
			spreadMm: 0.001
		};
		expect(biasWords(bias, 'm')).toBe(
			'It focuses 12 mm in front of what it is told to (9 mm in front to 14 mm in front in nineteen of twenty cases; 8 frames).'
		);
		expect(biasWords(bias, 'ft')).toContain('0.5 in in front of');
		expect(biasWords({ ...bias, offMm: { ...bias.offMm, low: -2 } }, 'm')).toMatch(
			/^It focuses where/
		);
		expect(steadyShutterWords(85, 1 / 60, 0.81)).toBe(
			'You hold 85 mm at 1/60 in eight frames of ten.'
		);
	});

	it('is said once where the lens itself is soft', () => {
		const sharpness = {
			bodyName: 'b',
			focalMm: 85,
			date: '2026-09-26',
			frames: 10,
			stops: [
				{ fNumber: 1.4, centre: 400, corners: null },
				{ fNumber: 2.8, centre: 900, corners: null },
				{ fNumber: 4, centre: 1000, corners: null },
				{ fNumber: 16, centre: 600, corners: null }
			]
		};
		expect(softLensSentence(sharpness, 1.4)).toBe(
			'At f/1.4 this lens gives 40 % of its best; at f/2.8 it is there.'
		);
		expect(softLensSentence(sharpness, 16)).toBe(
			'At f/16 this lens gives 60 % of its best; at f/4 it is there.'
		);
		expect(softLensSentence(sharpness, 4)).toBe('');
		expect(softLensSentence(sharpness, 2)).toBe('');
	});
});
