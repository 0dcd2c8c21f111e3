import { describe, expect, it } from 'vitest';
import { ahead, person, planOf, shotOf } from '$tests/support/shots';
import { limitKindOf, pastLimits } from './limits';

const light = { mode: 'ambient', ev100: 6 } as const;

describe('my own limits', () => {
	it('go by the kind of shot', () => {
		const many = [0, 1, 2].map((i) => person(`p${i}`, [i * 0.6, 1.6, 4]));
		expect(limitKindOf(shotOf({ people: [ahead('a', 3)] }))).toBe('one');
		expect(limitKindOf(shotOf({ people: many.slice(1) }))).toBe('two');
		expect(limitKindOf(shotOf({ people: many }))).toBe('group');
		// whoever does not matter does not count
		expect(
			limitKindOf(shotOf({ people: [ahead('a', 3), person('b', [1, 1.6, 4], { need: 'free' })] }))
		).toBe('one');
		expect(limitKindOf(shotOf({ people: [ahead('a', 3, { motion: 'walking' })] }))).toBe('moving');
		const flash = { mode: 'flash', guideNumberM: 36, distanceM: 2, ambientEv100: 4 } as const;
		expect(limitKindOf(shotOf({ people: many, light: flash }))).toBe('flash');
	});

	it('say what is past them, and nothing of what is within or not known', () => {
		const plan = planOf({
			people: [ahead('a', 3)],
			light,
			choices: { fNumberExact: 4, shutterS: 1 / 60 }
		});
		// N²/t = 2^EV ISO/100: 16 x 60 / 64 = 15
		expect(plan.exposure?.iso).toBeCloseTo(1500, 6);
		expect(pastLimits(plan, { slowestS: 1 / 125, fNumber: 2.8, highestIso: 800 })).toEqual([
			{ what: 'slowestS', value: 1 / 60, limit: 1 / 125 },
			{ what: 'fNumber', value: 4, limit: 2.8 },
			{ what: 'highestIso', value: plan.exposure?.iso, limit: 800 }
		]);
		expect(pastLimits(plan, { slowestS: 1 / 60, fNumber: 4.5, highestIso: 1600 })).toEqual([]);
		expect(pastLimits(plan, {})).toEqual([]);
		const dark = planOf({ people: [ahead('a', 3)], choices: { fNumberExact: 4 } });
		expect(pastLimits(dark, { slowestS: 1 / 8000, highestIso: 100 })).toEqual([]);
	});
});
