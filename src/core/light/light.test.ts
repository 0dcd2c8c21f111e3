import fc from 'fast-check';
import type { Body } from '../format/shot';
import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { flash, steady } from '$tests/support/flash';
import { ahead, person, planOf, shotOf } from '$tests/support/shots';
import { nominalIso, nominalShutter } from './dials';
import { LIGHT_WORDS, powerWords, shutterWords } from '$words/light';
import { ev100Of, isoFor, shutterFor } from './ev';
import { exposureAt } from '../study/light';
import { ambientExposure, comfortIsoOf, flashExposure } from './exposure';
import { handsFloor, motionFloor, peopleFloors } from './shutterFloor';

const body = BODIES.fullFrame24;

describe('exposure value', () => {
	it.each([
		// sunny 16, common practice: one over the ISO at f/16 in bright sun, EV 15 (ANSI PH2.7, from memory)
		['sunny 16', { fNumber: 16, shutterS: 1 / 125, iso: 100 }, 15, 0.05],
		// APEX (from memory): EV 0 is f/1 for a second at ISO 100, each value doubles
		['EV 0', { fNumber: 1, shutterS: 1, iso: 100 }, 0, 1e-12],
		['EV 12', { fNumber: 8, shutterS: 1 / 64, iso: 100 }, 12, 1e-12],
		['ISO 400 asks for two stops less', { fNumber: 8, shutterS: 1 / 64, iso: 400 }, 10, 1e-12]
	])('%s', (_, settings, ev, within) => {
		expect(Math.abs(ev100Of(settings) - ev)).toBeLessThanOrEqual(within);
	});

	it('f/5.6 at 1/3200 and f/32 at 1/100 are the same exposure (common practice, no source)', () => {
		const one = ev100Of({ fNumber: 2 ** 2.5, shutterS: 1 / 3200, iso: 100 });
		const other = ev100Of({ fNumber: 32, shutterS: 1 / 100, iso: 100 });
		expect(one).toBeCloseTo(other, 10);
	});

	it('shutter, ISO and EV are one law', () => {
		const law = fc.property(
			fc.double({ min: -4, max: 18, noNaN: true }),
			fc.double({ min: 1, max: 22, noNaN: true }),
			fc.double({ min: 50, max: 25600, noNaN: true }),
			(ev100, fNumber, iso) => {
				const shutterS = shutterFor(ev100, fNumber, iso);
				expect(ev100Of({ fNumber, shutterS, iso })).toBeCloseTo(ev100, 8);
				expect(isoFor(ev100, fNumber, shutterS) / iso).toBeCloseTo(1, 8);
			}
		);
		fc.assert(law);
	});

	it('plain words run from bright to dark', () => {
		const evs = LIGHT_WORDS.map(({ ev100 }) => ev100);
		expect(evs).toEqual(evs.toSorted((a, b) => b - a));
	});
});

describe('the slowest shutter', () => {
	const hands = (focalMm: number, rule: 1 | 2, stabiliserStops = 0, from: Body = body) =>
		handsFloor(
			{ ...from, stabiliserStops: 0 },
			{ stabiliserStops },
			{ focalMm, support: 'handheld' },
			rule
		) as number;

	it.each([
		// the reciprocal rule and its stricter form: common practice, no source
		['50 mm', hands(50, 1), 1 / 50],
		['50 mm, one over twice', hands(50, 2), 1 / 100],
		['200 mm with four stops of stabiliser', hands(200, 1, 4), 16 / 200],
		['50 mm on a 1.5x crop frames like 75 mm', hands(50, 1, 0, BODIES.crop26), 1 / 76.7]
	])('%s', (_, floorS, expected) => {
		expect(floorS).toBeCloseTo(expected, 4);
	});

	it('a tripod has none', () => {
		expect(handsFloor(body, LENSES.normal50, { focalMm: 50, support: 'tripod' }, 1)).toBeNull();
	});

	it('for somebody walking at 5 m, by hand: t = c D / (v speed)', () => {
		// 0.0167 x 5000 / (50.5 x 250) = 1/151 s
		const walker = { personId: 'p', motion: 'walking', depthM: 5, allowedMm: 0.0166667 } as const;
		expect(1 / motionFloor(walker, 50.505)).toBeCloseTo(151.5, 1);
	});

	const why = (
		people: Parameters<typeof planOf>[0]['people'],
		more: Parameters<typeof planOf>[0] = {}
	) => {
		const { reasons } = planOf({ people, ...more });
		const reason = reasons.find((one) => one.code === 'shutter');
		return [reason?.why, 1 / Number(reason?.shutterS)];
	};

	it('three people ask for 1/100, restless ones for more', () => {
		const three = [-0.6, 0, 0.6].map((x) => person(`${x}`, [x, 1.6, 6]));
		expect(why(three)).toEqual(['group', 100]);
		const [reason, perSecond] = why(three.map((one) => ({ ...one, motion: 'restless' as const })));
		expect(reason).toBe('motion');
		expect(perSecond).toBeGreaterThan(100);
	});

	it('on a tripod one still person is held by the custom of 1/30', () => {
		expect(why([ahead('p', 6)], { camera: { support: 'tripod' } })).toEqual(['anyone', 30]);
	});
});

describe('ambient light', () => {
	it('the shutter at its floor, the ISO in third stops as needed, the exposure exact', () => {
		const law = fc.property(
			fc.double({ min: 0, max: 16, noNaN: true }),
			fc.double({ min: 1.2, max: 22, noNaN: true }),
			fc.double({ min: 1 / 1000, max: 1 / 10, noNaN: true }),
			(ev100, fNumber, floorS) => {
				const { shutterS, iso } = ambientExposure(body, ev100, fNumber, floorS, undefined);
				expect(ev100Of({ fNumber, shutterS, iso })).toBeCloseTo(ev100, 8);
				expect(shutterS).toBeLessThanOrEqual(floorS * (1 + 1e-8));
				const thirds = 3 * Math.log2(iso / 100);
				expect(thirds).toBeCloseTo(Math.round(thirds), 6);
				// not a third more than needed
				if (iso > 100) expect(shutterS * 2 ** (1 / 3)).toBeGreaterThan(floorS * (1 - 1e-8));
			}
		);
		fc.assert(law);
	});

	it('too bright: f/1.4 in the sun asks for more than 1/8000, and says how much grey filter', () => {
		const { flags, shortStops } = ambientExposure(body, 15, 1.4142, 1 / 60, undefined);
		expect(flags).toEqual(['too-bright']);
		// 2^15 / 2 = 1/16384 s, a stop and a bit beyond 1/8000
		expect(shortStops).toBeCloseTo(Math.log2(16384 / 8000), 3);
	});

	it('too dark: flagged over the highest ISO; with the ISO held the shutter gives instead', () => {
		expect(ambientExposure(body, -2, 8, 1 / 60, undefined).flags).toEqual(['iso-high']);
		const held = ambientExposure(body, 5, 4, 1 / 60, 100);
		expect(held).toMatchObject({ iso: 100, flags: ['too-slow'] });
		expect(held.shutterS).toBeCloseTo(16 / 32, 9);
	});
});

describe('flash', () => {
	it('guide number: f/11 at 3.27 m with GN 36 and full power (ISO 1230, from memory)', () => {
		const at = { ...flash, distanceM: 36 / 11 };
		expect(flashExposure(body, at, 11, steady).flashPower).toBe(1);
	});

	it('inverse square: twice as far asks for two stops more power, so does twice the f-number', () => {
		const power = (distanceM: number, fNumber: number) =>
			flashExposure(body, { ...flash, distanceM }, fNumber, steady).flashPower as number;
		expect(power(2, 4) / power(1, 4)).toBeCloseTo(4, 9);
		expect(power(1, 8) / power(1, 4)).toBeCloseTo(4, 9);
	});

	it('out of power: says by how much, unless the ISO may rise', () => {
		const far = { ...flash, distanceM: 9 };
		const short = flashExposure(body, far, 8, steady);
		expect(short.flags).toContain('no-power');
		expect(short.shortStops).toBeCloseTo(2, 9);
		const raised = flashExposure(body, far, 8, { ...steady, isoRule: 'rises' });
		expect(raised).toMatchObject({ flashPower: 1 });
		expect(raised.iso).toBeCloseTo(400, 6);
		expect(raised.flags).not.toContain('no-power');
	});

	it('five stops below the flash the room is black and people are frozen', () => {
		const floor = (why: 'hands' | 'motion', shutterS: number) => ({
			why,
			shutterS,
			personId: null
		});
		const floors = { hands: floor('hands', 1 / 60), people: floor('motion', 1 / 500) };
		const at = (ambientEv100: number) =>
			exposureAt(shotOf({ body, light: { ...flash, ambientEv100 } }), 2 ** 2.5, {
				by: 'custom',
				floors
			});
		// EV 5 at f/5.6 and 1/200: log2(32 x 200) - 5 = 7.6 stops below
		const dark = at(5);
		expect(dark?.flags).toEqual([]);
		expect(dark?.roomBelowStops).toBeCloseTo(Math.log2(6400) - 5, 9);
		// in a bright room the same people ask for a shutter that the flash does not allow
		const lit = at(9);
		expect(lit?.flags).toEqual(['sync', 'room-light']);
	});
});

describe('the pick and the light', () => {
	const sunny = { mode: 'ambient', ev100: 15 } as const;

	it('a rung too bright is passed over while another holds, and always marked', () => {
		const plan = planOf({ people: [ahead('p', 3)], light: sunny });
		expect(plan.fNumber).toBe(2.2);
		expect(plan.ladder[0]?.flags).toEqual(['too-bright']);
		expect(plan.exposure?.flags).toEqual([]);
		expect(plan.exposure?.shutterS).toBeGreaterThanOrEqual(1 / 8000 - 1e-12);
	});

	it('background before light: what the background asks for is kept though it is too bright', () => {
		const plan = planOf({
			people: [ahead('p', 3)],
			light: sunny,
			things: [
				{
					id: 't',
					label: 't',
					position: { x: 0.6, y: 1.6, z: 5 },
					detailMm: 12,
					intent: 'dissolved'
				}
			]
		});
		expect(plan.fNumber).toBe(1.4);
		expect(plan.exposure?.flags).toEqual(['too-bright']);
		expect(plan.reasons.map(({ code }) => code)).toContain('too-bright');
	});

	it('nothing is said of shutter and ISO while nothing is known of the light', () => {
		const plan = planOf({ people: [ahead('p', 3)] });
		expect(plan.exposure).toBeNull();
		expect(plan.ladder.every(({ shutterS, iso }) => shutterS === null && iso === null)).toBe(true);
	});

	it('each stop down costs a stop of ISO in the dark', () => {
		const { ladder } = planOf({ people: [ahead('p', 3)], light: { mode: 'ambient', ev100: 5 } });
		const at = (fNumber: number) => ladder.find((rung) => rung.fNumber === fNumber)?.iso ?? NaN;
		expect(at(5.6) / at(4)).toBeCloseTo(2, 6);
		expect(at(11) / at(4)).toBeCloseTo(8, 6);
	});
});

describe('the dials', () => {
	it.each([
		[2 ** -7, 1 / 125],
		[2 ** -7 * 2 ** (-1 / 3), 1 / 160],
		[1 / 48, 1 / 50],
		[0.5, 0.5]
	])('%d s reads %d', (exact, engraved) => {
		expect(nominalShutter(exact)).toBe(engraved);
	});

	it('ISO and power read as engraved', () => {
		expect(nominalIso(100 * 2 ** (4 / 3))).toBe(250);
		expect(nominalIso(100 * 2 ** 7)).toBe(12800);
		expect([1, 1 / 8, 2 ** (-8 / 3), 2 ** (-7 / 3)].map(powerWords)).toEqual([
			'full power',
			'1/8 power',
			'1/8 power + 1/3 stop',
			'1/8 power + 2/3 stop'
		]);
		expect([1 / 162, 0.4, 2, 70].map(shutterWords)).toEqual(['1/160', '0.4 s', '2 s', '70 s']);
	});
});

it('shots without light validate as before', () => {
	expect(shotOf({ people: [ahead('p', 3)] }).choices).not.toHaveProperty('isoRule');
});

it.each([
	[undefined, 12800, 3200],
	[undefined, 1600, 1600],
	[6400, 12800, 6400]
])('comfort ISO %s with a highest of %d is %d', (comfortIso, highest, expected) => {
	expect(comfortIsoOf({ comfortIso, iso: [100, highest] })).toBe(expected);
});

// common practice, no source: three make a group
it.each([
	[0, []],
	[1, ['motion', 'anyone']],
	[2, ['motion', 'motion', 'anyone']],
	[3, ['motion', 'motion', 'motion', 'group', 'anyone']]
])('%d people set these limits: %j', (count, expected) => {
	const movers = Array.from({ length: count }, (_, i) => ({
		personId: `p${i}`,
		motion: 'still' as const,
		depthM: 3,
		allowedMm: 0.03
	}));
	expect(peopleFloors(movers, 50).map(({ why }) => why)).toEqual(expected);
});
