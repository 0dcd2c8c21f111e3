import { describe, expect, it } from 'vitest';
import { Random } from '../numeric/random';
import { WorstPoints } from './worstPoints';

const FRAMES = 40;
const TARGETS = 60;

/** Targets of frames, and what is kept of them. */
function kept(streakOf: (disc: number, random: Random) => number) {
	const random = new Random(7);
	const worst = new WorstPoints(FRAMES, TARGETS);
	const frames = Array.from({ length: FRAMES }, (_, frame) => {
		const discs = Float64Array.from({ length: TARGETS }, () => 20 * random.uniform());
		const streaks = discs.map((disc) => streakOf(disc, random));
		worst.keep(frame, discs, streaks);
		return [...discs].map((disc, i) => ({ disc, streak: streaks[i] as number }));
	});
	return { worst, frames };
}

describe('a frame is judged by what is kept of it as by all of its targets', () => {
	it.each([
		[
			'what is blurred more is streaked less: every target may decide',
			(disc: number) => 400 - 20 * disc
		],
		[
			'blur and streak have nothing to do with each other',
			(_: number, random: Random) => 400 * random.uniform()
		],
		['what is blurred more is streaked more: one decides', (disc: number) => 20 * disc]
	])('%s', (_, streakOf) => {
		const { worst, frames } = kept(streakOf);
		let sharp = 0;
		for (const [frame, targets] of frames.entries()) {
			for (const fNumber of [2.8, 4, 4.5, 5.6]) {
				for (const standsForS of [1 / 500, 1 / 30, 1 / 20]) {
					const areSharp = targets.every(
						({ disc, streak }) => disc / fNumber ** 2 + streak * standsForS ** 2 <= 1
					);
					expect(worst.areSharp(frame, fNumber, standsForS)).toBe(areSharp);
					if (areSharp) sharp += 1;
				}
			}
			expect(worst.mostStreak(frame)).toBe(Math.max(...targets.map(({ streak }) => streak)));
		}
		// neither all nor none: both answers were tried
		expect(sharp).toBeGreaterThan(FRAMES);
		expect(sharp).toBeLessThan(11 * FRAMES);
	});

	it('a frame of no targets is sharp', () => {
		const worst = new WorstPoints(1, 0);
		worst.keep(0, new Float64Array(0), new Float64Array(0));
		expect(worst.areSharp(0, 1.4, 1)).toBe(true);
		expect(worst.mostStreak(0)).toBe(0);
	});
});
