import { describe, expect, it } from 'vitest';
import { ahead, EYE_M, person, sceneOf, thing, type Sketch } from '$tests/support/shots';
import { HEADS } from '../tables/heads';

/** How much of the thing called "sign" is hidden. */
function hidden(sketch: Sketch): number {
	const found = sceneOf(sketch).things.find((one) => one.thing.id === 'sign');
	if (!found) throw new Error('no sign');
	return found.hiddenShare();
}

const sign = (more: object = {}) =>
	thing('sign', [0, EYE_M, 8], { widthM: 2, heightM: 1, intent: 'readable', ...more });

describe('what stands before a thing', () => {
	it('hides nothing behind it or beside it, nor by what can be seen through', () => {
		expect(hidden({ things: [sign()] })).toBe(0);
		expect(hidden({ things: [sign()], people: [ahead('behind', 9)] })).toBe(0);
		expect(hidden({ things: [sign()], people: [person('aside', [2, EYE_M, 5])] })).toBe(0);
		expect(hidden({ things: [sign(), thing('leaves', [0, EYE_M, 4], { look: 'foliage' })] })).toBe(
			0
		);
	});

	it.each([
		['half', [-0.25, EYE_M, 4], { widthM: 0.5, heightM: 5 }, 0.5],
		['a quarter', [-0.25, EYE_M + 0.25, 4], { widthM: 0.5, heightM: 0.5 }, 0.25],
		['all', [0, EYE_M, 4], { widthM: 1, heightM: 0.5 }, 1]
	] as const)('a wall at half the distance hides %s of it', (_, place, size, share) => {
		const wall = thing('wall', place, { look: 'wall', ...size });
		expect(hidden({ things: [sign(), wall] })).toBeCloseTo(share, 9);
	});

	it('a head hides the ellipse that it is, seen twice as large from half way', () => {
		// an animal's body is low: what is left is the skull
		const [, up, out] = HEADS.dog.skullHalfAxes;
		const small = sign({ widthM: 0.6, heightM: 0.4 });
		const share = hidden({
			things: [small],
			people: [ahead('dog', 4, { build: 'dog', turnDeg: 90 })]
		});
		// the skull lies off the axis; its body begins 9 cm below the eyes
		const ellipse = Math.PI * (2 * up) * (2 * out) * 1e-6;
		expect(share).toBeGreaterThan((0.75 * ellipse) / (0.6 * 0.4));
		expect(share).toBeLessThan(0.75);
	});

	it('people shoulder to shoulder hide what hangs at their breast, not what hangs above', () => {
		const row = Array.from({ length: 6 }, (_, i) => person(`p${i}`, [(i - 2.5) * 0.45, EYE_M, 5]));
		expect(
			hidden({ people: row, things: [sign({ position: { x: 0, y: 0.9, z: 8 }, heightM: 0.6 })] })
		).toBeGreaterThan(0.9);
		expect(hidden({ people: row, things: [sign({ position: { x: 0, y: 2.5, z: 8 } })] })).toBe(0);
	});

	it('a head bent forward rises above its eyes', () => {
		// at half the distance one looks 15 cm over the eyes, where an upright skull ends at 11.5
		const small = sign({ position: { x: 0, y: EYE_M + 0.3, z: 8 }, widthM: 0.1, heightM: 0.04 });
		const share = (nodDeg: number) =>
			hidden({ things: [small], people: [ahead('p', 4, { nodDeg })] });
		expect(share(0)).toBe(0);
		expect(share(60)).toBe(1);
	});

	it('only what is in the frame counts', () => {
		// 50 mm: at 4 m the frame is 2.9 m wide, at 8 m 5.8 m; the wall's half lies outside
		const wide = sign({ widthM: 100 });
		const wall = thing('wall', [-25, EYE_M, 4], { look: 'wall', widthM: 50, heightM: 5 });
		expect(hidden({ things: [wide, wall] })).toBeCloseTo(0.5, 9);
	});
});
