import { describe, expect, it } from 'vitest';
import { Random } from '../numeric/random';
import { photographRows, type RowHead } from './rows';

/** Camera at the height of the eyes of those who stand in front. */
const seen = (depthM: number, x: number, y: number, sigmaM = 0.057 * depthM): RowHead => ({
	depthM,
	sigmaM,
	aside: x / depthM,
	above: y / depthM
});

const row = (count: number, depthM: number, y: number): RowHead[] =>
	Array.from({ length: count }, (_, i) => seen(depthM, (i - (count - 1) / 2) * 0.6, y));

describe('rows', () => {
	it('on steps are told by height, though sizes hardly differ', () => {
		const random = new Random(5);
		const heads = [...row(5, 6, 0), ...row(6, 6.8, 0.3), ...row(4, 7.6, 0.6)].map((head) => {
			const depthM = head.depthM * (1 + 0.057 * random.normal());
			return { ...head, depthM };
		});
		expect(photographRows(heads)).toEqual([1, 1, 1, 1, 1, 2, 2, 2, 2, 2, 2, 3, 3, 3, 3]);
	});

	it('on level ground are told by size, where that is sure enough', () => {
		const near = row(3, 2, 0);
		const far = row(3, 3.2, 0);
		expect(photographRows([...far, ...near])).toEqual([2, 2, 2, 1, 1, 1]);
	});

	it('are one where a child stands beside its parents', () => {
		expect(photographRows([seen(3, -0.5, 0), seen(3.05, 0, -0.5), seen(2.95, 0.5, 0.05)])).toEqual([
			1, 1, 1
		]);
	});

	it('are two where one is behind the other’s shoulder', () => {
		expect(photographRows([seen(3, 0, 0), seen(4, 0.1, 0.25)])).toEqual([1, 2]);
	});

	it('of nobody are none, of somebody alone one', () => {
		expect(photographRows([])).toEqual([]);
		expect(photographRows([seen(3, 0, 0)])).toEqual([1]);
	});
});
