import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { SAMPLE_SHOTS, shotOf as shotFrom } from '$data/sample/sampleShots';
import { ahead, EYE_M, person, planOf, shotOf, type Sketch } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { ASSUMED } from '../tables/spreads';
import { oddsOf } from './odds';

/** What somebody who does this for a living would take. Common practice, no source. */

const byOdds = (sketch: Sketch) => {
	const choices = { pickBy: 'odds', shutterRule: 'computed', ...sketch.choices } as const;
	const { plan, take } = solve(shotOf({ ...sketch, choices }));
	if (!take || plan.fNumber === null) throw new Error('nothing to focus on');
	const { sharpShare } = oddsOf(take, 5000, 1, ASSUMED);
	return { plan, fNumber: plan.fNumber, sharpShare, shutterS: plan.exposure?.shutterS ?? NaN };
};
const ambient = (ev100: number) => ({ mode: 'ambient', ev100 }) as const;
const row = (n: number, z: number, y = EYE_M, more: Parameters<typeof person>[2] = {}) =>
	Array.from({ length: n }, (_, i) => person(`${z} ${i}`, [0.55 * (i - (n - 1) / 2), y, z], more));

describe('what would be taken', () => {
	it('five people at ten feet with 50 mm, none quite in line: f/2 to f/2.8', () => {
		const people = row(5, 3.05).map((one, i) =>
			person(one.id, [one.eyeMidpoint.x, EYE_M, 3.05 + 0.08 * (i % 2)])
		);
		const { fNumber } = byOdds({ people, light: ambient(10) });
		expect(fNumber).toBeGreaterThanOrEqual(2);
		expect(fNumber).toBeLessThanOrEqual(2.8);
	});

	it.each([8, 12])('three rows at 6 m with 50 mm at EV %d: f/4 to f/5.6, 85 in a hundred', (ev) => {
		const people = [...row(4, 6, 1.2), ...row(5, 6.7, 1.5), ...row(4, 7.4, 1.8)];
		const { fNumber, sharpShare } = byOdds({ people, light: ambient(ev) });
		expect(fNumber).toBeGreaterThanOrEqual(4);
		expect(fNumber).toBeLessThanOrEqual(5.6);
		expect(sharpShare).toBeGreaterThanOrEqual(0.85);
	});

	it('one person at 2 m with 50 mm f/1.8: 85 in a hundred by the light of a room already', () => {
		const lens = { ...LENSES.normal50, widestFNumber: [1.8, 1.8] as [number, number] };
		const people = [ahead('p', 2, { keep: 'near-eye' })];
		expect(byOdds({ lens, people, light: ambient(5) }).sharpShare).toBeGreaterThanOrEqual(0.85);
	});

	it('children in good light: 1/400 or faster', () => {
		const people = row(3, 3, 1.1, { build: 'child', motion: 'restless' });
		expect(byOdds({ people, light: ambient(12) }).shutterS).toBeLessThanOrEqual(1 / 400);
	});

	it('28 people in four rows from a balcony: f/5 or f/5.6', () => {
		const sketch = SAMPLE_SHOTS.find(({ people }) => people.length === 28);
		if (!sketch) throw new Error('the crowd is gone');
		expect([5, 5.6]).toContain(solve(shotFrom(sketch)).plan.fNumber);
	});
});

describe('what was contradicted', () => {
	it('a rung without light is seen in the odds: no f/14 at ISO 16 000 for one face', () => {
		const body = { ...BODIES.fullFrame24, iso: [100, 800] as [number, number], comfortIso: 800 };
		const people = [ahead('p', 2, { keep: 'near-eye' })];
		const { plan } = byOdds({ body, lens: LENSES.portrait85, people, light: ambient(7) });
		expect(plan.fNumber).toBeLessThanOrEqual(2);
		expect(plan.exposure?.iso).toBeLessThanOrEqual(800 * (1 + 1e-9));
	});

	it('a shutter that is fixed does not lead to an ISO that the body has not', () => {
		const { plan } = solve(
			shotOf({
				people: [ahead('p', 0.8, { build: 'child', motion: 'restless' })],
				light: { mode: 'ambient', ev100: 7 },
				choices: { pickBy: 'odds', shutterRule: 'computed', shutterS: 1 / 2000 }
			})
		);
		expect(plan.exposure?.iso).toBeLessThanOrEqual(12800 * (1 + 1e-9));
		expect(plan.ladder.some(({ flags }) => flags.includes('iso-high'))).toBe(true);
	});

	it.each(['reframe', 'manual'] as const)(
		'somebody walking, by %s: single focusing',
		(technique) => {
			const walker = ahead('p', 5, { motion: 'walking' });
			const codes = (choices: Sketch['choices']) =>
				planOf({ people: [walker], choices }).reasons.map(({ code }) => code);
			expect(codes({ technique })).toContain('mode-single');
			expect(codes({})).toContain('mode-continuous');
		}
	);

	it('a flash fast enough for hands in the dark is not flagged for them', () => {
		const flash = { mode: 'flash', guideNumberM: 36, distanceM: 2.5, ambientEv100: -2 } as const;
		const plan = planOf({
			people: [ahead('p', 2.5, { motion: 'restless' })],
			lens: LENSES.zoom70200,
			focalMm: 200,
			body: BODIES.reflex24,
			light: flash,
			choices: { shutterRule: 'computed' }
		});
		expect(plan.exposure?.flags).not.toContain('sync');
	});
});

describe('the shutter', () => {
	const sketch: Sketch = { people: [ahead('p', 2)], light: ambient(6) };

	it('fixed stays, and the ISO follows exactly', () => {
		const { plan } = byOdds({ ...sketch, choices: { shutterS: 1 / 500, fNumberExact: 4 } });
		expect(plan.exposure?.shutterS).toBe(1 / 500);
		expect(plan.exposure?.iso).toBeCloseTo((100 * 16 * 500) / 2 ** 6, 6);
		expect(plan.exposure?.flags).toEqual(['iso-above-comfort']);
		expect(plan.reasons.some((one) => one.code === 'shutter' && one.why === 'fixed')).toBe(true);
	});

	it('goes slower as the light goes, and never asks for more ISO than is liked without a word', () => {
		const found = [12, 9, 6, 4, 2].map((ev) => byOdds({ ...sketch, light: ambient(ev) }).plan);
		const shutters = found.map(({ exposure }) => exposure?.shutterS ?? NaN);
		expect(shutters).toEqual(shutters.toSorted((a, b) => a - b));
		for (const { exposure } of found) {
			expect((exposure?.iso ?? 0) > 6400 * (1 + 1e-9)).toBe(
				exposure?.flags.includes('iso-above-comfort') ?? false
			);
		}
	});
});
