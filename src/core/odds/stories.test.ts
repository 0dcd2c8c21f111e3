import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { odds } from '$tests/support/odds';
import { ahead, person, shotOf, type Sketch } from '$tests/support/shots';
import type { Camera, Lens } from '../format/shot';
import { solve, study } from '$tests/support/solved';
import { ASSUMED } from '../tables/spreads';

/** What beats what: common practice, no source. */
describe('stories', () => {
	const portrait = (fNumberExact: number, more: Partial<Sketch> = {}): Sketch => ({
		lens: LENSES.portrait85Fast,
		people: [person('p', [0.3, 1.6, 1.6], { turnDeg: -20, keep: 'near-eye' })],
		camera: { orientation: 'portrait', panDeg: 8 },
		...more,
		choices: { fNumberExact, ...more.choices }
	});

	it('off the middle at f/1.4, moving the point beats lock and reframe', () => {
		const sketch = portrait(4, { people: [person('p', [0.46, 1.6, 1.6], { keep: 'near-eye' })] });
		const fast = { shutterS: 1 / 500 };
		const moved = odds(sketch, ASSUMED, fast);
		const choices = { ...sketch.choices, technique: 'reframe' } as const;
		const reframed = odds({ ...sketch, choices }, ASSUMED, fast);
		expect(reframed.take.scene.shot.choices.technique).toBe('reframe');
		expect(moved.share).toBeGreaterThan(reframed.share + 0.03);
	});

	it('somebody walking in: continuous beats single, by far', () => {
		const walker: Sketch = {
			lens: LENSES.zoom70200,
			focalMm: 135,
			people: [ahead('p', 6, { motion: 'walking', keep: 'near-eye' })],
			choices: { fNumberExact: 2.8 }
		};
		const continuous = odds(walker, ASSUMED, { mode: 'continuous', shutterS: 1 / 800 }).share;
		const single = odds(walker, ASSUMED, { mode: 'single', shutterS: 1 / 800 });
		expect(continuous).toBeGreaterThan(single.share + 0.3);
		expect(single.causes[0]?.cause).toBe('people');
	});

	it('children: 1/400 beats 1/100 beats 1/30', () => {
		const children: Sketch = {
			people: [-0.4, 0, 0.4].map((x) =>
				person(`${x}`, [x, 1.1, 3], { build: 'child', motion: 'restless' })
			),
			choices: { fNumberExact: 5.6 }
		};
		const at = (shutterS: number) => odds(children, ASSUMED, { shutterS });
		const shares = [1 / 400, 1 / 100, 1 / 30].map((shutterS) => at(shutterS).share);
		expect(shares).toEqual(shares.toSorted((a, b) => b - a));
		expect(at(1 / 30).causes[0]?.cause).toBe('motion');
	});

	it('85 mm by hand at 1/60: a tripod beats kneeling beats leaning beats the hand', () => {
		const sketch = portrait(4, { people: [ahead('p', 2)] });
		const held = (support: Camera['support']) =>
			odds({ ...sketch, camera: { ...sketch.camera, support } }, ASSUMED, { shutterS: 1 / 60 })
				.share;
		const [tripod, kneeling, braced, hand] = (
			['tripod', 'kneeling', 'braced', 'handheld'] as const
		).map(held) as [number, number, number, number];
		expect(tripod).toBeGreaterThan(kneeling);
		expect(kneeling).toBeGreaterThanOrEqual(braced);
		expect(braced).toBeGreaterThan(hand);
	});

	it('a turned head at arm’s length, 85 mm: f/4 beats f/1.2', () => {
		const lens: Lens = LENSES.portrait85Fast;
		const at = (fNumberExact: number) =>
			odds(
				{
					lens,
					people: [ahead('p', 1, { turnDeg: 12 })],
					sharpness: { standard: 'album' },
					choices: { fNumberExact }
				},
				ASSUMED,
				{ shutterS: 1 / 500 }
			).share;
		expect(at(4)).toBeGreaterThan(at(1.2));
	});
});

describe('choosing by odds', () => {
	const group: Sketch = {
		lens: LENSES.wide35,
		people: [-0.9, -0.3, 0.3, 0.9].map((x, i) => person(`${i}`, [x, 1.6, 2.6 + 0.2 * (i % 2)])),
		light: { mode: 'ambient', ev100: 11 }
	};
	const sharp = (sketch: Sketch, more: Sketch['choices'] = {}) => {
		const choices = {
			...sketch.choices,
			pickBy: 'odds',
			shutterRule: 'computed',
			...more
		} as const;
		const { rungs, pick } = study(shotOf({ ...sketch, choices }));
		const all = rungs.map((take) => ({
			fNumber: take.fNumber,
			share: take.candidate.chance.sharpShare(take)
		}));
		return { all, picked: pick?.fNumber };
	};

	it.each([
		[0.7, 'the wide end'],
		[undefined, 'nine in ten of the best, among three to nine people'],
		[0.95, 'the sure end']
	] as const)('sureness %s takes the widest that is sure enough: %s', (sureness, _) => {
		const { all, picked } = sharp(group, sureness === undefined ? {} : { sureness });
		const best = Math.max(...all.map(({ share }) => share));
		const wanted = all.find(({ share }) => share >= (sureness ?? 0.9) * best);
		expect(picked).toBe(wanted?.fNumber);
	});

	it('surer is never wider', () => {
		const picks = [0.5, 0.6, 0.7, 0.8, 0.9, 0.99].map(
			(sureness) => sharp(group, { sureness }).picked as number
		);
		expect(picks).toEqual(picks.toSorted((a, b) => a - b));
		expect(picks.at(-1)).toBeGreaterThan(picks[0] as number);
	});

	it('a rung that is too bright is passed over', () => {
		const light = { mode: 'ambient', ev100: 15 } as const;
		const one = { people: [ahead('p', 2, { keep: 'near-eye' })], light } as const;
		expect(sharp(one).picked).toBeGreaterThan(2);
	});

	it('a fixed f-number stays', () => {
		const choices = { pickBy: 'odds', fNumberExact: 2 } as const;
		expect(solve(shotOf({ ...group, choices })).plan.fNumber).toBe(2);
	});
});
