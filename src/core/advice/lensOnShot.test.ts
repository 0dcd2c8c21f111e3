import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import type { MeasuredSharpness } from '../format/sharpness';
import { lensOnShot, onBody } from './lensOnShot';

/** The framing of a photograph stays where distance over focal length does: common practice, no source. */

const couple = shotOf({
	lens: LENSES.portrait85,
	focalMm: 85,
	people: [person('a', [-0.3, 1.6, 3]), person('b', [0.3, 1.7, 3.1])]
});
const sharpness: MeasuredSharpness = {
	bodyName: couple.body.name,
	focalMm: 50,
	date: '2026-05-01',
	frames: 8,
	stops: [1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16].map((fNumber) => ({
		fNumber,
		centre: 1000 + 250 * Math.log2(fNumber),
		corners: null
	}))
};

describe('a lens on a shot of the day', () => {
	it('stands where it frames alike, and is judged there', () => {
		const made = lensOnShot(study(couple), LENSES.normal50, undefined);
		// 3 m at 85 mm are 1.76 m at 50 mm
		expect(made?.backM).toBeCloseTo(3 * (50 / 85) - 3, 1);
		expect(made).toMatchObject({ focalMm: 50, isOutOfRoom: false, sharpShare: null });
		expect(made?.goodShare).toBeGreaterThan(0.3);
	});

	it('is out of room where it would have to stand behind the wall', () => {
		const inRoom = { ...couple, place: { clearBehindCameraM: 0.5 } };
		expect(lensOnShot(study(inRoom), LENSES.portrait135, undefined)).toMatchObject({
			isOutOfRoom: true
		});
		expect(lensOnShot(study(inRoom), LENSES.normal50, undefined)).toMatchObject({
			isOutOfRoom: false
		});
	});

	it('says what of its best it gives there', () => {
		const made = lensOnShot(study(couple), LENSES.normal50, sharpness);
		// twice as sharp at f/16 as at f/1, by stops
		expect(made?.sharpShare).toBeCloseTo(0.5 + Math.log2(made?.fNumber ?? 0) / 8, 1);
	});
});

describe('on another body', () => {
	const choices = { ...couple.choices, shutterS: 1 / 8000, isoRule: 100 as const };
	it('settings that it has not are left to it', () => {
		const slow = {
			...BODIES.phone,
			fastestShutterS: 1 / 4000,
			iso: [200, 6400] as [number, number]
		};
		const moved = onBody({ ...couple, choices }, slow).choices;
		expect(moved.shutterS).toBeUndefined();
		expect(moved.isoRule).toBeUndefined();
	});

	it('a lens stands farther back where the sensor is smaller, by the crop factor', () => {
		// an 85 mm lens on a sensor 23.5 mm wide frames like 130 mm on full frame: common practice, no source
		const made = lensOnShot(study(onBody(couple, BODIES.crop26)), LENSES.portrait85, undefined);
		expect(made?.backM).toBeCloseTo(3 * (36 / 23.5) - 3, 1);
	});

	it('those that it has stay', () => {
		expect(onBody({ ...couple, choices }, couple.body).choices).toEqual(choices);
	});
});
