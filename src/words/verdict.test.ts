import { describe, expect, it } from 'vitest';
import { solve } from '$tests/support/solved';
import { BODIES, LENSES } from '$data/kit';
import { holdState } from '$core/study/take';
import { ahead, EYE_M, person, shotOf, thing } from '$tests/support/shots';
import { verdictOf } from './verdict';

const say = (sketch: Parameters<typeof shotOf>[0], units: 'm' | 'ft' = 'm') => {
	const { focusOn, where, fNumber, sentences } = verdictOf(solve(shotOf(sketch)), units);
	return { focusOn, where, fNumber, text: sentences.join(' ') };
};

const group = [
	person('Aino', [-0.6, EYE_M, 5]),
	person('Yusuf', [0.6, EYE_M, 5]),
	person('Marta', [0, EYE_M + 0.3, 5.8])
];

describe('the verdict', () => {
	it('is something one can do: on whom, which eye, where they stand, which f-number', () => {
		expect(say({ people: [ahead('Noor', 3, { turnDeg: 30 })] })).toMatchObject({
			focusOn: 'Noor’s right eye',
			where: '',
			fNumber: 'f/1.4'
		});
		expect(say({ people: group }).where).toMatch(/^(front|back) row/);
	});

	it('says that it holds only where at least seven of ten frames are sharp', () => {
		const sharpest = { people: [ahead('Noor', 3)], light: { mode: 'ambient', ev100: 12 } } as const;
		expect(say(sharpest).text).toContain('Noor is sharp.');
		// the same face by hands that shake, in the dark: it would hold, but seldom does
		const dark = solve(
			shotOf({
				people: [ahead('Noor', 3)],
				body: BODIES.reflex24,
				lens: LENSES.portrait135,
				light: { mode: 'ambient', ev100: 2 },
				choices: { pickBy: 'odds', shutterRule: 'computed' }
			})
		);
		const { take, plan } = dark;
		if (!take) throw new Error('nothing to focus on');
		const share = take.candidate.chance.sharpShare(take);
		expect(plan.feasible).toBe(true);
		expect(share).toBeLessThan(0.7);
		expect(holdState(take)).toBe('marginal');
		const tenths = ['hardly any', 'one', 'two', 'three', 'four', 'five', 'six', 'seven'];
		expect(verdictOf(dark, 'm').sentences[0]).toBe(
			`Noor is sharp in about ${tenths[Math.round(10 * share)]} of ten frames.`
		);
	});

	it('says that all hold, and how far a body may sway', () => {
		const { text } = say({ people: group });
		expect(text).toContain('All three faces hold.');
		expect(text).toMatch(/In hand: \d+ cm nearer or farther/);
	});

	it('says it in feet and inches too', () => {
		expect(say({ people: group }, 'ft').text).toMatch(/In hand: \d+(\.\d)? in nearer/);
	});

	it('says who fails and by how much when it cannot be done', () => {
		const { text } = say({ people: group, choices: { fNumberExact: 2 } });
		expect(text).toMatch(
			/are not sharp; (Aino|Yusuf|Marta) is .*stops? short\.|is .*stops? short of sharp\./
		);
		expect(text).not.toContain('In hand');
	});

	it('offers the lean when the plane between people is much better', () => {
		const two = [person('a', [-0.4, EYE_M, 3]), person('b', [0.4, EYE_M, 3.4])];
		expect(say({ people: two }).text).toMatch(
			/Or lock there, then lean \d+ cm (forward|back): that gains/
		);
	});

	it('offers no lean that is less than what is known of where they stand', () => {
		const depthSigmaM = 0.25;
		const two = [
			person('a', [-0.4, EYE_M, 3], { depthSigmaM }),
			person('b', [0.4, EYE_M, 3.4], { depthSigmaM })
		];
		expect(say({ people: two }).text).not.toContain('lean');
	});

	it('offers no lean that is a step', () => {
		const two = [person('a', [-0.4, EYE_M, 5]), person('b', [0.4, EYE_M, 6])];
		const { free } = solve(shotOf({ people: two })).plan;
		expect(Math.abs(free?.leanM ?? 0)).toBeGreaterThan(0.3);
		expect(free?.gainStops).toBeGreaterThan(1);
		expect(say({ people: two }).text).not.toContain('lean');
	});

	it('says who is hidden by whom, turned away or outside the frame', () => {
		const { text } = say({
			people: [
				ahead('Radu', 3),
				ahead('Sione', 4),
				person('Keiko', [0.5, EYE_M, 4], { turnDeg: 180 }),
				person('Emre', [3, EYE_M, 4])
			]
		});
		expect(text).toContain('Sione is hidden behind Radu.');
		expect(text).toContain('Keiko is turned away.');
		expect(text).toContain('Emre is outside the frame.');
	});

	it('tells many who are out of sight together', () => {
		const row = Array.from({ length: 5 }, (_, i) => person(`P${i}`, [2 + i, EYE_M, 4]));
		expect(say({ people: [ahead('Radu', 3), ...row] }).text).toContain(
			'P0, P1 and 3 more are outside the frame.'
		);
	});

	it('says what the background does', () => {
		const things = [thing('lanterns', [0.6, 2, 9], { detailMm: 20, intent: 'dissolved' })];
		expect(say({ people: [ahead('Noor', 3)], things }).text).toContain(
			'The lanterns are dissolved.'
		);
		const wall = [thing('sign', [0.6, 2, 3.4], { detailMm: 200, intent: 'dissolved' })];
		expect(say({ people: [ahead('Noor', 3)], things: wall }).text).toContain(
			'The sign is readable, not dissolved.'
		);
	});

	it('names a thing, or a fixed plane, when that is what to focus on', () => {
		const things = [thing('trumpet', [0.2, EYE_M, 2.6], { intent: 'sharp' })];
		expect(say({ people: [ahead('Noor', 3, { need: 'soft' })], things }).focusOn).toBe('trumpet');
		const fixed = { people: [ahead('Noor', 3)], choices: { focus: { depthM: 3.2 } } };
		expect(say(fixed).focusOn).toBe('a plane 3.20 m away');
		expect(say(fixed, 'ft').focusOn).toBe('a plane 10.5 ft away');
	});

	it('says what is wrong when there is nothing to focus on', () => {
		const { focusOn, fNumber, text } = say({
			people: [ahead('Noor', 0.5)],
			lens: LENSES.portrait85
		});
		expect([focusOn, fNumber]).toEqual(['', '']);
		expect(text).toBe('Noor is nearer than this lens can focus (0.85 m).');
	});
});
