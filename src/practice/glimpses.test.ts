import { describe, expect, it } from 'vitest';
import { evenly } from '$core/numeric/evenly';
import { focusAt } from '$core/optics/focus';
import { airyQuantile, exposureGlimpses, lampPlaces, type OpenShutter } from './glimpses';

const still: OpenShutter = {
	setting: { focus: focusAt({ focalMm: 50, fieldCurvature: 0 }, 2), fNumber: 4, blades: 0 },
	pxPerMm: 100,
	shutterS: 1 / 50,
	roomBelowStops: null,
	softMm: 0,
	isExact: false,
	shakeMmPerS: { x: 0, y: 0 }
};
const COUNT = 256;
const spread = (values: readonly number[]) => {
	const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
	return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / values.length);
};

describe('the Airy pattern', () => {
	// Born and Wolf, Principles of Optics, table 8.2 (from memory): so much of the light lies within the
	// dark rings at 3.8317, 7.0156 and 10.1735
	it.each([
		[0.838, 3.8317],
		[0.91, 7.0156],
		[0.938, 10.1735]
	])('%d of the light lies within %d', (share, x) => {
		const shares = [...evenly(2000)];
		const within = shares.filter((one) => airyQuantile(one) <= x).length / shares.length;
		expect(within).toBeCloseTo(share, 2.5);
	});
});

describe('glimpses of an exposure', () => {
	it('fill the time that the shutter is open evenly', () => {
		const times = exposureGlimpses(still, COUNT, 1).map(({ timeS }) => timeS);
		expect(Math.min(...times)).toBeGreaterThan(-1 / 100);
		expect(Math.max(...times)).toBeLessThan(1 / 100);
		expect(spread(times)).toBeCloseTo(1 / 50 / Math.sqrt(12), 4);
	});

	it('under flash come mostly while it burns: the spread of the mixture is t sqrt(w)', () => {
		const roomBelowStops = 2;
		const flash = { ...still, shutterS: 1 / 60, roomBelowStops };
		const times = exposureGlimpses(flash, COUNT, 1).map(({ timeS }) => timeS);
		const ofRoom = 1 / (1 + 2 ** roomBelowStops);
		expect(spread(times)).toBeCloseTo(((1 / 60) * Math.sqrt(ofRoom)) / Math.sqrt(12), 3);
		const within = times.filter((timeS) => Math.abs(timeS) <= 1 / 2000).length / COUNT;
		expect(within).toBeGreaterThan(1 - ofRoom);
	});

	it('move the picture along the shake, by as much as the time gives', () => {
		const shaken = { ...still, shakeMmPerS: { x: 30, y: 40 } };
		const calm = exposureGlimpses(still, COUNT, 1);
		exposureGlimpses(shaken, COUNT, 1).forEach(({ shiftPx, timeS }, i) => {
			expect(shiftPx.x - (calm[i]?.shiftPx.x ?? NaN)).toBeCloseTo(30 * timeS * 100, 9);
			expect(shiftPx.y - (calm[i]?.shiftPx.y ?? NaN)).toBeCloseTo(40 * timeS * 100, 9);
		});
		// 50 mm/s for 1/50 s are a millimetre: 100 px
		const places = lampPlaces(shaken);
		expect(places).toHaveLength(100);
		expect(places.at(-1)?.x).toBeCloseTo(0.495 * 60, 6);
	});

	it('are spread by diffraction the more, the smaller the opening', () => {
		const at = (fNumber: number) =>
			spread(
				exposureGlimpses({ ...still, setting: { ...still.setting, fNumber } }, COUNT, 3).map(
					({ shiftPx }) => shiftPx.x
				)
			);
		// a pixel alone is spread by 1 over root 12
		expect(at(1.4)).toBeCloseTo(1 / Math.sqrt(12), 1);
		expect(at(16)).toBeGreaterThan(1.5 * at(4));
	});
});

describe('glimpses of a chart', () => {
	it('have nothing in common between pixel and opening, not even by chance', () => {
		const common = (isExact: boolean) => {
			const glimpses = exposureGlimpses({ ...still, isExact }, 64, 3);
			const sum = glimpses.reduce((all, { pupil, shiftPx }) => all + pupil.x * shiftPx.x, 0);
			return Math.abs(sum / 64);
		};
		expect(common(true)).toBeLessThan(1e-9);
		expect(common(false)).toBeGreaterThan(1e-4);
	});

	it('miss by the cube of their height through a soft lens', () => {
		const sharp = exposureGlimpses(still, COUNT, 5);
		const soft = exposureGlimpses({ ...still, softMm: 0.03 }, COUNT, 5);
		for (const [i, { pupil, shiftPx }] of soft.entries()) {
			const missedPx = 0.03 * still.pxPerMm * (pupil.x ** 2 + pupil.y ** 2) * pupil.x;
			expect(shiftPx.x - (sharp[i]?.shiftPx.x ?? NaN)).toBeCloseTo(missedPx, 9);
		}
	});
});
