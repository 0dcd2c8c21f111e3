import { describe, expect, it } from 'vitest';
import { BODIES } from '$data/kit';
import { noiseOf, sizeOf, sensorTiles, windowOf } from './sensor';

const body = { ...BODIES.fullFrame24, iso: [100, 12800] as [number, number] };

describe('the sensor', () => {
	it('is as large as asked for, up to its own size, upright too', () => {
		expect(sizeOf(body, { orientation: 'landscape' }, 2400)).toEqual({
			widthPx: 2400,
			heightPx: 1600
		});
		expect(sizeOf(body, { orientation: 'portrait' }, 99999)).toEqual({
			widthPx: 4000,
			heightPx: 6000
		});
	});

	it('holds half as many electrons at twice the ISO; four pixels together four times as many', () => {
		const full = { widthPx: 6000, heightPx: 4000 };
		expect(noiseOf(body, 100, full)).toEqual({ fullWell: 50_000, readNoise: 4 });
		expect(noiseOf(body, 6400, full).fullWell).toBeCloseTo(781.25, 6);
		const half = noiseOf(body, 100, { widthPx: 3000, heightPx: 2000 });
		expect(half).toEqual({ fullWell: 200_000, readNoise: 8 });
	});

	it('is cut into tiles that cover it once, the middle first, and their windows the sensor', () => {
		const size = { widthPx: 6000, heightPx: 4000 };
		const tiles = sensorTiles(size, 1280);
		const area = tiles.reduce((sum, { widthPx, heightPx }) => sum + widthPx * heightPx, 0);
		expect(area).toBe(6000 * 4000);
		expect(Math.max(...tiles.map(({ widthPx }) => widthPx))).toBeLessThanOrEqual(1280);
		const [first] = tiles;
		expect(first && Math.abs(first.left + first.widthPx / 2 - 3000)).toBeLessThanOrEqual(640);
		const mmPerPx = 36 / 6000;
		const edges = tiles.map((tile) => windowOf(tile, size, mmPerPx));
		expect(Math.min(...edges.map(({ x, widthMm }) => x - widthMm / 2))).toBeCloseTo(-18, 9);
		expect(Math.max(...edges.map(({ y, heightMm }) => y + heightMm / 2))).toBeCloseTo(12, 9);
	});
});
