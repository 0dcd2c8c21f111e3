import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import { depthOfField } from '../optics/depthOfField';
import { focusAt } from '../optics/focus';
import { toleranceMm } from '../sharpness/tolerance';
import { framesInPicture, hasCrowd, movingIds, stitchingOf, wideShotOf } from './wideShot';

const view = { acrossDeg: 54.4, downDeg: 37.8, overlap: 1 / 3, mostFrames: 20 };
const shot = shotOf({
	lens: LENSES.portrait85,
	focalMm: 85,
	people: [
		person('face', [0, 1.6, 3], { need: 'key' }),
		person('runner', [1.2, 1.6, 5], { need: 'free', motion: 'walking' })
	]
});
const { taken } = study(shot);
if (!taken) throw new Error('nothing to focus on');
const take = taken;
const stitching = stitchingOf(take, view);
if (!stitching.ok) throw new Error(stitching.why);
const { stitch } = stitching;
const wide = wideShotOf(take, view, stitch);

describe('a wide view of a shot', () => {
	it('equals 35 mm on full frame with the opening of the lens in use', () => {
		expect(stitch.focalMm).toBeCloseTo(35, 1);
		expect(stitch.focalMm / stitch.fNumber).toBeCloseTo(85 / take.fNumber, 5);
	});

	it('is deeper by as much as it is wider: the opening is the same, and its blur is seen smaller', () => {
		const tolerance = toleranceMm(shot.sharpness, shot.body.sensor);
		const focus = focusAt({ focalMm: 85, fieldCurvature: 0 }, wide.focus.planeM);
		const single = depthOfField(focus, take.fNumber, tolerance);
		const deeper = (wide.farM - wide.nearM) / (single.farM - single.nearM);
		expect(deeper / (85 / 35)).toBeCloseTo(1, 1);
	});

	it('has its focus on a shell as far from the camera as the face', () => {
		const eye = take.candidate.seen.distanceM;
		expect(wide.focus.planeM).toBeCloseTo(eye);
		expect(wide.focus.fieldCurvature).toBe(1);
	});

	it('warns of who moves, and of crowds', () => {
		expect(movingIds(take)).toEqual(['runner']);
		expect(hasCrowd(take)).toBe(false);
	});

	it('shows where each frame lies: together they fill the picture', () => {
		const placed = framesInPicture(take, wide, stitch);
		const xs = placed.flatMap(({ corners }) => corners.map(({ x }) => x));
		const ys = placed.flatMap(({ corners }) => corners.map(({ y }) => y));
		expect(Math.min(...xs)).toBeLessThan(0.02);
		expect(Math.max(...xs)).toBeGreaterThan(0.98);
		expect(Math.min(...ys)).toBeLessThan(0.02);
		expect(Math.max(...ys)).toBeGreaterThan(0.98);
		// the first is on the face
		const [first] = placed;
		expect(first?.middle.x).toBeCloseTo(0.5, 1);
	});
});
