import { describe, expect, it } from 'vitest';
import type { ShotInput } from '../format/shot';
import { readShot } from '../format/shotFile';
import { solve } from '$tests/support/solved';
import before from './before.json';

/**
 * Files from before the odds decided, with what was planned for them then: written by the version
 * before, which knew nothing of sureness, computed shutters, comfort ISO and stabilisers.
 */
describe('files from before open and mean the same', () => {
	it.each(before.map((one) => [one.shot.title, one] as const))('%s', (_, { shot, plan }) => {
		const reading = readShot(shot as unknown as ShotInput);
		if (!reading.ok) throw new Error(reading.message);
		expect(reading.shot.choices).toMatchObject({ pickBy: 'widest', shutterRule: 1 });
		const now = solve(reading.shot).plan;
		expect(now.feasible).toBe(plan.feasible);
		expect(now.fNumberExact).toBeCloseTo(plan.fNumberExact, 12);
		expect(now.focus).toMatchObject({ personId: plan.focus.personId, thingId: plan.focus.thingId });
		expect(now.focus?.planeM).toBeCloseTo(plan.focus.planeM, 9);
		expect(now.worstRatio).toBeCloseTo(plan.worstRatio, 9);
		expect(now.exposure?.shutterS).toBeCloseTo(plan.exposure.shutterS, 12);
		expect(now.exposure?.iso).toBeCloseTo(plan.exposure.iso, 6);
		expect(now.exposure?.flashPower).toBe(plan.exposure.flashPower);
	});
});
