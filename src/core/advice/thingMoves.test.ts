import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { ahead, EYE_M, person, planOf, shotOf, thing, type Sketch } from '$tests/support/shots';
import { solve, study } from '$tests/support/solved';
import { adviceWords } from '$words/advice';
import { verdictOf } from '$words/verdict';
import type { Thing } from '../format/shot';
import { BACKGROUND_ID } from '../study/scene';
import { readShot } from '../format/shotFile';
import { adviceFor } from './advice';
import { movesOf } from './moves';
import { prospectOf, type Prospect } from './prospect';

const couple = [person('Ana', [-0.25, EYE_M, 2]), person('Ben', [0.25, EYE_M, 2])];
const scene = (more: Partial<Thing>, sketch: Partial<Sketch> = {}) =>
	shotOf({
		lens: LENSES.normal50,
		people: couple,
		things: [thing('sign', [0, 1.95, 8], { widthM: 1, heightM: 0.4, ...more })],
		choices: { pickBy: 'odds', shutterRule: 'computed' },
		light: { mode: 'ambient', ev100: 10 },
		...sketch
	});
const codes = (shot: ReturnType<typeof scene>) =>
	adviceFor(study(shot), Object.values(LENSES)).flatMap(({ data }) =>
		data.moves.map(({ code }) => code)
	);

describe('advice about things', () => {
	it.each([
		['unreadable', scene({ intent: 'readable', detailMm: 5 }), ['bring-nearer', 'larger']],
		[
			'not known',
			scene({ intent: 'recognisable', detailMm: 2, position: { x: 0, y: 1.95, z: 5 } }),
			['bring-nearer']
		],
		[
			'too clear',
			scene({ intent: 'dissolved', detailMm: 60, position: { x: 0, y: 1.95, z: 5 } }),
			['off-background']
		],
		[
			'before them and too clear',
			scene({
				intent: 'dissolved',
				detailMm: 6,
				position: { x: 0, y: 1.45, z: 1.4 },
				widthM: 0.1,
				heightM: 0.1
			}),
			['near-lens']
		],
		[
			'hidden behind them',
			scene(
				{ intent: 'readable', detailMm: 200, position: { x: 0, y: 1.2, z: 3 } },
				{ people: [-0.5, 0, 0.5].map((x, i) => person(`p${i}`, [x, EYE_M, 2.5])) }
			),
			['hang-higher']
		],
		[
			'meant sharp, and not',
			scene({ intent: 'sharp', position: { x: 0, y: 1.9, z: 3.5 } }),
			['bring-nearer', 'give-up-thing']
		]
	] as const)('what is %s brings the advice that a photographer would give', (_, shot, wanted) => {
		expect(codes(shot)).toEqual(expect.arrayContaining([...wanted]));
	});

	it('applied, it gives what it says: larger letters can be read, nearer ones, too', () => {
		const shot = scene({ intent: 'readable', detailMm: 5 });
		for (const { data, shot: after } of adviceFor(study(shot), [])) {
			if (data.gain.kind !== 'background-comes') continue;
			expect(solve(after).plan.things[0]).toMatchObject({ state: 'readable', met: true });
		}
		const before = solve(shot).plan;
		const larger = adviceFor(study(shot), []).find(({ data }) => data.code === 'larger');
		const detailMm = larger?.shot.things[0]?.detailMm ?? 0;
		expect(detailMm).toBeGreaterThan(5);
		// a fifth smaller they cannot
		const smaller = scene({ intent: 'readable', detailMm: detailMm * 0.8 });
		expect(solve(smaller).plan.things[0]?.met).toBe(false);
		expect(before.things[0]?.met).toBe(false);
	});

	it('at another f-number, where that is all it takes', () => {
		const shot = scene(
			{ intent: 'readable', detailMm: 15, position: { x: 0, y: 1.95, z: 3.2 } },
			{ choices: { pickBy: 'odds', shutterRule: 'computed', fNumberExact: 2 } }
		);
		const found = adviceFor(study(shot), []).find(({ data }) => data.code === 'f-number');
		expect(found?.data.fNumberExact).toBeGreaterThan(2);
		expect(found && adviceWords(found.data, shot, 'm').text).toMatch(
			/^Stop down: the sign is then as intended/
		);
	});

	it('what must be read and cannot is said before the faces', () => {
		const [first, second] = verdictOf(
			solve(scene({ intent: 'readable', detailMm: 5 })),
			'm'
		).sentences;
		expect(first).toMatch(/^The sign is (dissolved|recognisable), not readable\.$/);
		expect(second).toMatch(/^Both faces hold/);
	});
});

describe('the background as a whole', () => {
	const asked = (intent: 'readable' | 'dissolved', more: object = {}) => ({
		...shotOf({ lens: LENSES.portrait85, people: [ahead('a', 2)] }),
		background: { intent, behindM: 5, detailMm: 50, ...more }
	});

	it('becomes what a thing there would become', () => {
		for (const behindM of [0.5, 2, 10, 100]) {
			const [whole] = solve(asked('dissolved', { behindM })).plan.things;
			const eyeM =
				planOf({ lens: LENSES.portrait85, people: [ahead('a', 2)] }).targets[0]?.depthM ?? 0;
			const placed = planOf({
				lens: LENSES.portrait85,
				people: [ahead('a', 2)],
				things: [thing('t', [0, EYE_M, eyeM + behindM], { detailMm: 50, intent: 'dissolved' })]
			}).things[0];
			expect(whole?.id).toBe(BACKGROUND_ID);
			expect(whole?.contrast).toBeCloseTo(placed?.contrast ?? NaN, 6);
			expect(whole?.state).toBe(placed?.state);
		}
	});

	it('counts as an intent: clear needs a small opening, and says what would help', () => {
		const clear = asked('readable', { behindM: 1.5, detailMm: 20 });
		const free = solve({ ...clear, background: undefined }).plan;
		const plan = solve(clear).plan;
		expect(plan.fNumber ?? 0).toBeGreaterThan(free.fNumber ?? Infinity);
		expect(plan.things[0]?.met).toBe(true);
		const far = asked('readable', { behindM: 40, detailMm: 20 });
		expect(adviceFor(study(far), []).map(({ data }) => data.code)).toContain('larger');
	});

	it('never comes among a deep group: what is advised is a shot that can be', () => {
		const deep = {
			...shotOf({
				lens: LENSES.portrait85,
				people: [2, 3, 4].map((z, i) => person(`p${i}`, [(i - 1) * 0.3, EYE_M + 0.2 * i, z]))
			}),
			background: { intent: 'readable', behindM: 0.5, detailMm: 0.5 } as const
		};
		const advice = adviceFor(study(deep), []);
		for (const { shot } of [
			...advice,
			...adviceFor(study(asked('readable', { detailMm: 4000 })), [])
		]) {
			expect(readShot(shot).ok).toBe(true);
		}
		const moves = movesOf(prospectOf(study(deep)) as Prospect, []);
		for (const { most, apply } of moves) expect(readShot(apply(most)).ok).toBe(true);
		expect(moves.map(({ code }) => code)).toContain('bring-nearer');
	});

	it('is said in a photographer’s words', () => {
		const said = (intent: 'readable' | 'dissolved') =>
			verdictOf(solve(asked(intent, { detailMm: 10 })), 'm').sentences.find((one) =>
				one.includes('background')
			);
		expect(said('dissolved')).toBe('The background melts away.');
		expect(said('readable')).toBe('The background melts away instead of clear.');
	});
});
