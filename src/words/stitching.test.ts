import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import { stitchingOf, wideShotOf } from '$core/study/wideShot';
import { metricLengths } from '$tests/support/lengths';
import {
	movingWords,
	pathWords,
	shellWords,
	stepWords,
	stitchProblemWords,
	stitchWords
} from './stitching';

const view = { acrossDeg: 54.4, downDeg: 37.8, overlap: 1 / 3, mostFrames: 20 };
const { taken } = study(
	shotOf({
		lens: LENSES.portrait85,
		focalMm: 85,
		people: [
			person('Mira', [0, 1.6, 3], { need: 'key' }),
			person('Teo', [1.2, 1.6, 5], { need: 'free', motion: 'restless' })
		]
	})
);
if (!taken) throw new Error('nothing to focus on');
const take = taken;
const stitching = stitchingOf(take, view);
if (!stitching.ok) throw new Error(stitching.why);
const { stitch } = stitching;

describe('wide and shallow in words', () => {
	it('says how many frames, what they equal and how to turn', () => {
		expect(stitchWords(stitch)).toMatch(
			/^3 × 4, 12 frames: the view at 35 mm, the blur of f\/\d\.\d+, \d+ megapixels\.$/
		);
		expect(stepWords(stitch)).toBe('Turn 16° from frame to frame and 11° from row to row.');
	});

	it('tells the way frame by frame, each once', () => {
		const path = pathWords(stitch, 'Mira');
		expect(path.startsWith('1 on Mira; 2 ')).toBe(true);
		expect(path).toMatch(/(^|[ ;])12 /);
	});

	it('tells the shell in one’s own units', () => {
		const wide = wideShotOf(take, view, stitch);
		expect(shellWords(wide, 'm')).toMatch(/^Sharp \d\.\d\d m from you wherever you turn/);
		expect(metricLengths(shellWords(wide, 'ft'))).toEqual([]);
	});

	it('warns of who moves', () => {
		expect(movingWords(take)).toMatch(/^Teo will have moved/);
	});

	it('says why it cannot be had', () => {
		expect(stitchProblemWords({ why: 'too-wide' }, 20)).toContain('180 degrees');
		expect(stitchProblemWords({ why: 'one-frame' }, 20)).toContain('One frame');
		expect(stitchProblemWords({ why: 'too-many', frames: 30, columns: 6, rows: 5 }, 20)).toContain(
			'30 frames (6 × 5), more than 20'
		);
	});
});
