import { describe, expect, it } from 'vitest';
import { focusAt } from '$core/optics/focus';
import { ahead, shotOf } from '$tests/support/shots';
import { previewOf, type Subject } from '../scene';
import { settledSamples } from './samples';

/** A head at 5 m and one 5 m behind it, 50 mm, 36 mm of sensor over so many pixels, focused on the first. */
function subject(fNumber: number, widthPx: number): Subject {
	const shot = shotOf({ people: [ahead('near', 5), ahead('far', 10)] });
	return {
		scene: previewOf(shot),
		setting: { focus: focusAt({ focalMm: 50, fieldCurvature: 0 }, 5), fNumber, blades: 0 },
		window: { x: 0, y: 0, widthMm: 36, heightMm: 24 },
		widthPx,
		heightPx: (widthPx * 2) / 3,
		showsDiffraction: false
	};
}

describe('how many samples a settled picture has', () => {
	it('follows from the widest disc: pi/4 d² for d pixels', () => {
		// by hand: at infinity c = f²/N/s x s/(s - f) = 2500 / 2 / 5000 x 1.0101 = 0.2525 mm
		const discPx = (0.2525 * 960) / 36;
		expect(discPx).toBeCloseTo(6.73, 2);
		expect(settledSamples(subject(2, 960))).toBe(Math.ceil((Math.PI / 4) * discPx ** 2));
	});

	it('is never under 16 and never over 64', () => {
		expect(settledSamples(subject(16, 960))).toBe(16);
		expect(settledSamples(subject(1.4, 1920))).toBe(64);
	});
});
