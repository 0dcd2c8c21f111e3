import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { depthTable } from './depthTable';

const M_PER_FOOT = 0.3048;

describe('the table of a lens', () => {
	it('agrees with the classical limits (Ray, Applied Photographic Optics, from memory)', () => {
		const { rows, fNumbers, hyperfocalM } = depthTable(LENSES.normal50, 50, 0.03);
		expect(fNumbers.slice(0, 4)).toEqual([1.4, 2, 2.8, 4]);
		for (const { distanceM, depths } of rows) {
			depths.forEach(({ beforeM, behindM }, i) => {
				const s = distanceM * 1000;
				const N = 2 ** ((i + 1) / 2);
				const H = 50 ** 2 / (N * 0.03) + 50;
				expect(beforeM).toBeCloseTo((s - (s * (H - 50)) / (H + s - 100)) / 1000, 6);
				if (s < H) expect(behindM).toBeCloseTo(((s * (H - 50)) / (H - s) - s) / 1000, 6);
				else expect(behindM).toBe(Infinity);
				expect(hyperfocalM[i]).toBeCloseTo(H / 1000, 9);
			});
		}
	});

	it('50 mm, f/1.8, 20 ft away: about five feet in all (common practice, no source)', () => {
		const lens = { ...LENSES.normal50, widestFNumber: [1.8, 1.8] as [number, number] };
		const { rows, fNumbers } = depthTable(lens, 50, 0.03);
		expect(fNumbers[0]).toBe(1.8);
		const total = (distanceM: number) => {
			const depth = rows.find((one) => one.distanceM === distanceM)?.depths[0];
			return ((depth?.beforeM ?? NaN) + (depth?.behindM ?? NaN)) / M_PER_FOOT;
		};
		// depth grows with the square of the distance: at 5 and 7 m, around 20 ft
		expect(total(5)).toBeGreaterThan(2.5);
		expect(total(7)).toBeLessThan(8);
	});

	it('begins at the closest focus', () => {
		expect(depthTable(LENSES.portrait85, 85, 0.03).rows[0]?.distanceM).toBe(1);
	});
});
