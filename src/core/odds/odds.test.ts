import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { FRAMES, odds } from '$tests/support/odds';
import { ahead, person, shotOf } from '$tests/support/shots';
import { slackOf } from '../study/slack';
import { takeOf } from '$tests/support/solved';
import { framesFor95, nobodyBlinks, wilson } from './certainty';
import { drawsOf } from './draws';
import { FrameSets } from './frameSets';
import { likelyBadFrame, oddsOf, type Otherwise } from './odds';
import { Random } from '../numeric/random';
import { ASSUMED, SPREADS, type Spreads } from '../tables/spreads';

/** Nothing moves while the shutter is open. */
const FROZEN: Otherwise = { shutterS: 1e-9 };
const NONE: Spreads = Object.fromEntries(Object.keys(ASSUMED).map((key) => [key, 0])) as Record<
	keyof typeof SPREADS,
	number
>;

/** Distribution function of the normal law. Source: Abramowitz and Stegun 7.1.26, within 1.5e-7. */
function normalBelow(x: number): number {
	const z = Math.abs(x) / Math.SQRT2;
	const t = 1 / (1 + 0.3275911 * z);
	const series =
		t *
		(0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
	const erf = 1 - series * Math.exp(-z * z);
	return x < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}

/** Four standard errors of a share: chance of more is 6 in 100 000. */
const within = (p: number) => 4 * Math.sqrt((p * (1 - p)) / FRAMES) + 1e-4;

describe('chance', () => {
	it('the same seed gives the same numbers, another seed others', () => {
		const draw = (seed: number) => {
			const random = new Random(seed);
			return Array.from({ length: 5 }, () => random.uniform());
		};
		expect(draw(7)).toEqual(draw(7));
		expect(draw(7)).not.toEqual(draw(8));
	});

	it('uniform, normal and Rayleigh draws have their moments', () => {
		const random = new Random(3);
		const n = 200_000;
		const mean = (draw: () => number, power: number) => {
			let sum = 0;
			for (let i = 0; i < n; i++) sum += draw() ** power;
			return sum / n;
		};
		expect(mean(() => random.uniform(), 1)).toBeCloseTo(0.5, 2);
		expect(mean(() => random.uniform(), 2)).toBeCloseTo(1 / 3, 2);
		expect(mean(() => random.normal(), 1)).toBeCloseTo(0, 1.5);
		expect(mean(() => random.normal(), 2)).toBeCloseTo(1, 1.5);
		expect(mean(() => random.normal(), 4)).toBeCloseTo(3, 0.8);
		// Rayleigh: mean sqrt(pi/2), mean square 2
		expect(mean(() => random.rayleigh(), 1)).toBeCloseTo(Math.sqrt(Math.PI / 2), 2);
		expect(mean(() => random.rayleigh(), 2)).toBeCloseTo(2, 1.5);
	});

	it('two seeds have nothing to do with each other', () => {
		const [a, b] = [new Random(1), new Random(2)];
		const n = 50_000;
		let sum = 0;
		for (let i = 0; i < n; i++) sum += a.normal() * b.normal();
		expect(Math.abs(sum / n)).toBeLessThan(4 / Math.sqrt(n));
	});
});

describe('certainty', () => {
	it.each([
		// Newcombe, "Two-sided confidence intervals for the single proportion", 1998, table I (from memory)
		[81, 263, 0.2553, 0.3662],
		[15, 148, 0.0624, 0.1605],
		[0, 20, 0, 0.1611],
		[1, 29, 0.0061, 0.1718]
	])('Wilson interval of %d in %d', (hits, of, low, high) => {
		const interval = wilson(hits, of);
		expect(interval.low).toBeCloseTo(low, 4);
		expect(interval.high).toBeCloseTo(high, 4);
	});

	it.each([
		[1, 1],
		[0, null],
		[0.5, 5], // 1/32 is the first power of a half below 5%
		[0.95, 1],
		[0.9, 2],
		[0.1, 29]
	])('a share of %d takes %s frames', (share, frames) => {
		expect(framesFor95(share)).toBe(frames);
	});
});

describe('against closed forms', () => {
	it('one person, only the camera sways: the error function of the slack', () => {
		const sketch = {
			lens: LENSES.portrait85,
			people: [ahead('p', 2, { keep: 'near-eye' })],
			choices: { fNumberExact: 2 }
		} as const;
		// after ln 2 s one sways as much as in a second of standing free
		const found = odds(sketch, { ...NONE, handheldMm: 12, singleLagS: Math.LN2 }, FROZEN);
		const slack = slackOf(found.take);
		const p =
			normalBelow((slack.cameraForwardM as number) / 0.012) -
			normalBelow(-(slack.cameraBackM as number) / 0.012);
		expect(p).toBeGreaterThan(0.2);
		expect(p).toBeLessThan(0.95);
		expect(Math.abs(found.share - p)).toBeLessThan(within(p));
	});

	it('one person, only the focusing errs: the error function of the depth of focus', () => {
		const sketch = {
			lens: LENSES.portrait85,
			people: [ahead('p', 3, { keep: 'near-eye' })],
			sharpness: { standard: 'album' },
			choices: { fNumberExact: 1.4 }
		} as const;
		const found = odds(sketch, { ...NONE, middlePoint: 0.5 }, FROZEN);
		// the disc of an error e behind the lens is e f/(N v): allowed up to c, spread 0.5 x 1.4 x 0.03
		const { imageDistanceMm } = found.take.candidate.focus;
		const most = (0.03 * found.take.fNumber * imageDistanceMm) / 85;
		const p = 2 * normalBelow(most / (0.5 * 1.4 * 0.03)) - 1;
		expect(Math.abs(found.share - p)).toBeLessThan(within(p) + 2e-3);
	});

	it.each([1, 4, 12, 19])('only blinking, %d people: (1 - x t)^people', (n) => {
		const people = Array.from({ length: n }, (_, i) => person(`${i}`, [i - n / 2, 1.6, 14]));
		const blinks = { blinksPerMinute: 10, blinkS: 0.25 };
		const found = odds({ people, lens: LENSES.wide24 }, { ...NONE, ...blinks }, FROZEN);
		const p = nobodyBlinks(n, 10 / 60, 0.25);
		expect(Math.abs(found.share - p)).toBeLessThan(within(p));
		expect(found.causes.map(({ cause }) => cause)).toEqual(['blinking']);
	});

	it('a third of the people in frames is nearly sure for groups of six to under twenty', () => {
		// the rule of thumb of Svenson and Barnes, 2006 (from memory)
		for (let n = 6; n < 20; n++) {
			const p = nobodyBlinks(n, 10 / 60, 0.25);
			expect(1 - (1 - p) ** Math.ceil(n / 3)).toBeGreaterThan(0.94);
		}
	});

	it('without any accident every frame of a feasible plan is a keeper', () => {
		const found = odds({ people: [ahead('a', 3), person('b', [0.5, 1.6, 3.2])] }, NONE, FROZEN);
		expect(found).toMatchObject({ share: 1, toTake: 1, causes: [], hardest: null });
	});

	it('a plan that cannot be has none, and the depth is to blame', () => {
		const people = [ahead('a', 2), person('b', [0.6, 1.6, 4])];
		const found = odds({ people, choices: { fNumberExact: 1.4 } }, NONE, FROZEN);
		expect(found).toMatchObject({ share: 0, toTake: null });
		expect(found.causes).toEqual([{ cause: 'depth', share: 1 }]);
	});
});

describe('laws', () => {
	const shaky = {
		people: [ahead('p', 2)],
		lens: LENSES.portrait85,
		choices: { fNumberExact: 2.8 }
	};

	it('steadier is never worse', () => {
		const law = fc.property(
			fc.double({ min: 1, max: 40, noNaN: true }),
			fc.double({ min: 0.2, max: 1, noNaN: true }),
			(handheldMm, share) => {
				const lag = { singleLagS: 0.3 };
				const rough = odds(shaky, { ...NONE, ...lag, handheldMm });
				const steady = odds(shaky, { ...NONE, ...lag, handheldMm: handheldMm * share });
				expect(steady.share).toBeGreaterThanOrEqual(rough.share - 0.01);
			}
		);
		fc.assert(law, { numRuns: 12 });
	});

	it('a lens’s own bias counts for that lens alone', () => {
		const share = (spreads: Partial<Spreads>) => odds(shaky, { ...ASSUMED, ...spreads }).share;
		const off = { biasMm: 0.15, frames: 40 };
		const straight = share({});
		expect(share({ lensBias: { [LENSES.portrait85.name]: off } })).toBe(share({ biasMm: 0.15 }));
		expect(share({ biasMm: 0.15 })).toBeLessThan(straight);
		expect(share({ lensBias: { [LENSES.wide35.name]: off } })).toBe(straight);
	});

	it('more people are never better', () => {
		const shares = [1, 2, 5, 9].map((n) => {
			const people = Array.from({ length: n }, (_, i) =>
				person(`${i}`, [0.6 * (i - n / 2), 1.6, 6])
			);
			const sketch = { lens: LENSES.wide35, choices: { fNumberExact: 4 }, people };
			return odds(sketch, ASSUMED, { shutterS: 1 / 200 }).share;
		});
		expect(shares).toEqual(shares.toSorted((a, b) => b - a));
	});

	it('intervals hold the share and narrow with the frames', () => {
		const take = takeOf(shotOf(shaky));
		const [few, many] = [oddsOf(take, 200, 1, ASSUMED), oddsOf(take, 20_000, 1, ASSUMED)];
		for (const { low, share, high } of [few, many]) {
			expect(low).toBeLessThan(share);
			expect(high).toBeGreaterThan(share);
		}
		expect(many.high - many.low).toBeLessThan((few.high - few.low) / 5);
	});

	it('the likely bad frame is one of those drawn, worse than the plan', () => {
		const take = takeOf(shotOf(shaky));
		const bad = likelyBadFrame(take, 1000, 4, ASSUMED);
		const again = likelyBadFrame(take, 1000, 4, ASSUMED);
		expect(bad).toEqual(again);
		expect(Math.abs(bad.cameraM)).toBeLessThan(0.06);
		expect(bad.people).toHaveLength(1);
	});

	it('every spread has bounds that hold its assumption, and a meaning', () => {
		for (const { initial, low, high, meaning } of Object.values(SPREADS)) {
			expect(initial).toBeGreaterThanOrEqual(low);
			expect(initial).toBeLessThanOrEqual(high);
			expect(meaning.length).toBeGreaterThan(4);
		}
	});
});

describe('the counting', () => {
	it('tells what a look at every target and every pair of lids of every frame tells', () => {
		const people = [0, 1, 2].map((i) =>
			person(`p${i}`, [0.3 * (i - 1), 1.6, 2.2 + 0.1 * i], {
				motion: i === 1 ? 'restless' : 'still'
			})
		);
		const shot = shotOf({ people, lens: LENSES.portrait85, focalMm: 85 });
		const take = takeOf({ ...shot, choices: { ...shot.choices, focusBy: 'area' } });
		const frames = 2000;
		const set = new FrameSets(ASSUMED, () => drawsOf(1, frames)).of(take);
		const { people: counted, targets } = set.conditions;
		expect(counted).toHaveLength(3);
		const shutterS = 1 / 200;
		const open = new Map<string, number>();
		const missed = targets.map(() => 0);
		let [sharp, keepers] = [0, 0];
		for (let frame = 0; frame < frames; frame++) {
			const isSoft = targets.map((_, i) => set.excess(frame, i, take.fNumber, shutterS) > 1);
			isSoft.forEach((is, i) => (missed[i] = (missed[i] ?? 0) + Number(is)));
			const isMeant = !set.isWrong(frame);
			const shut = set.accidents(frame).people.filter((one) => one.isShut);
			if (isMeant && !isSoft.includes(true)) {
				sharp += 1;
				if (shut.length === 0) keepers += 1;
			}
			counted.forEach(({ personId }, owner) => {
				const isSeen = !targets.some((target, i) => target.owner === owner && isSoft[i]);
				if (isMeant && isSeen && !shut.some((one) => one.personId === personId))
					open.set(personId, (open.get(personId) ?? 0) + 1);
			});
		}
		const told = oddsOf(take, frames, 1, ASSUMED, { shutterS });
		expect(told.share * frames).toBeCloseTo(keepers, 6);
		expect(told.sharpShare * frames).toBeCloseTo(sharp, 6);
		expect(told.hardest?.missed).toBe(Math.max(...missed) / frames);
		for (const { personId, share } of told.people) {
			expect(share * frames, personId).toBeCloseTo(open.get(personId) ?? 0, 6);
		}
		// there is something of everything to count
		expect(keepers).toBeGreaterThan(100);
		expect(sharp).toBeGreaterThan(keepers);
		expect(sharp).toBeLessThan(0.8 * frames);
		const causes = told.causes.map(({ cause }) => cause);
		for (const cause of ['wrong-place', 'blinking'] as const) expect(causes).toContain(cause);
		expect(told.causes.reduce((sum, { share }) => sum + share, told.share)).toBeCloseTo(1, 9);
	});
});
