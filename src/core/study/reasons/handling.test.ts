import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { reasonText } from '$words/reasons';
import { ahead, person, planOf, shotOf, thing, type Sketch } from '$tests/support/shots';
import { solve, takeOf } from '$tests/support/solved';
import type { Reason } from '../../format/reasons';
import { takenByCamera } from '../leftToItself';
import { slowestOf } from '../light';

/** How to focus and what to set besides: each told where it applies. Common practice, no source. */

const find = <C extends Reason['code']>(sketch: Sketch, code: C) =>
	planOf(sketch).reasons.find((one): one is Extract<Reason, { code: C }> => one.code === code);
const has = (sketch: Sketch, code: Reason['code']): boolean => find(sketch, code) !== undefined;
const said = (sketch: Sketch, code: Reason['code']): string => {
	const reason = find(sketch, code);
	return reason ? reasonText(reason, shotOf(sketch), 'm') : '';
};
const ambient = (ev100: number) => ({ mode: 'ambient', ev100 }) as const;

describe('left to itself the camera', () => {
	const branches = thing('branches', [0.35, 1.6, 1.4], { look: 'foliage', heightM: 0.3 });
	const behind: Sketch = { people: [ahead('p', 3)], things: [branches] };

	it('takes the nearest thing with contrast under its area, and who is soft then is named', () => {
		const take = takeOf(shotOf(behind));
		expect(takenByCamera(take, 'whole-frame')).toEqual({
			personId: null,
			thingId: 'branches',
			depthM: 1.4,
			softIds: ['p']
		});
		// the area lies around the eye, the branches beside it
		expect(takenByCamera(take, 'area')).toBeNull();
		expect(said(behind, 'camera-takes')).toBe(
			'Left to itself in the whole frame, the camera would take the branches: p would be soft.'
		);
		const left: Sketch = { ...behind, choices: { focusBy: 'whole-frame' } };
		expect(find(left, 'camera-takes')).toMatchObject({ left: 'whole-frame', isLeft: true });
	});

	it('finds nothing on a plain wall or at a window, nor behind, nor outside the points', () => {
		for (const other of [
			{ ...branches, look: 'wall' as const },
			{ ...branches, look: 'window' as const },
			{ ...branches, position: { x: 0.2, y: 1.6, z: 5 } }
		]) {
			expect(has({ ...behind, things: [other] }, 'camera-takes')).toBe(false);
		}
		const reflex: Sketch = {
			...behind,
			body: BODIES.reflex24,
			things: [{ ...branches, position: { x: 0.45, y: 1.6, z: 1.4 } }]
		};
		expect(has(reflex, 'camera-takes')).toBe(false);
	});

	it('takes somebody nearer than who is meant', () => {
		const key: Sketch = {
			people: [
				ahead('meant', 4, { need: 'key' }),
				person('nearer', [0.4, 1.6, 2.5], { need: 'free' })
			],
			choices: { focusBy: 'whole-frame' }
		};
		expect(find(key, 'camera-takes')).toMatchObject({ personId: 'nearer', softIds: ['meant'] });
	});
});

describe('habits of focusing', () => {
	it('a separate button where the focus is locked', () => {
		const aside = person('p', [0.25, 1.6, 2]);
		expect(has({ people: [aside] }, 'focus-button')).toBe(false);
		const reframed: Sketch = {
			people: [aside],
			choices: { technique: 'reframe', fNumberExact: 4 }
		};
		expect(has(reframed, 'focus-button')).toBe(true);
	});

	it('on a tripod nobody leans', () => {
		const deep: Sketch = { people: [ahead('a', 2), person('b', [0.4, 1.6, 2.4])] };
		expect(has(deep, 'lean')).toBe(true);
		expect(has({ ...deep, camera: { support: 'tripod' } }, 'lean')).toBe(false);
	});

	it('before anyone is there, and a coarse grid, for who walks; a fine one for who keeps still', () => {
		const walking: Sketch = { people: [ahead('p', 6, { motion: 'walking' })] };
		expect(has(walking, 'focus-on-place')).toBe(true);
		expect(find(walking, 'grid')?.grid).toBe('coarse');
		const still: Sketch = { people: [ahead('p', 6)] };
		expect(has(still, 'focus-on-place')).toBe(false);
		expect(find(still, 'grid')?.grid).toBe('fine');
		// a few dozen points are no grid
		expect(has({ ...still, body: BODIES.reflex24 }, 'grid')).toBe(false);
	});

	it('the focus hunts in the dark and on what is plain, and not by hand', () => {
		const dark: Sketch = { people: [ahead('p', 2)], light: ambient(2) };
		expect(find(dark, 'hunting')?.why).toBe('dark');
		expect(has({ ...dark, light: ambient(7) }, 'hunting')).toBe(false);
		expect(has({ ...dark, choices: { focusBy: 'hand-magnified' } }, 'hunting')).toBe(false);
		const cloth: Sketch = {
			people: [ahead('p', 2, { need: 'soft' })],
			things: [thing('cloth', [0, 1.6, 3], { look: 'wall', intent: 'sharp' })],
			light: ambient(7)
		};
		expect(find(cloth, 'hunting')?.why).toBe('plain');
	});

	it('lock and reframe says how much of what is allowed it uses: the defocus it leaves', () => {
		const aside: Sketch = { people: [person('p', [0.5, 1.6, 2])], choices: { fNumberExact: 8 } };
		const reason = find(aside, 'reframe-error');
		expect(reason?.ratio).toBeGreaterThan(0);
		expect(said(aside, 'reframe-error')).toContain(
			`uses ${Math.round(100 * (reason?.ratio ?? 0))} % of the blur allowed there`
		);
		// the error is a length in the scene, its blur goes with 1/N
		const wider = find({ ...aside, choices: { fNumberExact: 4 } }, 'reframe-error');
		expect(wider?.errorM).toBeCloseTo(reason?.errorM ?? 0, 9);
		expect((wider?.ratio ?? 0) / (reason?.ratio ?? 1)).toBeCloseTo(2, 6);
	});
});

describe('what to set besides', () => {
	const one: Sketch = { people: [ahead('p', 2)], light: ambient(9) };

	it('the stabiliser on in the hand, off on a tripod, unsaid where there is none', () => {
		expect(find(one, 'stabiliser')?.isOn).toBe(true);
		expect(find({ ...one, camera: { support: 'tripod' } }, 'stabiliser')?.isOn).toBe(false);
		expect(has({ ...one, body: BODIES.reflex24 }, 'stabiliser')).toBe(false);
	});

	it('the highlight warning for a window, for lamps, and in the sun', () => {
		const window = thing('window', [0.3, 1.6, 3], { look: 'window' });
		expect(said({ ...one, things: [window] }, 'highlights')).toContain('the window may burn out');
		expect(has({ ...one, light: ambient(15) }, 'highlights')).toBe(true);
		expect(has(one, 'highlights')).toBe(false);
		const outside = { ...window, position: { x: 9, y: 1.6, z: 3 } };
		expect(has({ ...one, things: [outside] }, 'highlights')).toBe(false);
	});

	it('by hand with flash or with a shutter that is fixed, else the f-number', () => {
		expect(find(one, 'exposure-mode')?.mode).toBe('aperture');
		expect(find({ ...one, choices: { shutterS: 1 / 250 } }, 'exposure-mode')?.mode).toBe('manual');
		const light = { mode: 'flash', guideNumberM: 36, distanceM: 2, ambientEv100: 5 } as const;
		expect(find({ ...one, light }, 'exposure-mode')?.mode).toBe('manual');
		// and nothing is metered then
		expect(has({ ...one, light }, 'metering')).toBe(false);
		expect(has(one, 'metering')).toBe(true);
	});

	it.each([1, 'computed'] as const)(
		'by the same limit that is given for the shutter, however bright it is: rule %s',
		(shutterRule) => {
			const bright: Sketch = { ...one, light: ambient(14), choices: { shutterRule } };
			const limitS = find(bright, 'shutter')?.shutterS ?? 0;
			expect(planOf(bright).exposure?.shutterS).toBeLessThan(limitS / 2);
			expect(find(bright, 'exposure-mode')?.shutterS).toBe(limitS);
			const limit = /1\/\d+/.exec(said(bright, 'shutter'))?.[0];
			expect(said(bright, 'exposure-mode')).toContain(`hold the shutter at ${limit} or faster`);
		}
	);

	it('in the dark by the shutter that is taken, although it spoils more', () => {
		const dark: Sketch = { ...one, light: ambient(1), choices: { shutterRule: 'computed' } };
		const { shutterS } = planOf(dark).exposure ?? { shutterS: 0 };
		expect(shutterS).toBeGreaterThan((find(dark, 'shutter')?.shutterS ?? Infinity) * 1.1);
		expect(find(dark, 'exposure-mode')?.shutterS).toBe(shutterS);
	});

	it('with the ISO held by the light alone', () => {
		const held: Sketch = { ...one, light: ambient(10), choices: { isoRule: 400 } };
		expect(said(held, 'exposure-mode')).toBe(
			'Set the f-number and ISO 400; the shutter follows the light.'
		);
	});

	it('a telephone: one rung, what to tap and hold, and nothing that it cannot be told', () => {
		const sketch: Sketch = {
			...one,
			body: BODIES.phone,
			lens: LENSES.phone,
			focalMm: LENSES.phone.focalMm[0]
		};
		const { plan } = solve(shotOf(sketch));
		expect(plan.ladder).toHaveLength(1);
		expect(plan.fNumber).toBe(1.8);
		expect(said(sketch, 'tap')).toMatch(/^Tap on p’s (left|right) eye and hold/);
		for (const code of ['move-point', 'exposure-mode', 'metering', 'grid'] as const) {
			expect(has(sketch, code)).toBe(false);
		}
	});

	it('hands would spoil half: the share that the shutter loses, and whose it is', () => {
		const dim: Sketch = {
			people: [ahead('p', 3)],
			body: BODIES.reflex24,
			lens: LENSES.portrait135,
			light: ambient(2),
			choices: { shutterRule: 'computed', pickBy: 'odds' }
		};
		const take = takeOf(shotOf(dim));
		const slowest = slowestOf(take);
		const reason = find(dim, 'spoilt');
		expect(reason?.by).toBe('hands');
		if (slowest.by !== 'frames') throw new Error('the shutter is computed');
		expect(reason?.share).toBe(slowest.lossAt(reason?.shutterS ?? NaN));
		expect(reason?.share).toBeGreaterThan(0.25);
		expect(has({ ...dim, light: ambient(9) }, 'spoilt')).toBe(false);
		const restless: Sketch = {
			...dim,
			lens: LENSES.wide35,
			body: BODIES.fullFrame24,
			people: [ahead('p', 3, { motion: 'restless', build: 'child' })],
			light: ambient(1)
		};
		expect(find(restless, 'spoilt')?.by).toBe('people');
	});
});

describe('on a tripod', () => {
	it('nobody leans: what lies between is focused by hand', () => {
		// a face and a flower a hand's breadth apart that no f-number holds
		const sketch = (support: 'handheld' | 'tripod'): Sketch => ({
			lens: LENSES.portrait85,
			camera: { support },
			people: [ahead('p', 1.2, { need: 'key' })],
			things: [thing('flower', [0.05, 1.5, 1.12], { intent: 'sharp', widthM: 0.1, heightM: 0.1 })]
		});
		expect(find(sketch('handheld'), 'between')?.leanM).toBeTypeOf('number');
		expect(find(sketch('tripod'), 'between')?.leanM).toBeNull();
		expect(said(sketch('tripod'), 'between')).toMatch(
			/^No eye holds them all: focus between them by hand/
		);
	});
});
