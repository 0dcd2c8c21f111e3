import { expect, test } from './support/lab';
import type { Mark, MeasuredBlur, Roll } from './support/practiceLab';
import type { Lab } from './support/lab';
import { ahead, person, shotInput, type Sketch } from './support/shots';
import { LENSES } from '$data/kit';

/** The practice camera: what is true of its frames is what their pixels show. */

/** Each mark is looked at so far around, px. */
const REACH_PX = 56;

const measured = (lab: Lab, sketch: Sketch, roll: Roll, mark: Omit<Mark, 'reachPx'>) =>
	lab.call('blur', shotInput(sketch), roll, { ...mark, reachPx: REACH_PX });

/** Within a pixel or 5%. */
const expectAsTrue = (found: number, truth: number) =>
	expect(Math.abs(found - truth)).toBeLessThanOrEqual(Math.max(1, 0.05 * truth));

test.describe('what blurs a face in the pixels is what the core says of that very frame', () => {
	test('defocus, on the axis and off it', async ({ lab }) => {
		test.setTimeout(120_000);
		const couple: Sketch = {
			people: [ahead('middle', 2.4), person('aside', [0.62, 1.62, 2.55], { turnDeg: -12 })],
			focalMm: 50,
			choices: { fNumberExact: 2, shutterS: 1 / 1000 }
		};
		// somebody who sways far: discs of many pixels, and sharp ones between
		const roll = {
			longSidePx: 6000,
			seed: 3,
			frames: 12,
			spreads: { handheldMm: 200, outerPoint: 1, middlePoint: 1 }
		};
		const all: MeasuredBlur[] = [];
		for (const personId of ['middle', 'aside']) {
			for (const frame of [0, 5, 8]) {
				all.push(await measured(lab, couple, roll, { frame, personId, landmark: 'left-eye' }));
			}
		}
		for (const { discPx, truth } of all) expectAsTrue(discPx, truth.discPx);
		console.log(JSON.stringify(all));
		expect(Math.max(...all.map(({ truth }) => truth.discPx))).toBeGreaterThan(8);
	});

	test('shake: as long as it should be, and in its direction', async ({ lab }) => {
		const shaken: Sketch = {
			people: [ahead('one', 2.4)],
			lens: LENSES.portrait85,
			focalMm: 85,
			choices: { fNumberExact: 8, shutterS: 1 / 8 }
		};
		const roll = { longSidePx: 3000, seed: 5, frames: 3, spreads: { stillMmPerS: 0, shake: 4 } };
		for (const frame of [0, 1]) {
			const found = await measured(lab, shaken, roll, {
				frame,
				personId: 'one',
				landmark: 'right-eye'
			});
			console.log(JSON.stringify(found));
			expect(found.truth.streakPx).toBeGreaterThan(4);
			expectAsTrue(found.streakPx, found.truth.streakPx);
			expect(found.turnedOverTrue).toBeGreaterThan(2);
		}
	});

	test('motion: each as fast as they are, and level', async ({ lab }) => {
		const restless: Sketch = {
			people: [
				person('quick', [-0.4, 1.6, 2.6], { motion: 'restless' }),
				person('calm', [0.4, 1.6, 2.6])
			],
			focalMm: 50,
			choices: { fNumberExact: 8, shutterS: 1 / 20 },
			camera: { support: 'tripod' }
		};
		const roll = { longSidePx: 3000, seed: 1, frames: 4 };
		for (const personId of ['quick', 'calm']) {
			const found = await measured(lab, restless, roll, {
				frame: 1,
				personId,
				landmark: 'left-eye'
			});
			console.log(JSON.stringify(found));
			expect(Math.abs(Math.sin(found.truth.angle))).toBeLessThan(1e-6);
			expectAsTrue(found.streakPx, found.truth.streakPx);
			if (personId === 'quick') expect(found.truth.streakPx).toBeGreaterThan(4);
		}
	});
});
