import { describe, expect, it } from 'vitest';
import { thing, shotOf, type Place } from '$tests/support/shots';
import type { Thing } from '$core/format/shot';
import { previewOf, type PreviewThing } from '../scene';
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
