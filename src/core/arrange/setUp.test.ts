import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { blankShot } from '$data/blankShot';
import { solve } from '$tests/support/solved';
import { FIGURE_PARTS } from '../anatomy/figure';
import { frameEdgesOf } from './edges';
import { setUp } from './setUp';

const blank = blankShot('Now');

describe('a shot from few words', () => {
	const lenses = Object.entries(LENSES).filter(([key]) => key !== 'phone');
	const groups = [[1], [2], [5, 6, 4]];

	it.each(lenses)('gives a plan with everyone in it, with %s', (_, lens) => {
		for (const counts of groups) {
			for (const part of FIGURE_PARTS) {
				const { shot, problem } = setUp(blank, lens, counts, part);
				expect(shot.people).toHaveLength(counts.reduce((sum, one) => sum + one, 0));
				const [short, long] = lens.focalMm;
				expect(shot.camera.focalMm).toBeGreaterThanOrEqual(short);
				expect(shot.camera.focalMm).toBeLessThanOrEqual(long);
				if (problem) continue;
				const { plan } = solve(shot);
				expect(plan.focus).not.toBeNull();
				expect(plan.unseen.filter(({ why }) => why === 'cut')).toEqual([]);
				expect(frameEdgesOf(shot)?.cutIds).toEqual([]);
			}
		}
	});

	it('says why when the lens cannot focus so near', () => {
		// a face fills an upright frame of 24 mm from about three hands away
		expect(setUp(blank, LENSES.wide24, [1], 'face').problem).toBeNull();
		const cannot = { ...LENSES.wide24, closestFocusM: 2 };
		const { shot, problem } = setUp(blank, cannot, [1], 'face');
		expect(problem).toMatchObject({ why: 'too-near', closestFocusM: 2 });
		expect(shot.people).toHaveLength(1);
	});

	it('a zoom is used as long as the distance stays comfortable', () => {
		const one = setUp(blank, LENSES.zoom70200, [1], 'head-and-shoulders').shot;
		const many = setUp(blank, LENSES.zoom70200, [5, 6, 4], 'full-length').shot;
		expect(one.camera.focalMm).toBeGreaterThan(many.camera.focalMm);
	});
});
