import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import {
	ahead,
	EYE_M,
	person,
	planOf,
	shotOf,
	thing,
	toldOf,
	type Place
} from '$tests/support/shots';
import type { Shot } from '../format/shot';
import { cautionsOf } from './reasons/cautions';
import { lookAt } from './scene';
import { takeOf, solve } from '$tests/support/solved';
import { thingResults } from './take';
import { judgeThing } from './things';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Small groups that all face the camera, side by side so that nobody is hidden. */
const groups = fc
	.array(fc.record({ z: between(3, 9), turnDeg: between(-40, 40) }), {
		minLength: 2,
		maxLength: 5
	})
	.map((all) =>
		all.map(({ z, turnDeg }, i) =>
			person(`p${i}`, [(i - 2) * 0.21 * z * 0.3, EYE_M, z] as Place, { turnDeg })
		)
	);

const needed = (plan: ReturnType<typeof planOf>) =>
	Math.min(...plan.ladder.map(({ worstRatio, fNumberExact }) => worstRatio * fNumberExact));

describe('laws', () => {
	it('the free plane is never worse than any real target', () => {
		fc.assert(
			fc.property(groups, between(-0.5, 1), (people, fieldBend) => {
				const lens = { ...LENSES.wide35, smallestFNumber: 64, fieldBend };
				const plan = planOf({ people, lens });
				fc.pre(plan.free?.gainStops != null);
				expect(plan.free?.gainStops).toBeGreaterThanOrEqual(-1e-9);
			})
		);
	});

	it('equal needs on a flat field: the harmonic mean of nearest and farthest', () => {
		fc.assert(
			fc.property(groups, (people) => {
				const plan = planOf({ people });
				const depths = plan.targets.map(({ depthM }) => depthM);
				fc.pre(depths.length > 0);
				const harmonic = 2 / (1 / Math.min(...depths) + 1 / Math.max(...depths));
				expect(plan.free?.depthM).toBeCloseTo(harmonic, 9);
			})
		);
	});

	it('another target never lowers the f-number needed while the candidates stay the same', () => {
		fc.assert(
			fc.property(groups, between(2, 12), (people, z) => {
				// somebody who may be soft is a target, but no candidate beside those who must be sharp
				const more = [...people, person('soft', [-0.25 * z, EYE_M, z], { need: 'soft' })];
				const before = planOf({ people });
				const after = planOf({ people: more });
				fc.pre(before.unseen.length === after.unseen.length);
				expect(needed(after)).toBeGreaterThanOrEqual(needed(before) - 1e-12);
			})
		);
	});

	it('ratios fall as the lens is stopped down, by the same factor as the blur', () => {
		fc.assert(
			fc.property(groups, (people) => {
				const { ladder } = planOf({ people });
				ladder.slice(1).forEach(({ worstRatio }, i) => {
					const before = ladder[i];
					expect(worstRatio).toBeCloseTo((before?.worstRatio ?? 0) / 2 ** (1 / 6), 9);
				});
			})
		);
	});

	it('moving everything and the camera together changes nothing', () => {
		fc.assert(
			fc.property(groups, between(-90, 90), between(-50, 50), (people, x, z) => {
				const here = planOf({ people });
				const there = planOf({
					people: people.map((one) => ({
						...one,
						eyeMidpoint: {
							x: one.eyeMidpoint.x + x,
							y: one.eyeMidpoint.y,
							z: one.eyeMidpoint.z + z
						}
					})),
					camera: { position: { x, y: EYE_M, z } }
				});
				expect(there.fNumber).toBe(here.fNumber);
				expect(there.worstRatio).toBeCloseTo(here.worstRatio ?? NaN, 6);
			})
		);
	});
});

describe('slack', () => {
	const slackOf = (people: readonly ReturnType<typeof ahead>[], choices = {}) =>
		planOf({ people, choices: { safetyStops: 0, ...choices } }).slack;

	it('one face in focus: as far as its own sharp zone reaches, farther back than forward', () => {
		const slack = slackOf([ahead('p', 3, { keep: 'near-eye' })], { fNumberExact: 2.8 });
		// near and far limit by the classical formulas, 50 mm, tolerance 36 x 1.5 / 3240
		const c0 = (1.5 * 36) / 3240;
		const h = 2500 / (2 ** 1.5 * c0) + 50;
		expect(slack?.cameraForwardM).toBeCloseTo(3 - (3 * (h - 50)) / (h + 3000 - 100), 6);
		expect(slack?.cameraBackM).toBeCloseTo((3 * (h - 50)) / (h - 3000) - 3, 6);
		expect(slack?.people).toEqual([
			{
				personId: 'p',
				forwardM: expect.closeTo(slack?.cameraForwardM ?? 0, 9),
				backM: expect.closeTo(slack?.cameraBackM ?? 0, 9)
			}
		]);
	});

	it('none where somebody is soft already; without limit where the zone reaches infinity', () => {
		const [near, far] = [person('near', [-0.4, EYE_M, 3]), person('far', [0.4, EYE_M, 6])];
		const soft = slackOf([near, far], { fNumberExact: 1.4 });
		expect(soft).toMatchObject({ cameraForwardM: 0, cameraBackM: 0 });
		const deep = planOf({
			people: [ahead('p', 4)],
			lens: LENSES.wide24,
			sharpness: { standard: 'album' },
			choices: { fNumberExact: 16 }
		}).slack;
		expect(deep?.cameraBackM).toBeNull();
		expect(deep?.cameraForwardM).toBeGreaterThan(1);
	});
});

describe('things', () => {
	const scene = () =>
		lookAt(
			shotOf({
				people: [ahead('p', 3)],
				things: [
					thing('sharp', [0.5, EYE_M, 3], { intent: 'sharp' }),
					thing('any', [0.5, EYE_M, 30]),
					thing('outside', [40, EYE_M, 6], { intent: 'readable' }),
					thing('behind', [0, EYE_M, -4], { intent: 'sharp' })
				]
			})
		);

	it('outside the frame count for nothing, also as something to be sharp', () => {
		const { plan, take } = solve(scene().shot);
		expect(plan.things.map(({ state }) => state).slice(2)).toEqual(['outside', 'outside']);
		expect(plan.targets.some(({ thingId }) => thingId === 'behind')).toBe(false);
		expect(plan.ladder[0]?.things).toBe(2);
		if (!take) throw new Error('no pick');
		expect(thingResults(take)).toEqual(plan.things);
	});

	it('meant to be anything are always met', () => {
		const { candidate } = takeOf(scene().shot);
		const seen = scene().things[1];
		if (!seen) throw new Error('no thing');
		expect(judgeThing(scene(), seen, candidate.focus, 1.4)).toMatchObject({
			met: true,
			intent: 'any',
			state: 'dissolved'
		});
	});

	it('partly in the frame count', () => {
		const half = lookAt(shotOf({ things: [thing('t', [1.4, EYE_M, 3], { widthM: 1 })] }));
		expect(half.things[0]?.inFrame).toBe(true);
		const out = lookAt(shotOf({ things: [thing('t', [1.7, EYE_M, 3], { widthM: 1 })] }));
		expect(out.things[0]?.inFrame).toBe(false);
	});
});

describe('the sun', () => {
	const codes = (sun: Shot['sun'], ev100 = 15) =>
		cautionsOf({
			...shotOf({ people: [ahead('p', 3)], light: { mode: 'ambient', ev100 } }),
			sun
		}).map(({ code }) => code);

	it('is warned of where the camera might look into it, once it is known where it stands', () => {
		expect(codes(undefined)).toContain('sun');
		expect(codes({ aroundDeg: 20, altitudeDeg: 15 }, 10)).toContain('sun');
		expect(codes({ aroundDeg: 160, altitudeDeg: 15 })).not.toContain('sun');
		expect(codes({ aroundDeg: 20, altitudeDeg: -3 })).not.toContain('sun');
	});
});

describe('cautions', () => {
	const codes = (shot: Shot) => cautionsOf(shot).map(({ code }) => code);
	const flash = {
		mode: 'flash',
		guideNumberM: 40,
		distanceM: 3,
		ambientEv100: 5
	} as const;

	it.each([
		[
			'flash and an infant',
			{ people: [ahead('a', 3, { build: 'infant' })], light: flash },
			'flash-infant'
		],
		[
			'flash and a dog',
			{ people: [ahead('a', 3, { build: 'dog' })], light: flash },
			'flash-animal'
		],
		['flash and anyone', { people: [ahead('a', 3)], light: flash }, 'flash-people'],
		['a camera on something', { camera: { position: { x: 0, y: 3, z: 0 } } }, 'raised-camera'],
		['people on steps', { people: [person('a', [0, 2.3, 4])] }, 'raised-people'],
		['a tripod', { camera: { support: 'tripod' } }, 'support'],
		['a child', { people: [ahead('a', 3, { build: 'child' })] }, 'permission']
	] as const)('%s', (_, sketch, code) => {
		expect(codes(shotOf(sketch))).toContain(code);
		expect(codes(shotOf({ people: [ahead('a', 3)] }))).not.toContain(code);
	});
});

describe('reasons', () => {
	it('name the face that is hardest to hold', () => {
		const plan = toldOf({ people: [ahead('Noor', 4), person('Radu', [0.6, EYE_M, 4.4])] });
		const [binding] = plan.reasons;
		expect(binding?.code).toBe('binding');
		expect(binding?.text).toMatch(/^(Noor|Radu)’s (left|right) eye is the hardest to hold at f\//);
	});

	it('offer the lean only when it gains a third of a stop', () => {
		const two = (z: number) => [person('a', [-0.4, EYE_M, 3]), person('b', [0.4, EYE_M, z])];
		const codes = (z: number) => planOf({ people: two(z) }).reasons.map(({ code }) => code);
		expect(codes(3.6)).toContain('lean');
		expect(codes(3)).not.toContain('lean');
		// nor where the places are known less well than that, nor on a tripod
		const unsure = two(3.6).map((one) => ({ ...one, depthSigmaM: 0.5 }));
		const steady = { people: two(3.6), camera: { support: 'tripod' } } as const;
		for (const sketch of [{ people: unsure }, steady]) {
			expect(planOf(sketch).reasons.map(({ code }) => code)).not.toContain('lean');
		}
	});
});
