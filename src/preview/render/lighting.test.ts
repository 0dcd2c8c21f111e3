import { describe, expect, it } from 'vitest';
import { focusAt } from '$core/optics/focus';
import { shotOf, person } from '$tests/support/shots';
import { previewOf, wholeFrame } from '../scene';
import { PartStore } from '../sculpt/store';
import { bake } from './bake';
import { lightingOf, lightOn } from './lighting';
import { outsideOf } from './reach';
import { cameraPose } from '$core/geometry/camera';

const setting = { focus: focusAt({ focalMm: 50, fieldCurvature: 0 }, 3), fNumber: 8, blades: 0 };
const shot = shotOf({
	people: [person('a', [0, 1.6, 3])],
	light: { mode: 'flash', guideNumberM: 36, distanceM: 3, ambientEv100: -10 }
});
const lighting = lightingOf(previewOf(shot), setting);
const towards = { x: 0, y: 0, z: -1 };

describe('light', () => {
	it('of a flash falls with the square of the distance', () => {
		const at = (z: number) => lightOn(lighting, towards, { x: 0, y: 0, z }, 1, 0)[1];
		expect(at(1.5) / at(3)).toBeCloseTo(4, 2);
		expect(at(3) / at(6)).toBeCloseTo(4, 1);
	});

	it('of the room is all there is without a flash, wherever one stands', () => {
		const plain = lightingOf(previewOf(shotOf({ people: [person('a', [0, 1.6, 3])] })), setting);
		const at = (z: number) => lightOn(plain, towards, { x: 0, y: 0, z }, 1, 0);
		expect(at(1)).toEqual(at(30));
		expect(plain.flashAt1M).toEqual([0, 0, 0]);
	});
});

describe('baking', () => {
	const sight = {
		pupilRadiusM: 0.003,
		outside: outsideOf({
			setting,
			window: wholeFrame(cameraPose(shot.camera, shot.body.sensor))
		})
	};
	const block = new PartStore().of('block');
	const palette = Array.from({ length: 64 }, () => 1);
	/** A block of so many metres, its top in the middle of the place. */
	const placed = (x: number, y: number, z: number, k = 0.0005) => ({
		part: block,
		// the sides of the block to the right, up and towards the camera
		matrix: [k, 0, 0, 0, 0, k, 0, 0, 0, 0, -k, 0, x, y, z, 1],
		palette,
		acrossMPerS: 0
	});

	it('keeps what faces the lens and leaves out what faces away', () => {
		const { matte, positions } = bake([placed(0, 0.25, 3)], lighting, sight);
		// below and straight ahead: the front alone is seen
		expect(matte.length / 3).toBe(2);
		expect([...matte].every((i) => Math.abs((positions[3 * i + 2] ?? 0) - 2.75) < 1e-6)).toBe(true);
	});

	it('shows the top of what lies lower', () => {
		expect(bake([placed(0, -0.4, 3)], lighting, sight).matte.length / 3).toBe(4);
	});

	it('leaves out what lies outside the window, on every side and behind the lens', () => {
		const away = [
			placed(9, 0, 3),
			placed(-9, 0, 3),
			placed(0, 9, 3),
			placed(0, -9, 3),
			placed(0, 0, -3)
		];
		for (const one of away) expect(bake([one], lighting, sight).matte).toHaveLength(0);
	});

	it('keeps what only its blur brings into the window', () => {
		const wide = { focus: focusAt({ focalMm: 85, fieldCurvature: 0 }, 3), fNumber: 1.2, blades: 0 };
		const window = { x: 0, y: 0, widthMm: 6, heightMm: 6 };
		const outside = (fNumber: number) => outsideOf({ setting: { ...wide, fNumber }, window });
		// half a window is 3 mm / 87.5 mm of the depth; this stands beside it at 0.6 m
		const [x, z] = [0.04, 0.6];
		expect(outside(16)(x, 0, z)).toBe(2);
		expect(outside(1.2)(x, 0, z)).toBe(0);
	});
});
