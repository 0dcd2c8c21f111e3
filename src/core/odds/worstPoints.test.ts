import { describe, expect, it } from 'vitest';
import { Random } from '../numeric/random';
import { WorstPoints, type Seen } from './worstPoints';

const FRAMES = 40;
const HALF = 25;
const TARGETS = 60;

/** Targets of frames, what is kept of them, and how often they had to be looked at again. */
function kept(streakOf: (disc: number, random: Random) => number) {
	const random = new Random(7);
	const targets = Array.from({ length: TARGETS }, (): Seen => {
		const discs = Float64Array.from({ length: FRAMES }, () => 20 * random.uniform());
		return { discs, streaks: discs.map((disc) => streakOf(disc, random)) };
	});
	const part = ({ discs, streaks }: Seen, from: number, to: number): Seen => ({
		discs: discs.subarray(from, to),
		streaks: streaks.subarray(from, to)
	});
	const again = { times: 0 };
	const worst = new WorstPoints(FRAMES, (frame) => {
		again.times += 1;
		return targets.map((one) => part(one, frame, frame + 1));
	});
	// in two lots, as they come
	for (const one of targets) worst.add(part(one, 0, HALF), 0, HALF);
	for (const one of targets) worst.add(part(one, HALF, FRAMES), HALF, FRAMES - HALF);
	const frames = Array.from({ length: FRAMES }, (_, frame) =>
		targets.map(({ discs, streaks }) => ({
			disc: discs[frame] as number,
			streak: streaks[frame] as number
		}))
	);
	return { worst, frames, again };
}

describe('a frame is judged by what is kept of it as by all of its targets', () => {
	it.each([
		[
			'what is blurred more is streaked less: every target may decide',
			(disc: number) => 400 - 20 * disc,
			true
		],
		[
			'blur and streak have nothing to do with each other',
			(_: number, random: Random) => 400 * random.uniform(),
			true
		],
		['what is blurred more is streaked more: one decides', (disc: number) => 20 * disc, false]
	])('%s', (_, streakOf, needsMore) => {
		const { worst, frames, again } = kept(streakOf);
		const isLost = Uint8Array.from(frames, (_, frame) => (frame % 5 === 3 ? 1 : 0));
		let sharp = 0;
		for (const fNumber of [2.8, 4, 4.5, 5.6]) {
			for (const standsForS of [1 / 500, 1 / 30, 1 / 20]) {
				const areSharp = frames.map((targets) =>
					targets.every(({ disc, streak }) => disc / fNumber ** 2 + streak * standsForS ** 2 <= 1)
				);
				expect(frames.map((_, frame) => worst.areSharp(frame, fNumber, standsForS))).toEqual(
					areSharp
				);
				expect(worst.sharpFrames(fNumber, standsForS, isLost)).toBe(
					areSharp.filter((one, frame) => one && isLost[frame] === 0).length
				);
				sharp += areSharp.filter(Boolean).length;
			}
		}
		for (const [frame, targets] of frames.entries()) {
			expect(worst.mostStreak(frame)).toBe(Math.max(...targets.map(({ streak }) => streak)));
		}
		// neither all nor none: both answers were tried
		expect(sharp).toBeGreaterThan(FRAMES);
		expect(sharp).toBeLessThan(11 * FRAMES);
		// the two that are kept decide, unless one is blurred and another streaked
		expect(again.times > 0).toBe(needsMore);
	});

	it('a frame of no targets is sharp', () => {
		const worst = new WorstPoints(1, () => []);
		expect(worst.areSharp(0, 1.4, 1)).toBe(true);
		expect(worst.mostStreak(0)).toBe(0);
	});
});
