import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { namesBeside } from './besideMarks';

const area = { widthPx: 560, heightPx: 130 };

describe('names beside marks', () => {
	it('stand above where there is room', () => {
		const [place] = namesBeside([{ x: 100, y: 60, name: 'Ilinca' }], area);
		expect(place).toMatchObject({ x: 100, anchor: 'middle' });
		expect(place?.y).toBeLessThan(60);
	});

	it('stand elsewhere where another is, or the area ends', () => {
		const [top] = namesBeside([{ x: 100, y: 8, name: 'Ilinca' }], area);
		expect(top?.y).toBeGreaterThan(8);
		const row = [100, 116, 132, 148].map((x, i) => ({ x, y: 60, name: `somebody ${i}` }));
		const places = namesBeside(row, area);
		const said = places.map((place) => place && [place.anchor, Math.sign(place.y - 62)]);
		expect(said).toEqual([['middle', -1], ['middle', 1], null, ['start', 1]]);
	});

	it('never cover each other, a mark, or the edge', () => {
		const marks = fc.array(
			fc.record({
				x: fc.double({ min: 0, max: 560, noNaN: true }),
				y: fc.double({ min: 0, max: 130, noNaN: true }),
				name: fc.string({ minLength: 1, maxLength: 14 })
			}),
			{ maxLength: 12 }
		);
		fc.assert(
			fc.property(marks, (all) => {
				const boxes = namesBeside(all, area).flatMap((place, i) => {
					if (!place) return [];
					// as wide as letters of 11 px are at least
					const half = (5 * (all[i]?.name.length ?? 0)) / 2;
					const middle = place.x + { start: half, middle: 0, end: -half }[place.anchor];
					return [{ left: middle - half, right: middle + half, base: place.y }];
				});
				boxes.forEach((a, i) => {
					expect(a.left).toBeGreaterThanOrEqual(0);
					expect(a.right).toBeLessThanOrEqual(560);
					for (const b of boxes.slice(i + 1)) {
						const meets = a.left < b.right && b.left < a.right && Math.abs(a.base - b.base) < 9;
						expect(meets).toBe(false);
					}
					for (const { x, y } of all) {
						expect(x > a.left && x < a.right && y > a.base - 9 && y < a.base).toBe(false);
					}
				});
			})
		);
	});
});
