import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { naiveSharpShare } from '$tests/support/naiveOdds';
import { ahead, EYE_M, person, shotOf, thing, type Sketch } from '$tests/support/shots';
import { takeOf } from '$tests/support/solved';
import { effectiveExposureS } from '../study/light';
import { ASSUMED } from '../tables/spreads';
import { oddsOf } from './odds';

/** Twenty varied shots against a plain program with a million frames each. */

const near = (sketch: Sketch): Sketch => ({
	...sketch,
	choices: { pickBy: 'odds', shutterRule: 'computed', ...sketch.choices }
});
const row = (n: number, z: number, more: Parameters<typeof person>[2] = {}) =>
	Array.from({ length: n }, (_, i) =>
		person(`${z} ${i}`, [0.6 * (i - (n - 1) / 2), EYE_M, z], { keep: 'near-eye', ...more })
	);
const bright = { mode: 'ambient', ev100: 12 } as const;
const indoors = { mode: 'ambient', ev100: 6 } as const;

const SHOTS: readonly (readonly [string, Sketch])[] = [
	['a face', { people: [ahead('p', 2)], light: indoors }],
	[
		'a face, 85 mm wide open',
		{ people: [ahead('p', 2)], lens: LENSES.portrait85, choices: { fNumberExact: 1.4 } }
	],
	['two in line', { people: [ahead('a', 2.5), person('b', [0.5, 1.6, 2.8])], light: indoors }],
	['a row of four', { people: row(4, 4), light: bright }],
	['two rows', { people: [...row(3, 5), ...row(3, 5.8)], light: bright }],
	[
		'restless children',
		{ people: row(2, 3, { build: 'child', motion: 'restless' }), light: bright }
	],
	['a cat', { people: [ahead('c', 1.2, { build: 'cat' })], light: indoors }],
	[
		'a restless dog',
		{ people: [ahead('d', 2, { build: 'dog', motion: 'restless' })], light: bright }
	],
	[
		'walking in',
		{
			people: row(2, 6, { motion: 'walking' }),
			lens: LENSES.zoom70200,
			focalMm: 135,
			light: indoors
		}
	],
	['on a tripod', { people: [ahead('p', 3)], camera: { support: 'tripod' }, light: indoors }],
	['kneeling', { people: [ahead('p', 1.5)], camera: { support: 'kneeling' }, light: indoors }],
	['no stabiliser', { people: [ahead('p', 3)], body: BODIES.reflex24, light: indoors }],
	[
		'by hand, magnified',
		{ people: [ahead('p', 2)], choices: { focusBy: 'hand-magnified', fNumberExact: 2 } }
	],
	[
		'by hand, through the finder',
		{ people: [ahead('p', 2)], choices: { focusBy: 'hand-finder', fNumberExact: 2 } }
	],
	['an area', { people: [ahead('p', 2)], choices: { focusBy: 'area' }, light: indoors }],
	[
		'the whole frame',
		{ people: [ahead('p', 2)], choices: { focusBy: 'whole-frame' }, light: indoors }
	],
	[
		'reframed',
		{ people: [person('p', [0.25, 1.6, 2])], choices: { technique: 'reframe', fNumberExact: 4 } }
	],
	['depths unsure', { people: row(3, 4, { depthSigmaM: 0.1 }), choices: { fNumberExact: 4 } }],
	[
		'a bent field',
		{
			people: [person('p', [0.5, 1.6, 2])],
			lens: { ...LENSES.normal50, fieldBend: 0.6 },
			choices: { fNumberExact: 2 }
		}
	],
	[
		'a thing to be read',
		{
			people: [ahead('p', 2)],
			things: [thing('t', [0.2, 1.5, 1.9], { intent: 'sharp' })],
			choices: { fNumberExact: 5.6 }
		}
	]
];

describe('against a plain simulation with a million frames', () => {
	it.each(SHOTS)(
		'%s: within a point',
		(_, sketch) => {
			const take = takeOf(shotOf(near(sketch)));
			const shutterS = effectiveExposureS(take);
			const plain = naiveSharpShare(take, shutterS, 1_000_000);
			const { sharpShare } = oddsOf(take, 20_000, 1, ASSUMED);
			expect(Math.abs(sharpShare - plain)).toBeLessThan(0.01);
		},
		60_000
	);
});
