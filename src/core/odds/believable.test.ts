import { describe, expect, it } from 'vitest';
import { readShot } from '../format/shotFile';
import { solve } from '$tests/support/solved';
import { ASSUMED } from '../tables/spreads';
import examples from './believable.json';
import { DECIDING_FRAMES, SEED } from './chanceOf';
import { oddsOf } from './odds';

/** Six shots worked out by an independent program: decisions exactly, shares as near as it says. */
describe.each(examples.map((example) => [example.what, example] as const))('%s', (_, example) => {
	const { shot: input, expect: expected } = example;
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	const { plan, take } = solve(reading.shot);
	const { within } = expected;
	const near = (value: number, wanted: number, most: number) =>
		expect(Math.abs(value - wanted), `${value} against ${wanted}`).toBeLessThanOrEqual(most);

	it('decides the same', () => {
		const { feasible, fNumberExact, focus, exposure } = plan;
		expect({ feasible, flags: exposure?.flags }).toEqual({
			feasible: expected.feasible,
			flags: expected.exposure.flags
		});
		expect(fNumberExact).toBeCloseTo(expected.fNumberExact, 6);
		const { depthM, planeM, leanM, ...named } = expected.focus;
		expect(focus).toMatchObject(named);
		expect(focus?.depthM).toBeCloseTo(depthM, 6);
		expect(focus?.planeM).toBeCloseTo(planeM, 6);
		if (leanM === null) expect(focus?.leanM).toBeNull();
		else expect(focus?.leanM).toBeCloseTo(leanM, 6);
		expect(exposure?.iso).toBeCloseTo(expected.exposure.iso, 3);
		near((exposure?.shutterS ?? 0) / expected.exposure.shutterS, 1, within.shutterS);
	});

	it('has the same odds', () => {
		if (!take) throw new Error('nothing to focus on');
		const odds = oddsOf(take, DECIDING_FRAMES, SEED, ASSUMED);
		near(odds.sharpShare, expected.sharpShare, within.sharpShare);
		near(odds.share, expected.keepers, within.keepers);
		expect(expected.toTake).toContain(odds.toTake);
		for (const [id, share] of Object.entries(expected.people)) {
			const found = odds.people.find(({ personId }) => personId === id);
			near(found?.share ?? NaN, share, within.keepers);
		}
	});

	it('has the same ladder', () => {
		for (const wanted of expected.ladder) {
			const rung = plan.ladder.find(
				({ fNumberExact }) => Math.abs(fNumberExact / wanted.fNumberExact - 1) < 1e-6
			);
			if (!rung) return expect.unreachable();
			expect(rung.flags).toEqual(wanted.flags);
			expect(rung.iso).toBeCloseTo(wanted.iso, 2);
			near(rung.sharpShare ?? NaN, wanted.sharpShare, within.ladderSharpShare);
			near((rung.shutterS ?? 0) / wanted.shutterS, 1, within.shutterS);
		}
	});

	it('has the same limits of the shutter', () => {
		if (!take) throw new Error('nothing to focus on');
		const { fewLostS, someLostS } = take.candidate.chance.shutterLimits(take);
		near(fewLostS / expected.shutter.t1S, 1, within.t1S);
		near(someLostS / expected.shutter.t2S, 1, within.t2S);
	});
});
