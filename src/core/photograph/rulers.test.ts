import { describe, expect, it } from 'vitest';
import { depthByRulers } from './rulers';

describe('rulers of a face', () => {
	it('the distance of the eyes alone: 5.7% (Dodgson, 2004, from memory)', () => {
		const { depthM, sigmaM } = depthByRulers('adult', 4, 0, null, 4000);
		expect(depthM).toBe(4);
		expect(sigmaM / depthM).toBeCloseTo(3.6 / 63, 6);
		// a small iris tells nothing
		expect(depthByRulers('adult', 4, 0, 12, 4000)).toEqual({ depthM, sigmaM });
	});

	it('with the iris it is surer than by either, and lies between them', () => {
		// by hand: 4000 px x 11.7 mm / 46.8 px = 1 m
		const { depthM, sigmaM } = depthByRulers('adult', 1.1, 0, 46.8, 4000);
		expect(depthM).toBeGreaterThan(1);
		expect(depthM).toBeLessThan(1.05);
		expect(sigmaM / depthM).toBeCloseTo(1 / Math.hypot(63 / 3.6, 11.7 / 0.5), 6);
	});

	it('what the pixels leave open is added as squares', () => {
		const { sigmaM } = depthByRulers('adult', 63, 4.8, null, 4000);
		expect(sigmaM).toBeCloseTo(6, 9);
	});
});
