import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuredFrame } from '$tests/support/frames';
import { ahead, shotOf } from '$tests/support/shots';
import { takeOf } from '$tests/support/solved';
import { there } from '$tests/support/there';
import { Random } from '../numeric/random';
import { defocusAt } from '../optics/blur';
import { focusAt } from '../optics/focus';
import { expectedShare } from './expected';
import { fewestFrames } from './fewestFrames';
import { learn } from './learn';
import type { SetOfShot } from './setOfShot';
import { handlingOf } from '../study/technique';
import { biasOf, focusingSpread, swayTimes, type FocusError } from './focusErrors';
import { rayleighScale } from '../numeric/rayleigh';
import { matched } from './people';
import { areShut, areUnlike } from './shutEyes';
import { PLANNED_VANTAGE } from './vantage';
import { whereFocusFell, discBy } from './whereFocusFell';

const LENS = { focalMm: 50, fNumber: 2.8, pxPerMm: 6000 / 36 };

/** Blur by section 3 of the model, written by the optics and not by what is tested. */
const blurs = (planeM: number, depths: readonly number[]) =>
	depths.map((depthM) => ({
		depthM,
		sigmaM: 0.01,
		discPx:
			defocusAt(focusAt({ focalMm: 50, fieldCurvature: 0 }, planeM), 2.8, {
				depthM,
				cosOffAxis: 1
			}) * LENS.pxPerMm,
		sigmaPx: 0.4
	}));

describe('where the focus fell', () => {
	it.each([2.8, 3.3, 4, 6])('is the plane that blurred three rows: %d m', (planeM) => {
		const fell = there(whereFocusFell(blurs(planeM, [3, 3.6, 4.4]), LENS));
		expect(fell.planeM).toBeGreaterThan(0.97 * planeM);
		expect(fell.planeM).toBeLessThan(1.03 * planeM);
		expect(fell.nearM).toBeLessThan(planeM);
		expect(fell.farM).toBeGreaterThan(planeM);
		expect(fell.otherwiseM).toBeNull();
	});

	it('may be on either side of one depth', () => {
		const fell = there(whereFocusFell(blurs(2.5, [3]), LENS));
		const sides = [fell.planeM, fell.otherwiseM as number].sort((a, b) => a - b);
		expect(sides[0]).toBeCloseTo(2.5, 1);
		expect(1 / (sides[1] as number)).toBeCloseTo(2 / 3 - 1 / 2.5, 2);
	});

	it('is not pulled away by one face that is measured wrongly', () => {
		const points = blurs(3.6, [3, 3.2, 3.6, 4, 4.4]);
		points[2] = { ...there(points[2]), discPx: 15 };
		expect(there(whereFocusFell(points, LENS)).planeM).toBeCloseTo(3.6, 1);
	});

	it('says how much what is elsewhere is blurred', () => {
		const fell = there(whereFocusFell(blurs(3.6, [3, 3.6, 4.4]), LENS));
		const [told] = blurs(3.6, [5]);
		expect(discBy(fell, LENS, 5, 0.01).discPx / there(told).discPx).toBeCloseTo(1, 1);
	});

	it('is nothing of nobody', () => expect(whereFocusFell([], LENS)).toBeNull());
});

describe('the fewest frames', () => {
	it('hold everybody, and are as few as can be', () => {
		const frames = fc.array(fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }), {
			minLength: 1,
			maxLength: 8
		});
		fc.assert(
			fc.property(frames, (good) => {
				const chosen = fewestFrames(good);
				const held = (some: readonly number[]) =>
					there(good[0]).map((_, person) => some.some((i) => good[i]?.[person]));
				const all = good.map((_, i) => i);
				expect(held(chosen)).toEqual(held(all));
				// every subset, the plain way
				const fewest = Math.min(
					...Array.from({ length: 2 ** good.length }, (_, bits) => {
						const some = all.filter((i) => bits & (1 << i));
						return String(held(some)) === String(held(all)) ? some.length : Infinity;
					})
				);
				expect(chosen.length).toBe(fewest);
			})
		);
	});

	it('begins with the best', () => {
		expect(
			fewestFrames([
				[true, false, false],
				[false, true, true]
			])
		).toEqual([1, 0]);
		expect(fewestFrames([[false], [false]])).toEqual([]);
	});

	it('is found for eighty people in sixty frames', () => {
		const random = new Random(2);
		const good = Array.from({ length: 60 }, () =>
			Array.from({ length: 80 }, () => random.uniform() < 0.8)
		);
		expect(fewestFrames(good).length).toBeLessThan(6);
	});
});

describe('shut eyes', () => {
	it('are shut against that person’s own', () => {
		expect(areShut([0.4, 0.39, 0.2, 0.41])).toEqual([false, false, true, false]);
		// narrow eyes are open
		expect(areShut([0.26, 0.27, 0.25, 0.26])).toEqual([false, false, false, false]);
		expect(areShut([0.15])).toEqual([true]);
		expect(areShut([])).toEqual([]);
		expect(areShut([0.4, null, 0.4, 0.4])).toEqual([false, false, false, false]);
	});

	it('of a profile are told by how like an open eye they are, unless none is', () => {
		expect(areUnlike([null, 0.96, 0.9, 0.5])).toEqual([false, false, false, true]);
		// a bright background beside the nose changes more than lids do
		expect(areUnlike([null, 0.7, 0.6, 0.5])).toEqual([false, false, false, false]);
		expect(areUnlike([null, 0.5])).toEqual([false, true]);
	});
});

describe('who is who', () => {
	const row = [100, 300, 500].map((x) => ({ x, y: 200, widthPx: 80 }));
	it('is found after the camera moved', () => {
		const moved = row.map(({ x, y, widthPx }) => ({ x: x + 130, y: y - 40, widthPx }));
		expect(matched(row, moved)).toEqual([0, 1, 2]);
		expect(matched(row, [there(moved[2]), there(moved[0])])).toEqual([2, 0]);
	});
	it('is nobody where a stranger came', () => {
		const stranger = { x: 900, y: 600, widthPx: 80 };
		expect(matched(row, [...row, stranger])).toEqual([0, 1, 2, null]);
	});
});

describe('what was expected', () => {
	const rungs = [2, 2.8, 4].map((fNumberExact, i) => ({ fNumberExact, odds: { share: i / 10 } }));
	const set = (fNumbers: readonly (number | undefined)[]) =>
		({ frames: fNumbers.map((fNumber) => ({ frame: { facts: { fNumber } } })) }) as never;
	it('is that of the f-number it was really taken with', () => {
		expect(expectedShare(rungs, set([2.8, 2.8, 4]))).toBe(0.1);
		expect(expectedShare(rungs, set([4, 4, 2.8]))).toBe(0.2);
		expect(expectedShare(rungs, set([undefined]))).toBeNull();
		expect(expectedShare([], set([4]))).toBeNull();
	});
});

describe('learning', () => {
	// 4000 draws: both are known to three of a hundred
	it('finds the scale of shaking although what is little is not seen', () => {
		const random = new Random(7);
		const rates = Array.from({ length: 4000 }, () => {
			const rate = 0.6 * Math.sqrt(-2 * Math.log(1 - random.uniform()));
			return rate < 0.7 ? { rate: 0.7, isLess: true } : { rate, isLess: false };
		});
		expect(there(rayleighScale(rates)) / 0.6).toBeCloseTo(1, 1);
		expect(rayleighScale(rates.slice(0, 2))).toBeNull();
	});

	const UNIT_MM = 0.05;
	const error = (random: Random, focusing: number, sway: number, others: number): FocusError => ({
		error: 0.1 + Math.hypot(focusing, sway, others) * random.normal(),
		unitMm: UNIT_MM,
		swaySquare: sway ** 2,
		othersSquare: others ** 2
	});

	it('finds the spread of focusing beside what sway and measuring add', () => {
		const random = new Random(3);
		const errors = Array.from({ length: 4000 }, (_, i) => error(random, 0.3, i % 2 ? 0.2 : 0.5, 0));
		const { spread, weight } = focusingSpread(errors);
		expect(spread).toBeCloseTo(0.3, 1);
		// half of the frames tell much more than the others
		expect(weight).toBeLessThan(2800);
	});

	it('takes little from frames in which the rest hides it', () => {
		const random = new Random(5);
		const errors = Array.from({ length: 12 }, () => error(random, 0, 0, 1));
		expect(focusingSpread(errors).weight).toBeLessThan(8);
	});

	// from close by, sway is most of the error; from far off it is none of it
	const nearAndFar = (random: Random, count: number, times: number) =>
		Array.from({ length: count }, (_, i) => {
			const assumed = i % 2 ? 0.6 : 0.05;
			return { ...error(random, 0.3, times * assumed, 0.05), swaySquare: assumed ** 2 };
		});
	it('tells sway from focusing by frames from close by and from far off', () => {
		for (const times of [0.5, 1, 2]) {
			const sway = there(swayTimes(nearAndFar(new Random(11), 1500, times)));
			expect(sway.spread / times, `${times}`).toBeGreaterThan(0.9);
			expect(sway.spread / times, `${times}`).toBeLessThan(1.1);
		}
	});
	it('tells no sway where all frames are from one distance, or they are few', () => {
		const random = new Random(13);
		const same = Array.from({ length: 400 }, () => error(random, 0.3, 0.3, 0.05));
		expect(swayTimes(same)).toBeNull();
		expect(swayTimes(nearAndFar(random, 8, 1))).toBeNull();
	});

	it('learns from real frames, not from what the practice camera took', () => {
		const shot = shotOf({ people: [ahead('p', 3)] });
		const take = takeOf(shot);
		const taken = (isPractice: boolean, count: number): SetOfShot => {
			// of every other frame the eyes are shut
			const frames = Array.from({ length: count }, (_, i) => ({
				frame: { ...measuredFrame(`${i}`), facts: { isPractice } },
				faces: [{ near: 'left', blurs: {}, isShut: i % 2 === 1 }],
				fell: null,
				vantage: PLANNED_VANTAGE
			}));
			const set = { people: [{}], frames } as never;
			return { shot, set, take, handling: handlingOf(take) };
		};
		const real = learn([taken(false, 12)]);
		expect(real).toMatchObject([{ key: 'blinksPerMinute', frames: 12 }]);
		expect(learn([taken(true, 12)])).toEqual([]);
		expect(learn([taken(true, 40), taken(false, 12)])).toEqual(real);
	});

	it('says a bias only where it is more than chance', () => {
		const random = new Random(17);
		const errors = Array.from({ length: 60 }, () => error(random, 0.1, 0, 0));
		expect(there(biasOf(errors)) / (0.1 * UNIT_MM)).toBeCloseTo(1, 0);
		const straight = errors.map((one) => ({ ...one, error: one.error - 0.1 }));
		expect(biasOf(straight)).toBeNull();
	});
});
