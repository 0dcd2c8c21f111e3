import { describe, expect, it } from 'vitest';
import { focusAt } from '$core/optics/focus';
import { shotOf, thing } from '$tests/support/shots';
import { lampsOf } from '../preview/things/lamps';
import { previewOf, type Subject } from '../preview/scene';
import { withWholeDiscs } from './lampRoom';
import { windowOf, type Tile } from './sensor';

/** One lamp on the axis, 9 m away, focused on 3 m with 85 mm at f/2, on a frame of 2400 × 1600 px. */
const WHOLE = { widthPx: 2400, heightPx: 1600 };
const scene = previewOf(
	shotOf({
		things: [
			thing('lamp', [0, 1.6, 9], { look: 'lights', widthM: 0.02, heightM: 0.02, detailMm: 20 })
		]
	})
);
const setting = { focus: focusAt({ focalMm: 85, fieldBend: 0 }, 3), fNumber: 2, blades: 0 };
const subjectOf = (tile: Tile): Subject => ({
	scene,
	setting,
	window: windowOf(tile, WHOLE, 36 / 2400),
	widthPx: tile.widthPx,
	heightPx: tile.heightPx,
	showsDiffraction: false
});
const enlarged = (tile: Tile) => withWholeDiscs(tile, subjectOf(tile), WHOLE);
const tile = (left: number, top: number): Tile => ({ left, top, widthPx: 400, heightPx: 400 });

// the disc of a point: A m |z - s| / z, with m = v/s; Ray, Applied Photographic Optics (from memory)
const imageMm = 1 / (1 / 85 - 1 / 3000);
const DISC_PX = ((85 / 2) * (imageMm / 3000) * (6000 / 9000) * 2400 * 1000) / 36 / 1000;

describe('a part of a frame near a lamp', () => {
	const lamps = scene.things.flatMap(lampsOf);
	const [lamp] = lamps;
	/** Where the lamp stands, px from the top. */
	const y = 800 - ((lamp?.at.y ?? 0) * imageMm * 2400) / 36 / 9;

	it('is enlarged until the disc is whole', () => {
		expect(lamps).toHaveLength(1);
		const { left, top, widthPx, heightPx } = enlarged(tile(1200 + DISC_PX / 4, 600));
		expect(1200 - DISC_PX / 2 - left).toBeGreaterThanOrEqual(0);
		// its own size, a soft edge, and a pixel
		expect(1200 - DISC_PX / 2 - left).toBeLessThan(10);
		expect([top, heightPx]).toEqual([600, 400]);
		expect(left + widthPx).toBeCloseTo(1600 + DISC_PX / 4, 9);
	});

	it('stays as it is where the disc lies inside, or does not reach', () => {
		expect(enlarged(tile(1000, y - 200))).toEqual(tile(1000, y - 200));
		expect(enlarged(tile(1200 + DISC_PX, 600))).toEqual(tile(1200 + DISC_PX, 600));
		expect(enlarged(tile(1000, 0))).toEqual(tile(1000, 0));
	});
});
