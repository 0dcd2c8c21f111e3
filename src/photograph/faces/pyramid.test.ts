import { describe, expect, it } from 'vitest';
import { faceTiles } from './tiles';
import { placeInPicture } from './pyramid';

describe('a part that was cut out', () => {
	it('its middle is its middle, however it is turned', () => {
		const part = { x: 300, y: 200, sidePx: 90, turnRad: 0.7 };
		expect(placeInPicture(part, 64, { x: 32, y: 32 })).toEqual({ x: 300, y: 200 });
	});

	it('its right edge lies along its turn, and to the left in a mirror', () => {
		const part = { x: 0, y: 0, sidePx: 100, turnRad: Math.PI / 2 };
		const right = placeInPicture(part, 64, { x: 64, y: 32 });
		expect(right.x).toBeCloseTo(0, 9);
		expect(right.y).toBeCloseTo(50, 9);
		expect(placeInPicture({ ...part, isMirrored: true }, 64, { x: 64, y: 32 }).y).toBeCloseTo(
			-50,
			9
		);
	});
});

describe('tiles', () => {
	it.each([
		[6000, 4000, 6000],
		[6000, 4000, 1000],
		[700, 500, 512],
		[300, 200, 512]
	])('of %d by %d px cover all of it, a quarter of each in common', (widthPx, heightPx, sidePx) => {
		const tiles = faceTiles({ widthPx, heightPx }, sidePx);
		for (const [lengthPx, middles] of [
			[widthPx, [...new Set(tiles.map(({ x }) => x))]],
			[heightPx, [...new Set(tiles.map(({ y }) => y))]]
		] as const) {
			const sorted = middles.toSorted((a, b) => a - b);
			expect((sorted[0] ?? 0) - sidePx / 2).toBeLessThanOrEqual(0);
			expect((sorted.at(-1) ?? 0) + sidePx / 2).toBeGreaterThanOrEqual(lengthPx);
			sorted.slice(1).forEach((middle, i) => {
				expect(middle - (sorted[i] ?? 0)).toBeLessThanOrEqual(0.75 * sidePx + 1e-9);
			});
		}
	});
});
