import { describe, expect, it } from 'vitest';
import { cellMap, CELLS_ACROSS, cornerRadius, edgeRadius, pupilPoints } from './aperture';

const mean = (values: readonly number[]) =>
	values.reduce((sum, value) => sum + value, 0) / values.length;

describe('points of the pupil', () => {
	it.each([16, 64, 256])('%i of them lie evenly over a round opening', (count) => {
		const points = pupilPoints(count, 0);
		expect(mean(points.map(({ x }) => x))).toBeCloseTo(0, 12);
		expect(mean(points.map(({ y }) => y))).toBeCloseTo(0, 12);
		// a disc of radius 1 has a mean square of 1/4 along each axis (second moment of area)
		expect(mean(points.map(({ x }) => x * x))).toBeCloseTo(0.25, 1.6);
		expect(mean(points.map(({ y }) => y * y))).toBeCloseTo(0.25, 1.6);
		for (const { x, y } of points) expect(Math.hypot(x, y)).toBeLessThan(1.06);
	});

	it.each([5, 6, 7, 9])('lie within %i straight blades and fill them evenly', (blades) => {
		const points = pupilPoints(256, blades);
		const sector = (2 * Math.PI) / blades;
		for (let edge = 0; edge < blades; edge++) {
			const angle = -Math.PI / 2 + edge * sector;
			const reach = points.map(({ x, y }) => x * Math.cos(angle) + y * Math.sin(angle));
			expect(Math.max(...reach)).toBeLessThan(edgeRadius(blades) + 0.05);
			expect(Math.max(...reach)).toBeGreaterThan(edgeRadius(blades) - 0.12);
		}
		// second moment of a regular polygon about any axis through its middle: with circumradius R,
		// R²(2 + cos(2 pi/n))/12 over its area (handbook formula, from memory)
		const moment = (cornerRadius(blades) ** 2 * (2 + Math.cos(sector))) / 12;
		expect(mean(points.map(({ x }) => x * x))).toBeCloseTo(moment, 1.6);
	});

	it('straight blades let through as much light as a round opening', () => {
		for (const blades of [5, 8, 20]) {
			// area of a regular polygon from its apothem: n r² tan(pi/n)
			const area = blades * edgeRadius(blades) ** 2 * Math.tan(Math.PI / blades);
			expect(area).toBeCloseTo(Math.PI, 9);
		}
		expect(cornerRadius(400)).toBeCloseTo(1, 3);
	});

	it('every place of the opening belongs to the nearest of the first points', () => {
		const points = pupilPoints(256, 0).slice(0, 16);
		const cells = cellMap(16, 0);
		const used = new Set(cells);
		expect(used.size).toBe(16);
		points.forEach(({ x, y }, i) => {
			const index = (value: number) => Math.floor(((value / 1.6 + 1) / 2) * CELLS_ACROSS);
			expect(cells[index(y) * CELLS_ACROSS + index(x)]).toBe(i);
		});
	});
});
