import { describe, expect, it } from 'vitest';
import { thing, shotOf, type Place } from '$tests/support/shots';
import type { Thing } from '$core/format/shot';
import { focusAt } from '$core/optics/focus';
import { previewOf, type PreviewThing, type Subject } from '../scene';
import { chartFills } from './chart';
import { lampsOf } from './lamps';
import { heldObject } from './object';
import { tintOf } from './tint';

function seen(id: string, place: Place, more: Partial<Thing>): PreviewThing {
	const [one] = previewOf(shotOf({ things: [thing(id, place, more)] })).things;
	if (!one) throw new Error('nothing');
	return one;
}

describe('lamps', () => {
	const lights = (more: Partial<Thing>) =>
		lampsOf(seen('string', [0, 1.6, 5], { look: 'lights', widthM: 4, heightM: 0.4, ...more }));

	it('are as wide as the detail and hang within the thing', () => {
		const lamps = lights({ detailMm: 20 });
		expect(lamps.length).toBeGreaterThan(10);
		for (const { at, sizeM } of lamps) {
			expect(sizeM).toBe(0.02);
			expect(Math.abs(at.x)).toBeLessThanOrEqual(2);
			expect(Math.abs(at.y)).toBeLessThanOrEqual(0.3);
			expect(at.z).toBeCloseTo(5, 12);
		}
	});

	it('send light by the area of their face', () => {
		const power = (detailMm: number) => lights({ detailMm })[0]?.power[0] ?? NaN;
		expect(power(40) / power(20)).toBeCloseTo(4, 9);
	});

	it('stay few enough however fine', () => {
		expect(lights({ detailMm: 0.5, widthM: 500, heightM: 500 }).length).toBeLessThan(300);
	});

	it('are there for lights alone', () => {
		expect(lampsOf(seen('wall', [0, 1.6, 5], { look: 'wall' }))).toEqual([]);
	});
});

describe('objects', () => {
	it.each([
		['trumpet', 'object trumpet'],
		['Her bouquet', 'object bouquet'],
		['a gift', 'object parcel']
	])('%s', (label, name) => {
		const object = heldObject(
			seen('o', [0, 1.5, 2], { look: 'object', label, widthM: 0.4, detailMm: 20 })
		);
		expect(object.name).toBe(`${name} 0.05`);
		// in the camera's coordinates, where the thing is
		expect(object.matrix[14]).toBeCloseTo(2, 12);
	});
});

describe('colours that a label names', () => {
	it('are found in words, not within them', () => {
		expect(tintOf('Black cloth')).toEqual(tintOf('black'));
		expect(tintOf('blackboard')).toBeNull();
		expect(tintOf('constructor')).toBeNull();
	});
});

describe('a chart of 40 by 30 cm, 2 m away', () => {
	const FOCAL_MM = 85;
	/** Whether it fills a window as wide and high as such a share of its picture square on. */
	const fills = (
		share: number,
		{ turnDeg = 0, planeM = 2, fNumber = 8, besideM = 0 } = {}
	): boolean => {
		const chart = { drawing: { shapes: [] }, turnDeg, tiltDeg: 0 };
		const sheet = seen('chart', [0, 1.6, 2], { look: 'wall', widthM: 0.4, heightM: 0.3 });
		const focus = focusAt({ focalMm: FOCAL_MM, fieldCurvature: 0 }, planeM);
		const mmPerM = focus.imageDistanceMm / 2;
		const subject: Subject = {
			scene: previewOf(shotOf({ things: [thing('chart', [0, 1.6, 2], {})] })),
			setting: { focus, fNumber, blades: 0 },
			window: {
				x: besideM * mmPerM,
				y: 0,
				widthMm: share * 0.4 * mmPerM,
				heightMm: share * 0.3 * mmPerM
			},
			widthPx: 400,
			heightPx: 300,
			showsDiffraction: false
		};
		return chartFills({ ...sheet, look: 'chart', chart }, subject);
	};

	it('fills what its picture is larger than, and not what reaches over its edge', () => {
		expect(fills(0.9)).toBe(true);
		expect(fills(1)).toBe(false);
		expect(fills(0.9, { besideM: 0.02 })).toBe(false);
		expect(fills(0.4, { besideM: 0.1 })).toBe(true);
	});

	it('is half as wide turned by 60 degrees', () => {
		expect(fills(0.6, { turnDeg: 60 })).toBe(false);
		expect(fills(0.4, { turnDeg: 60 })).toBe(true);
	});

	it('out of focus the pupil sees around its edge: 15 mm of the sheet at f/1.4, focused twice as far away', () => {
		const blurred = { planeM: 4, fNumber: 1.4 };
		expect(fills(0.9, blurred)).toBe(false);
		expect(fills(0.8, blurred)).toBe(true);
	});
});
