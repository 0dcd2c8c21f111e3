import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { ahead, EYE_M, person, planOf, toldOf, shotOf, thing } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { asksForSomething } from './study';

const NEAR_EYE = { keep: 'near-eye' } as const;

/** Three faces one behind another, beside each other so that all are seen. */
const threeDeep = (
	needs: readonly ('key' | 'sharp' | 'soft' | 'free')[] = ['sharp', 'sharp', 'sharp']
) =>
	[4, 4.5, 5].map((z, i) =>
		person(['front', 'middle', 'back'][i] as string, [(i - 1) * 0.5, EYE_M, z], {
			...NEAR_EYE,
			need: needs[i] ?? 'sharp'
		})
	);

describe('the pick', () => {
	it('is as wide as everyone stays sharp, with the margin in hand', () => {
		const without = planOf({ people: threeDeep(), choices: { safetyStops: 0 } });
		const withStop = planOf({ people: threeDeep(), choices: { safetyStops: 1 } });
		expect(without.feasible).toBe(true);
		expect(without.focus?.personId).toBe('middle');
		const stops = 2 * Math.log2((withStop.fNumberExact ?? 0) / (without.fNumberExact ?? 1));
		expect(stops).toBeCloseTo(1, 9);
		// what is reported is without the margin
		expect(withStop.worstRatio).toBeLessThan(1 / Math.SQRT2);
	});

	it('gives up the margin, and says so, where the lens does not go further', () => {
		const lens = { ...LENSES.normal50, smallestFNumber: 5 };
		const people = threeDeep();
		const just = planOf({ people, lens, choices: { safetyStops: 2 } });
		expect(just.feasible).toBe(true);
		expect(just.reasons.map(({ code }) => code)).toContain('no-margin');
	});

	it('when nothing will do, serves the key person first and then everyone', () => {
		const lens = { ...LENSES.portrait85, smallestFNumber: 4 };
		const plan = toldOf({ people: threeDeep(['sharp', 'sharp', 'key']), lens });
		expect(plan.feasible).toBe(false);
		expect(plan.focus?.personId).toBe('back');
		const ofBack = plan.targets.filter(({ personId }) => personId === 'back');
		expect(ofBack.every(({ ratio }) => ratio <= 1)).toBe(true);
		const infeasible = plan.reasons.find(({ code }) => code === 'infeasible');
		expect(infeasible?.text).toMatch(
			/still (\d(\.\d)? stops?|(a|two) thirds? of a stop) short of sharp\.$/
		);
	});

	it('of two that do as well, takes the key person, then the one nearest the centre', () => {
		const pair = (more: object, other: object = {}) => [
			person('left', [-0.6, EYE_M, 4], { ...NEAR_EYE, ...other }),
			person('right', [0.3, EYE_M, 4], { ...NEAR_EYE, ...more })
		];
		expect(planOf({ people: pair({}) }).focus?.personId).toBe('right');
		expect(planOf({ people: pair({}, { need: 'key' }) }).focus?.personId).toBe('left');
		expect(planOf({ people: pair({}).reverse() }).focus?.personId).toBe('right');
	});

	it('prefers faces to the background, and the background to light', () => {
		const people = [ahead('bride', 3, NEAR_EYE)];
		const lanterns = (intent: 'dissolved' | 'readable') =>
			planOf({ people, things: [thing('lanterns', [0.6, 2, 9], { detailMm: 20, intent })] });
		const dissolved = lanterns('dissolved');
		expect(dissolved.fNumber).toBe(1.4);
		expect(dissolved.things[0]).toMatchObject({ state: 'dissolved', met: true });
		// to be readable at 9 m with the focus at 3 m the lens must stop down
		const readable = lanterns('readable');
		expect(readable.things[0]).toMatchObject({ state: 'readable', met: true });
		expect(readable.fNumber).toBeGreaterThan(4);
		const wider = readable.ladder.filter(({ fNumber }) => fNumber < (readable.fNumber ?? 0));
		expect(wider.every(({ thingsMet }) => thingsMet === 0)).toBe(true);
	});

	it('lets a background go rather than a face', () => {
		const plan = planOf({
			people: threeDeep(),
			things: [thing('wall', [1.2, EYE_M, 5.4], { detailMm: 200, intent: 'dissolved' })]
		});
		expect(plan.feasible).toBe(true);
		expect(plan.things[0]?.met).toBe(false);
	});

	it('focuses on a thing that is meant to be sharp, and holds it', () => {
		const plan = planOf({
			people: [ahead('bandleader', 3, { need: 'soft' })],
			things: [thing('trumpet', [0.2, EYE_M - 0.2, 2.6], { intent: 'sharp', detailMm: 5 })]
		});
		expect(plan.focus).toMatchObject({ kind: 'thing', thingId: 'trumpet', eye: null });
		expect(plan.targets.find(({ thingId }) => thingId)?.ratio).toBeCloseTo(0, 9);
		expect(plan.things[0]).toMatchObject({ intent: 'sharp', met: true });
	});

	it('focuses on somebody who may be soft only when nobody must be sharp', () => {
		const all = threeDeep(['soft', 'sharp', 'soft']);
		expect(planOf({ people: all }).focus?.personId).toBe('middle');
		expect(planOf({ people: threeDeep(['soft', 'soft', 'free']) }).focus).not.toBeNull();
	});
});

describe('what the user has fixed', () => {
	const people = threeDeep();

	it('a person: their near eye, the f-number still chosen', () => {
		const plan = planOf({ people, choices: { focus: { personId: 'front' } } });
		expect(plan.focus).toMatchObject({ kind: 'eye', personId: 'front' });
		expect(plan.fNumberExact).toBeGreaterThan(planOf({ people }).fNumberExact ?? 0);
		expect(new Set(plan.ladder.map(({ focusPersonId }) => focusPersonId))).toEqual(
			new Set(['front'])
		);
	});

	it('a part of the face, even of somebody nobody asks for', () => {
		const choices = { focus: { personId: 'front', landmark: 'nose-tip' } } as const;
		const plan = toldOf({ people: threeDeep(['free', 'sharp', 'sharp']), choices });
		expect(plan.focus).toMatchObject({
			kind: 'landmark',
			landmark: 'nose-tip',
			eye: null,
			where: ''
		});
		expect(plan.focus?.depthM).toBeCloseTo(3.97, 2);
	});

	it('a depth is the focused depth on the axis itself, bent or not', () => {
		const lens = { ...LENSES.normal50, fieldBend: 1 };
		const plan = planOf({ people, lens, choices: { focus: { depthM: 4.4 } } });
		expect(plan.focus).toMatchObject({ kind: 'depth', depthM: 4.4, planeM: 4.4, personId: null });
	});

	it('an f-number takes the nearest rung, in stops, and the ladder stays whole', () => {
		const plan = planOf({ people, choices: { fNumberExact: 8.3 } });
		expect(plan.fNumber).toBe(8);
		expect(plan.ladder).toHaveLength(22);
		expect(planOf({ people, choices: { fNumberExact: 90 } }).fNumber).toBe(16);
	});

	it('both leave nothing to choose', () => {
		const choices = { focus: { personId: 'back' }, fNumberExact: 2 };
		const plan = planOf({ people, choices });
		expect([plan.focus?.personId, plan.fNumber, plan.feasible]).toEqual(['back', 2, false]);
	});

	it('the pick stays known while another f-number is fixed', () => {
		const free = solve(shotOf({ people }));
		const fixed = solve(shotOf({ people, choices: { fNumberExact: 11 } }));
		expect(fixed.study.pick?.fNumber).toBe(free.plan.fNumberExact);
		expect(fixed.plan.fNumber).toBe(11);
	});

	it('somebody whose eyes cannot be seen leaves nothing to focus on', () => {
		const hidden = [ahead('front', 3), ahead('back', 4)];
		const plan = planOf({ people: hidden, choices: { focus: { personId: 'back' } } });
		expect(plan.focus).toBeNull();
		expect(plan.reasons.map(({ code }) => code)).toEqual(['no-focus', 'unseen']);
	});
});

describe('when there is nothing to focus on', () => {
	it('says who is nearer than the lens can focus', () => {
		const plan = toldOf({ people: [ahead('baby', 0.4)] });
		expect(plan).toMatchObject({ feasible: false, focus: null, fNumber: null, ladder: [] });
		expect(plan.reasons).toEqual([
			expect.objectContaining({
				code: 'too-close',
				text: 'baby is nearer than this lens can focus (0.45 m).',
				personId: 'baby'
			})
		]);
	});

	it('passes over those too near as long as somebody else is left', () => {
		const people = [ahead('far', 3), person('near', [0.1, EYE_M, 0.4], { need: 'soft' })];
		expect(planOf({ people }).focus?.personId).toBe('far');
	});

	it('says what lies outside the frame', () => {
		const things = [thing('sign', [9, EYE_M, 3], { intent: 'sharp' })];
		const plan = toldOf({ people: [ahead('p', 3, { turnDeg: 180 })], things });
		expect(plan.focus).toBeNull();
		expect(plan.things).toMatchObject([{ id: 'sign', state: 'outside', met: null }]);
		expect(plan.reasons.map(({ text }) => text)).toEqual([
			'There is nothing in the picture to focus on.',
			'p is turned away.',
			'sign is outside the frame.'
		]);
	});

	it('a shot asks for something only with somebody not free, or a thing to be sharp', () => {
		const asks = (sketch: Parameters<typeof shotOf>[0]) => asksForSomething(shotOf(sketch));
		expect(asks({ people: [ahead('p', 3, { need: 'free' })] })).toBe(false);
		expect(asks({ people: [ahead('p', 3, { need: 'soft' })] })).toBe(true);
		expect(asks({ things: [thing('t', [0, 1, 3])] })).toBe(false);
		expect(asks({ things: [thing('t', [0, 1, 3], { intent: 'sharp' })] })).toBe(true);
	});
});

describe('the pick by odds in too much light', () => {
	// EV 17 at ISO 100 and 1/8000 s: log2(N²) = 17 - 13, so that f/4 is the widest that is not too bright
	it('passes over rungs that are too bright while others hold', () => {
		const plan = planOf({
			people: [ahead('p', 6, NEAR_EYE)],
			light: { mode: 'ambient', ev100: 17 },
			choices: { pickBy: 'odds', shutterRule: 'computed' }
		});
		expect(plan.ladder[0]?.flags).toContain('too-bright');
		expect(plan.exposure?.flags).not.toContain('too-bright');
		expect(plan.fNumber).toBeGreaterThanOrEqual(4);
	});
});
