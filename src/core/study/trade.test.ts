import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { ahead, EYE_M, person, planOf, toldOf, shotOf } from '$tests/support/shots';
import type { Lens, Person } from '../format/shot';
import { ABOUTS, withAbout } from '../arrange/about';
import { solve } from '$tests/support/solved';

/** Facts of the trade and things that go wrong: common practice, no source. */

const at = (fNumberExact: number) => ({ fNumberExact });

/** Head and shoulders: a width of about 60 cm, so 1.42 m with 85 mm on full frame, upright. */
const headAndShoulders = (lens: Lens, more: Partial<Person>, fNumber?: number) =>
	planOf({
		lens,
		people: [ahead('face', 1.6, more)],
		camera: { orientation: 'portrait' },
		sharpness: { standard: 'album' },
		choices: { safetyStops: 0, ...(fNumber ? at(fNumber) : {}) }
	});

describe('one face', () => {
	const turned = (fNumber: number) => {
		const { targets } = headAndShoulders(LENSES.portrait85Fast, { turnDeg: 45 }, fNumber);
		return targets.map(({ ratio, state }) => ({ ratio, state }));
	};

	it('85 mm at f/1.2, head and shoulders, turned 45 degrees: one eye sharp, the other soft', () => {
		expect(
			turned(1.2)
				.map(({ state }) => state)
				.toSorted()
		).toEqual(['sharp', 'soft']);
	});

	it('f/2.8 is not enough', () => {
		expect(Math.max(...turned(2.8).map(({ ratio }) => ratio))).toBeGreaterThan(1.2);
	});

	it('f/4 nearly holds both', () => {
		const worst = Math.max(...turned(4).map(({ ratio }) => ratio));
		expect(worst).toBeGreaterThan(0.8);
		expect(worst).toBeLessThan(Math.SQRT2);
	});

	it('close portrait at f/1.4, eye in focus: the nose is almost out', () => {
		const plan = headAndShoulders(LENSES.portrait85, { keep: 'face' }, 1.4);
		const nose = plan.targets.find(({ landmark }) => landmark === 'nose-tip');
		expect(nose?.state).toBe('soft');
		const eyes = plan.targets.filter(({ landmark }) => landmark.endsWith('eye'));
		expect(eyes.every(({ state }) => state === 'sharp')).toBe(true);
	});

	it('focused on the nose, the eyes are not sharp', () => {
		const plan = planOf({
			lens: LENSES.portrait85,
			people: [ahead('face', 1.6)],
			choices: { focus: { personId: 'face', landmark: 'nose-tip' }, ...at(1.4) }
		});
		expect(plan.targets.map(({ state }) => state)).toEqual(['soft', 'soft']);
	});

	it('the near eye is the one to focus on where a head is turned', () => {
		expect(headAndShoulders(LENSES.portrait85, { turnDeg: 35 }).focus?.eye).toBe('right');
		expect(headAndShoulders(LENSES.portrait85, { turnDeg: -35 }).focus?.eye).toBe('left');
	});
});

/** Rows on steps, 80 cm apart, each 30 cm higher. */
const rows = (counts: readonly number[], distanceM = 6, stepM = 0.3) =>
	counts.flatMap((count, row) =>
		Array.from({ length: count }, (_, i) =>
			person(
				`${row}.${i}`,
				[(i - (count - 1) / 2) * 0.62, 1.2 + row * stepM, distanceM + row * 0.8],
				{ row, keep: 'near-eye' }
			)
		)
	);

describe('groups', () => {
	it('three rows at 6 m with 50 mm ask for about f/5.6 from the front row', () => {
		const { schools } = planOf({ people: rows([5, 6, 4]) });
		const front = schools.find(({ school }) => school === 'front-row');
		expect(Math.abs(2 * Math.log2((front?.fNumberExact ?? 0) / 5.6))).toBeLessThan(2 / 3);
	});

	it('with three rows the middle row is the one to focus on; with two the front row', () => {
		expect(toldOf({ people: rows([5, 6, 4]) }).focus?.where).toMatch(/^middle row/);
		const two = planOf({ people: rows([5, 6]) }).schools;
		const needed = (school: string) => two.find((one) => one.school === school)?.fNumberExact;
		expect(needed('middle-row')).toBe(needed('front-row'));
	});

	it('the computed plane never needs more than any other school', () => {
		const { schools } = planOf({ people: rows([5, 6, 4]) });
		const best = schools.find(({ school }) => school === 'computed-plane')?.fNumberExact ?? 0;
		expect(schools).toHaveLength(5);
		for (const { fNumberExact } of schools)
			expect(fNumberExact).toBeGreaterThanOrEqual(best - 1e-9);
	});

	it('a third of the way in is better than the front row when there are three', () => {
		const { schools } = planOf({ people: rows([5, 6, 4]) });
		const needed = Object.fromEntries(schools.map((one) => [one.school, one.fNumberExact]));
		expect(needed['third-in']).toBeLessThan(needed['front-row'] ?? 0);
	});

	it('wide open the back row is soft', () => {
		const people = rows([5, 6, 4]);
		const plan = planOf({ people, choices: { focus: { personId: '0.2' }, ...at(2) } });
		const back = plan.targets.filter(({ personId }) => personId?.startsWith('2.'));
		expect(back.every(({ state }) => state === 'soft')).toBe(true);
	});

	it('raising the camera brings the rows nearer to one plane', () => {
		const people = rows([5, 6], 4, 0);
		const level = planOf({ people });
		const raised = planOf({
			people,
			camera: { position: { x: 0, y: 3.4, z: 0 }, tiltDeg: -27 }
		});
		expect(raised.free?.fNumberExact).toBeLessThan(level.free?.fNumberExact ?? 0);
	});

	it('a longer step back for the same lens needs a wider aperture only', () => {
		const near = planOf({ people: rows([5, 6, 4], 6) });
		const far = planOf({ people: rows([5, 6, 4], 9) });
		expect(far.free?.fNumberExact).toBeLessThan(near.free?.fNumberExact ?? 0);
	});

	it('with a shell-shaped focus surface, bending the ends of a long row in helps', () => {
		const row = (bendM: number) =>
			Array.from({ length: 7 }, (_, i) => {
				const aside = (i - 3) * 0.5;
				const place = [aside, EYE_M, 4.5 - bendM * (aside / 1.5) ** 2] as const;
				return person(`p${i}`, place, { keep: 'near-eye' });
			});
		const needed = (fieldBend: number, bendM: number) => {
			const lens: Lens = { ...LENSES.normal50, widestFNumber: [0.7, 0.7], fieldBend };
			return planOf({ people: row(bendM), lens }).free?.fNumberExact ?? 0;
		};
		expect(needed(1, 0.26)).toBeLessThan(needed(1, 0));
		expect(needed(0, 0)).toBeLessThan(needed(0, 0.26));
	});
});

describe('the same from another camera', () => {
	it('the same framing on a smaller sensor holds more at the same f-number', () => {
		const people = rows([4, 4]);
		const full = planOf({ people, lens: LENSES.normal50 });
		const crop = planOf({ people, body: BODIES.crop26, lens: LENSES.wide35 });
		expect(crop.free?.fNumberExact).toBeLessThan(full.free?.fNumberExact ?? 0);
	});

	it('a stricter standard asks for a smaller aperture', () => {
		const people = rows([4, 4]);
		const needed = (standard: 'album' | 'screen' | 'pixel') =>
			planOf({ people, body: BODIES.fullFrame45, sharpness: { standard } }).free?.fNumberExact ?? 0;
		expect(needed('album')).toBeLessThan(needed('screen'));
		expect(needed('screen')).toBeLessThan(needed('pixel'));
	});
});

describe('three pictures of one arrangement', () => {
	// a head-and-shoulders with an object at arm's length before it
	const shot = shotOf({
		lens: LENSES.portrait85,
		people: [ahead('maker', 2.2)],
		things: [
			{
				id: 'bowl',
				label: 'bowl',
				position: { x: 0.25, y: EYE_M - 0.2, z: 2.1 },
				widthM: 0.2,
				heightM: 0.15,
				detailMm: 2,
				look: 'object'
			}
		]
	});

	it.each(ABOUTS)('about the %s', (about) => {
		const { plan } = solve(withAbout(shot, about));
		const bowl = plan.things[0];
		const face = plan.targets.find(({ personId }) => personId === 'maker');
		const sharpBowl = plan.targets.some(({ thingId, ratio }) => thingId === 'bowl' && ratio <= 1);
		expect(sharpBowl).toBe(about !== 'person');
		// soft but known: within six stops
		expect(face?.ratio).toBeLessThanOrEqual(1);
		if (about === 'person') expect(bowl?.state).not.toBe('readable');
		expect(plan.feasible).toBe(true);
	});
});
