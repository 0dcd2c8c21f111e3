import { cameraPose, framePoint, seenFrom } from '$core/geometry/camera';
import { LENSES } from '$data/kit';
import { expect, test } from './support/lab';
import type { Mark, MeasuredBlur, Roll } from './support/practiceLab';
import type { Lab } from './support/lab';
import { ahead, person, shotInput, shotOf, thing, type Sketch } from './support/shots';

/** The practice camera: what is true of its frames is what their pixels show. */

/** Each mark is looked at so far around, px. */
const REACH_PX = 44;

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
			for (const frame of [0, 8]) {
				all.push(await measured(lab, couple, roll, { frame, personId, landmark: 'left-eye' }));
			}
		}
		for (const { discPx, truth } of all) expectAsTrue(discPx, truth.discPx);
		expect(Math.max(...all.map(({ truth }) => truth.discPx))).toBeGreaterThan(8);
	});

	test('missed by far: wider than its glimpses lie a pixel apart', async ({ lab }) => {
		const one: Sketch = {
			people: [ahead('one', 2.4)],
			focalMm: 50,
			choices: { fNumberExact: 2, shutterS: 1 / 1000 }
		};
		const spreads = { handheldMm: 500, outerPoint: 1, middlePoint: 1 };
		const { discPx, truth } = await measured(
			lab,
			one,
			{ longSidePx: 6000, seed: 3, frames: 12, spreads },
			{ frame: 5, personId: 'one', landmark: 'left-eye' }
		);
		expect(truth.discPx).toBeGreaterThan(15);
		expectAsTrue(discPx, truth.discPx);
	});

	test('shake: as long as it should be, and in its direction', async ({ lab }) => {
		const shaken: Sketch = {
			people: [ahead('one', 2.4)],
			lens: LENSES.portrait85,
			focalMm: 85,
			choices: { fNumberExact: 8, shutterS: 1 / 4 }
		};
		const roll = { longSidePx: 3000, seed: 5, frames: 3, spreads: { stillMmPerS: 0, shake: 4 } };
		for (const frame of [0, 1]) {
			const found = await measured(lab, shaken, roll, {
				frame,
				personId: 'one',
				landmark: 'right-eye'
			});
			expect(found.truth.streakPx).toBeGreaterThan(4);
			expectAsTrue(found.streakPx, found.truth.streakPx);
			expect(found.turnedOverTrue).toBeGreaterThan(1.5);
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
			expect(Math.abs(Math.sin(found.truth.angle))).toBeLessThan(1e-6);
			expectAsTrue(found.streakPx, found.truth.streakPx);
			if (personId === 'quick') expect(found.truth.streakPx).toBeGreaterThan(4);
		}
	});
});

test.describe('the sensor', () => {
	/** A blank sheet that fills the frame. */
	const sheet: Sketch = {
		things: [thing('sheet', [0, 1.6, 2], { look: 'wall', widthM: 3, heightM: 2, intent: 'sharp' })],
		light: { mode: 'ambient', ev100: 9 },
		camera: { support: 'tripod' },
		choices: { fNumberExact: 8 }
	};
	const blank = { sheet: { drawing: { shapes: [] }, turnDeg: 0, tiltDeg: 0 } };
	const tile = { left: 2900, top: 1900, widthPx: 160, heightPx: 160 };
	const FULL_WELL = 50_000;

	for (const iso of [400, 6400]) {
		test(`counts electrons: the noise at ISO ${iso}`, async ({ lab }) => {
			const roll = { longSidePx: 6000, seed: 2, frames: 1, own: { iso }, charts: blank };
			const colours = await lab.call('sensed', shotInput(sheet), roll, 0, tile);
			for (const { mean, spread } of colours) {
				// shot noise is the root of the electrons, and four of reading (section 13 of the model)
				const fullWell = (FULL_WELL * 100) / iso;
				const expected = Math.sqrt(mean * fullWell + 16) / fullWell;
				expect(spread / expected).toBeGreaterThan(0.9);
				// eight bits add a little of their own
				expect(spread / expected).toBeLessThan(1.15);
			}
		});
	}

	test('clips at white', async ({ lab }) => {
		const own = { iso: 1600, shutterS: 1 / 4 };
		const roll = { longSidePx: 6000, seed: 2, frames: 1, own, charts: blank };
		for (const { mean, spread } of await lab.call('sensed', shotInput(sheet), roll, 0, tile)) {
			expect(mean).toBe(1);
			expect(spread).toBe(0);
		}
	});
});

test('a chart aslant stands where the core projects it', async ({ lab }) => {
	const sketch: Sketch = {
		things: [
			thing('chart', [0, 1.6, 1.5], { look: 'wall', widthM: 0.5, heightM: 0.3, intent: 'sharp' })
		],
		focalMm: 50,
		choices: { fNumberExact: 8 },
		camera: { support: 'tripod' }
	};
	const turnDeg = 45;
	const square = (x: number, y: number) => ({
		tone: 0,
		outline: [
			[x - 5, y - 5],
			[x + 5, y - 5],
			[x + 5, y + 5],
			[x - 5, y + 5]
		] as const
	});
	const marks = [
		[-150, 60],
		[0, 0],
		[150, -60]
	] as const;
	const drawing = { shapes: marks.map(([x, y]) => square(x, y)) };
	const roll = {
		longSidePx: 3000,
		seed: 4,
		frames: 1,
		charts: { chart: { drawing, turnDeg, tiltDeg: 0 } },
		spreads: { shake: 0 }
	};
	const [frame] = await lab.call('roll', shotInput(sketch), roll);
	const pose = cameraPose(shotOf(sketch).camera, shotOf(sketch).body.sensor);
	for (const [x, y] of marks) {
		const turn = (turnDeg * Math.PI) / 180;
		const [rightM, depthM] = [(x / 1000) * Math.cos(turn), 1.5 + (x / 1000) * Math.sin(turn)];
		const point = { x: rightM, y: 1.6 + y / 1000, z: depthM };
		const at = framePoint(pose, seenFrom(pose, point), frame?.imageDistanceMm ?? NaN);
		const [left, top] = [Math.round(at.x * 3000) - 40, Math.round(at.y * 2000) - 40];
		const found = await lab.call(
			'darkMiddle',
			shotInput(sketch),
			roll,
			0,
			{ left, top, widthPx: 80, heightPx: 80 },
			0.4
		);
		expect(Math.abs(found.x - at.x * 3000)).toBeLessThan(1);
		expect(Math.abs(found.y - at.y * 2000)).toBeLessThan(1);
	}
});

test('lids close over pupils that stay', async ({ lab }) => {
	const sketch: Sketch = { people: [ahead('one', 1.5)], choices: { fNumberExact: 8 } };
	const roll = { longSidePx: 2400, seed: 1, frames: 60 };
	const frames = await lab.call('roll', shotInput(sketch), roll);
	const isShut = frames.map(({ faces }) => faces[0]?.isShut ?? false);
	const pupil = async (frame: number) => {
		const eye = frames[frame]?.faces[0]?.landmarks.find((one) => one.landmark === 'left-eye');
		if (!eye) throw new Error('no eye');
		const [left, top] = [Math.round(eye.x * 2400) - 2, Math.round(eye.y * 1600) - 2];
		const tile = { left, top, widthPx: 4, heightPx: 4 };
		const [, green] = await lab.call('sensed', shotInput(sketch), roll, frame, tile);
		return green?.mean ?? NaN;
	};
	expect(isShut).toContain(true);
	expect(await pupil(isShut.indexOf(true))).toBeGreaterThan(
		3 * (await pupil(isShut.indexOf(false)))
	);
});

test('no lamp shines through what hides it, where two parts of the frame meet either', async ({
	lab
}) => {
	// they hang behind the chest of somebody in the middle, where the parts meet
	const sketch: Sketch = {
		people: [ahead('one', 2.4)],
		things: [thing('lamps', [0.07, 0.6, 7], { look: 'lights', widthM: 4, detailMm: 60 })],
		focalMm: 50,
		choices: { fNumberExact: 2 }
	};
	const roll = { longSidePx: 960, seed: 1, frames: 1 };
	const beside = { left: 0, top: 480, widthPx: 960, heightPx: 80 };
	expect(await lab.call('brightest', shotInput(sketch), roll, 0, beside)).toBeGreaterThan(250);
	const chest = { left: 440, top: 480, widthPx: 80, heightPx: 80 };
	expect(await lab.call('brightest', shotInput(sketch), roll, 0, chest)).toBeLessThan(200);
});

test('the same seed gives the same file, another seed another', async ({ lab }) => {
	const sketch: Sketch = { people: [ahead('one', 2)] };
	const roll = { longSidePx: 480, seed: 1, frames: 1 };
	const file = (seed: number) => lab.call('file', shotInput(sketch), { ...roll, seed }, 0);
	const [first, again, other] = [await file(1), await file(1), await file(2)];
	expect(again).toBe(first);
	expect(other).not.toBe(first);
});

test('a lost graphics card is said', async ({ lab }) => {
	const roll = { longSidePx: 300, seed: 1, frames: 1 };
	const said = await lab.call('whenLost', shotInput({ people: [ahead('one', 2)] }), roll);
	expect(said).toContain('stopped drawing');
});
