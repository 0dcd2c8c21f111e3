import { describe, expect, it } from 'vitest';
import { PracticeTruthSchema } from '$core/format/practiceTruth';
import { ASSUMED } from '$core/tables/spreads';
import { ahead, shotOf } from '$tests/support/shots';
import { rollsOf } from './day';
import { framesOf, type RollOrder } from './roll';
import { truthOf } from './truth';

const order: RollOrder = {
	shot: shotOf({
		people: [ahead('a', 3), ahead('b', 3.2)],
		light: { mode: 'ambient', ev100: 8 }
	}),
	own: {},
	frames: 5,
	seed: 11,
	spreads: ASSUMED,
	longSidePx: 1200,
	localMs: Date.UTC(2026, 8, 26, 17, 0, 0),
	offsetMinutes: 120,
	firstNumber: 8
};

describe('a roll', () => {
	it('is numbered through, each frame a moment after the one before', () => {
		const frames = framesOf(order);
		expect(frames.map(({ name }) => name)).toEqual(
			['0008', '0009', '0010', '0011', '0012'].map((number) => `practice-${number}.jpg`)
		);
		const pauses = frames.slice(1).map(({ localMs }, i) => localMs - (frames[i]?.localMs ?? 0));
		expect(Math.min(...pauses)).toBeGreaterThanOrEqual(900);
		expect(Math.max(...pauses)).toBeLessThanOrEqual(3300);
	});

	it('takes what is set instead of the plan, and the light decides what that looks like', () => {
		const [planned] = framesOf(order);
		const [dark] = framesOf({ ...order, own: { fNumber: 16, shutterS: 1 / 1000, iso: 100 } });
		expect(planned?.settings.gain).toBeCloseTo(1, 6);
		expect(dark?.settings).toMatchObject({ shutterS: 1 / 1000, iso: 100 });
		expect(dark?.settings.fNumber).toBeCloseTo(16, 6);
		// f/16, 1/1000, ISO 100 ask for EV 18; there is EV 8 (APEX)
		expect(Math.log2(dark?.settings.gain ?? 1)).toBeCloseTo(-10, 1);
	});

	it('its truth is the same whatever the size of the pixels, and stands in a file of its own', () => {
		const truth = truthOf([order]);
		expect(PracticeTruthSchema.parse(JSON.parse(JSON.stringify(truth)))).toEqual(truth);
		const large = truthOf([{ ...order, longSidePx: 6000 }]);
		expect(large.frames.map(({ faces }) => faces)).toEqual(truth.frames.map(({ faces }) => faces));
		expect(large.frames[0]?.widthPx).toBe(6000);
	});

	it('a practice day is one roll a shot, with numbers and seeds of their own', () => {
		const { shot, localMs } = order;
		const rolls = rollsOf({
			shots: [
				{ shot, localMs, offsetMinutes: 0 },
				{ shot, localMs: localMs + 600_000, offsetMinutes: 0 }
			],
			framesOfEach: 6,
			seed: 2,
			longSidePx: 1200,
			spreads: ASSUMED
		});
		expect(rolls.map(({ firstNumber }) => firstNumber)).toEqual([1, 7]);
		const names = rolls.flatMap((roll) => framesOf(roll)).map(({ name }) => name);
		expect(new Set(names).size).toBe(12);
		const focused = rolls.map((roll) => framesOf(roll)[0]?.release.focus.planeM);
		expect(focused[0]).not.toBe(focused[1]);
	});

	it('says when there is nothing to take', () => {
		const blocked = shotOf({ people: [ahead('a', 0.2)] });
		expect(() => framesOf({ ...order, shot: blocked })).toThrow(/can focus on/);
	});
});
