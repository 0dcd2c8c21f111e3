import { describe, expect, it } from 'vitest';
import { ahead, shotOf, type Sketch } from '$tests/support/shots';
import type { Person } from '../format/shot';
import { heldDownTo } from './held';

describe('how far down somebody is in the frame', () => {
	/** 50 mm across, camera level with the eyes: 12 mm of sensor below them are 0.24 m at 1 m. */
	const down = (
		z: number,
		more: Parameters<typeof ahead>[2] = {},
		camera: Sketch['camera'] = {}
	) => {
		const shot = shotOf({ people: [ahead('p', z, more)], camera });
		return heldDownTo(shot, shot.people[0] as Person);
	};

	it('by hand: half the frame over the distance', () => {
		// 12 x 0.95 / 50 = 0.23 m, and so on: between the marks of the table
		expect(down(1)).toBe('shoulders');
		expect(down(1.8)).toBe('chest');
		expect(down(2.5)).toBe('waist');
		expect(down(3.5)).toBe('hips');
		expect(down(5.5)).toBe('knees');
		expect(down(7)).toBe('feet');
	});

	it('held upright more of them is in', () => {
		// 18 mm below the middle: 0.88 m
		expect(down(2.5, {}, { orientation: 'portrait' })).toBe('hips');
	});

	it('a child is smaller, an animal has no such marks, who is beside the frame is not in it', () => {
		expect(down(1.6)).toBe('chest');
		expect(down(1.5, { build: 'child' })).toBe('chest');
		expect(down(2, { build: 'dog' })).toBeNull();
		expect(down(2, { eyeMidpoint: { x: 3, y: 1.6, z: 2 } })).toBeNull();
	});
});
