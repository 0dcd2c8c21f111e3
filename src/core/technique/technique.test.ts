import { describe, expect, it } from 'vitest';
import { ahead, person, planOf, toldOf, shotOf } from '$tests/support/shots';
import { BODIES, LENSES } from '$data/kit';
import { solve, takeOf } from '$tests/support/solved';
import { techniqueOf } from '../study/technique';
import type { Body } from '../format/shot';
import { edgeStretch, impressionOf, nosePerspective } from '../optics/perspective';
import { boxOf, isSensitive, pointFor } from './focusPoints';
import { reframeErrorM, SWING_M } from './reframing';

const reflex: Body['focusGrid'] = {
	columns: 9,
	rows: 5,
	spanX: 0.45,
	spanY: 0.3,
	boxX: 0.03,
	boxY: 0.04,
	sensitive: 'centre'
};
const grid = BODIES.fullFrame24.focusGrid;

describe('the nearest focus point', () => {
	it('the middle of the frame is the middle point', () => {
		expect(pointFor(grid, 'landscape', { x: 0.5, y: 0.5 })).toEqual({ column: 12, row: 8 });
		expect(pointFor(grid, 'portrait', { x: 0.5, y: 0.5 })).toEqual({ column: 12, row: 8 });
	});

	it('counts from the top left, and reaches no farther than its span', () => {
		expect(pointFor(grid, 'landscape', { x: 0.03, y: 0.03 })).toEqual({ column: 0, row: 0 });
		expect(pointFor(grid, 'landscape', { x: 0.02, y: 0.5 })).toBeNull();
		// a few dozen points in the middle of the frame: common practice, no source
		expect(pointFor(reflex, 'landscape', { x: 0.5, y: 0.25 })).toBeNull();
		expect(pointFor(reflex, 'landscape', { x: 0.5, y: 0.36 })).toEqual({ column: 4, row: 0 });
	});

	it('upright its columns run up the frame', () => {
		expect(pointFor(grid, 'portrait', { x: 0.5, y: 0.97 })?.column).toBe(0);
		expect(pointFor(grid, 'portrait', { x: 0.5, y: 0.03 })?.column).toBe(24);
		expect(pointFor(grid, 'portrait', { x: 0.03, y: 0.5 })?.row).toBe(0);
	});

	it('every centre is its own nearest point, both ways up', () => {
		for (const orientation of ['landscape', 'portrait'] as const) {
			for (let column = 0; column < grid.columns; column++) {
				for (let row = 0; row < grid.rows; row++) {
					const box = boxOf(grid, orientation, { column, row });
					expect(pointFor(grid, orientation, box)).toEqual({ column, row });
				}
			}
		}
	});

	it('the centre is the sensitive one of a reflex body', () => {
		expect(isSensitive(reflex, { column: 4, row: 2 })).toBe(true);
		expect(isSensitive(reflex, { column: 0, row: 2 })).toBe(false);
		expect(isSensitive(grid, { column: 0, row: 0 })).toBe(true);
	});
});

describe('lock and reframe', () => {
	it.each([
		// by hand: hypot(1.12, 0.3) - 1.12 = 39.5 mm
		['30 cm aside at 1 m, by the wrists', 1, 0.3, SWING_M.wrists, 0.03949],
		// the usual cosine error: D (1/cos a - 1), a = atan(0.3)
		['the same about the pupil itself', 1, 0.3, 0, 0.04403],
		['by the upper body it is less: the camera itself swings', 1, 0.3, SWING_M.body, 0.0307],
		['on the axis there is none', 2, 0, SWING_M.wrists, 0]
	])('%s', (_, depthM, rightM, swingM, expected) => {
		const eye = { depthM, rightM, upM: 0, distanceM: 0, cosOffAxis: 1 };
		expect(reframeErrorM(eye, swingM)).toBeCloseTo(expected, 4);
	});

	it('a face composed off the points of a reflex body: reframing holds at f/8, not at f/1.4', () => {
		const body = { ...BODIES.fullFrame24, focusGrid: reflex };
		const technique = (fNumberExact: number) => {
			const { focus } = planOf({
				body,
				lens: LENSES.portrait85,
				people: [person('p', [0.25, 1.6, 1.7])],
				choices: { fNumberExact }
			});
			return [focus?.point, focus?.technique];
		};
		expect(technique(1.4)).toEqual([null, 'manual']);
		expect(technique(8)).toEqual([null, 'reframe']);
	});

	it('a bent field takes part of the error away', () => {
		const worst = (fieldBend: number) => {
			const shot = shotOf({
				lens: { ...LENSES.portrait85, fieldBend },
				people: [person('p', [0.35, 1.6, 1.7])],
				choices: { fNumberExact: 1.4 }
			});
			return techniqueOf(takeOf(shot), null).ways.find(({ way }) => way === 'reframe-wrists');
		};
		expect(worst(0)?.errorM).toBeCloseTo(worst(1)?.errorM ?? NaN, 9);
		expect(worst(1)?.ratio).toBeLessThan((worst(0)?.ratio ?? 0) * 0.5);
	});
});

describe('how to focus', () => {
	const codes = (sketch: Parameters<typeof planOf>[0]) =>
		planOf(sketch).reasons.map(({ code }) => code);

	it('single focusing for what stands, continuous for what moves', () => {
		expect(codes({ people: [ahead('p', 3)] })).toContain('mode-single');
		expect(codes({ people: [ahead('p', 3, { motion: 'walking' })] })).toContain('mode-continuous');
	});

	it('metering and drive go with who is there', () => {
		const texts = (people: Parameters<typeof planOf>[0]['people']) =>
			toldOf({ people })
				.reasons.filter(({ code }) => code === 'metering' || code === 'drive')
				.map(({ text }) => text)
				.join(' ');
		expect(texts([ahead('p', 3)])).toMatch(/Single frames.*focus point/);
		expect(texts([-1, 0, 1].map((x) => person(`${x}`, [x, 1.6, 6])))).toMatch(
			/Several frames.*whole frame/
		);
		expect(texts([ahead('p', 3, { motion: 'walking' })])).toMatch(/Short bursts/);
	});

	it('a box wider than an eye is told of, from afar and not from near', () => {
		expect(codes({ people: [ahead('p', 6)] })).toContain('box');
		expect(codes({ people: [ahead('p', 1)] })).not.toContain('box');
	});

	it('a depth in empty air can only be reached by hand', () => {
		const { focus } = planOf({ people: [ahead('p', 3)], choices: { focus: { depthM: 2.5 } } });
		expect(focus).toMatchObject({ point: null, technique: 'manual' });
	});

	it('the way one prefers is taken if it holds', () => {
		const technique = (way: 'reframe' | 'manual') =>
			planOf({ people: [person('p', [0.4, 1.6, 3])], choices: { technique: way } }).focus
				?.technique;
		expect(technique('manual')).toBe('manual');
		expect(technique('reframe')).toBe('reframe');
	});

	it('leaning onto the computed plane is the best of all planes', () => {
		const shot = shotOf({ people: [ahead('a', 3), person('b', [0.5, 1.6, 4])] });
		const { ways } = techniqueOf(takeOf(shot), solve(shot).plan.free);
		const lean = ways.find(({ way }) => way === 'lean');
		for (const { worstRatio } of ways)
			expect(lean?.worstRatio).toBeLessThanOrEqual(worstRatio + 1e-9);
	});
});

describe('perspective', () => {
	it.each([
		// by hand from the definition: (d + 0.088) / (d - 0.030) over (3.088 / 2.970)
		[3, 0],
		[1, 0.0788],
		[0.5, 0.2032],
		[6, -0.0192]
	])('from %d m the nose stands %d larger', (distanceM, expected) => {
		expect(nosePerspective(distanceM)).toBeCloseTo(expected, 3);
	});

	it('close distorts and far flattens (common practice, no source)', () => {
		expect([0.3, 1, 2.5, 8].map(nosePerspective).map(impressionOf)).toEqual([
			'distorted',
			'strong',
			'usual',
			'flatter'
		]);
	});

	it('the edge of a wide lens stretches a head by one over the cosine of the angle', () => {
		// half the width of full frame over the focal length: tan a = 18 / 24, cos a = 0.8
		expect(edgeStretch(24 / Math.hypot(18, 24))).toBeCloseTo(0.25, 12);
		// measured on a ball of 1 mm at that angle: its outline through the pinhole, across over high
		const [sin, cos] = [0.6, 0.8];
		const edge = (by: number) => Math.tan(Math.atan2(sin, cos) + by);
		const across = edge(1e-4) - edge(-1e-4);
		const high = 2 * Math.tan(1e-4) * (1 / cos);
		expect(across / high - 1).toBeCloseTo(0.25, 4);
	});

	it('35 mm is safe to the edge, 28 mm is not; only the worst is named', () => {
		const named = (focalMm: number, place: [number, number, number]) =>
			planOf({
				lens: { ...LENSES.wide24, focalMm: [focalMm, focalMm] },
				people: [person('a', [0, 1.6, 3]), person('b', place)]
			}).reasons.filter(({ code }) => code === 'stretched');
		expect(named(24, [2.1, 1.6, 3])).toMatchObject([{ personId: 'b' }]);
		expect(named(28, [1.8, 1.6, 3])).toHaveLength(1);
		expect(named(35, [1.45, 1.6, 3])).toEqual([]);
	});
});
