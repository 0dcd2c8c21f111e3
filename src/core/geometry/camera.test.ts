import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BODIES } from '$data/kit';
import { EYE_M } from '$tests/support/shots';
import { landsMm } from '$tests/support/rayTrace';
import type { Camera } from '../format/shot';
import { imageDistanceMm } from './thinLens';
import { cameraPose, framePoint, isInFrame, ownFramePoint, seenFrom, worldPoint } from './camera';
import { dot, norm } from './vector';

const camera = (more: Partial<Camera> = {}): Camera => ({
	position: { x: 0, y: EYE_M, z: 0 },
	panDeg: 0,
	tiltDeg: 0,
	orientation: 'landscape',
	focalMm: 50,
	support: 'handheld',
	...more
});
const poseOf = (more: Partial<Camera> = {}, body = BODIES.fullFrame24) =>
	cameraPose(camera(more), body.sensor);

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('the camera’s axes', () => {
	it.each([
		[0, 0, { x: 0, y: 0, z: 1 }],
		[90, 0, { x: 1, y: 0, z: 0 }],
		[-90, 0, { x: -1, y: 0, z: 0 }],
		[0, 30, { x: 0, y: 0.5, z: Math.cos(Math.PI / 6) }],
		[180, 0, { x: 0, y: 0, z: -1 }]
	])('pan %d, tilt %d', (panDeg, tiltDeg, axis) => {
		const pose = poseOf({ panDeg, tiltDeg });
		expect(pose.axis.x).toBeCloseTo(axis.x, 12);
		expect(pose.axis.y).toBeCloseTo(axis.y, 12);
		expect(pose.axis.z).toBeCloseTo(axis.z, 12);
	});

	it('stay at right angles, up staying up', () => {
		fc.assert(
			fc.property(between(-180, 180), between(-85, 85), (panDeg, tiltDeg) => {
				const { axis, right, up } = poseOf({ panDeg, tiltDeg });
				expect([axis, right, up].map(norm)).toEqual(
					[1, 1, 1].map((one) => expect.closeTo(one, 12))
				);
				expect(dot(axis, right)).toBeCloseTo(0, 12);
				expect(dot(axis, up)).toBeCloseTo(0, 12);
				expect(right.y).toBe(0);
				expect(up.y).toBeGreaterThan(0);
			})
		);
	});
});

describe('what a point looks like from the camera', () => {
	it('depth is along the axis, distance is straight', () => {
		const seen = seenFrom(poseOf(), { x: 3, y: EYE_M, z: 4 });
		expect(seen).toMatchObject({ depthM: 4, rightM: 3, upM: 0, distanceM: 5, cosOffAxis: 0.8 });
	});

	it('a tilted camera sees a level floor come nearer in depth towards the bottom', () => {
		const pose = poseOf({ tiltDeg: -30, position: { x: 0, y: 3, z: 0 } });
		const { depthM, upM } = seenFrom(pose, { x: 0, y: 0, z: 3 });
		// by hand: the point lies at 45 degrees below the horizon, 15 degrees below the axis
		expect(depthM).toBeCloseTo(Math.sqrt(18) * Math.cos(Math.PI / 12), 9);
		expect(upM).toBeCloseTo(-Math.sqrt(18) * Math.sin(Math.PI / 12), 9);
	});

	it('turns round: the point at a depth and offsets is seen at them', () => {
		fc.assert(
			fc.property(
				between(-180, 180),
				between(-85, 85),
				between(0.5, 50),
				between(-9, 9),
				between(-9, 9),
				(panDeg, tiltDeg, depthM, rightM, upM) => {
					const pose = poseOf({ panDeg, tiltDeg });
					const seen = seenFrom(pose, worldPoint(pose, depthM, rightM, upM));
					expect(seen.depthM).toBeCloseTo(depthM, 9);
					expect(seen.rightM).toBeCloseTo(rightM, 9);
					expect(seen.upM).toBeCloseTo(upM, 9);
				}
			)
		);
	});
});

describe('where a point falls in the picture', () => {
	it('lands where the middle ray lands', () => {
		const seen = seenFrom(poseOf(), { x: 0.7, y: EYE_M + 0.4, z: 3 });
		const at = framePoint(poseOf(), seen, imageDistanceMm(50, 5));
		const lens = { focalMm: 50, fNumber: 2, planeMm: 5000, fieldCurvature: 0 };
		// the picture on the sensor is upside down: right in the scene is left there
		expect((at.x - 0.5) * 36).toBeCloseTo(-landsMm(lens, 700, 3000), 9);
		expect((at.y - 0.5) * 24).toBeCloseTo(landsMm(lens, 400, 3000), 9);
	});

	it('does not change when everything is twice as far and the lens twice as long', () => {
		fc.assert(
			fc.property(
				between(-2, 2),
				between(-1, 1),
				between(4, 40),
				between(20, 200),
				(rightM, upM, depthM, focalMm) => {
					const pose = poseOf({ focalMm });
					const twice = poseOf({ focalMm: 2 * focalMm });
					const near = framePoint(
						pose,
						seenFrom(pose, worldPoint(pose, depthM, rightM, upM)),
						focalMm
					);
					const far = framePoint(
						twice,
						seenFrom(twice, worldPoint(twice, 2 * depthM, rightM, upM)),
						2 * focalMm
					);
					expect(far.x).toBeCloseTo(near.x, 9);
					expect(far.y).toBeCloseTo(near.y, 9);
				}
			)
		);
	});

	it('judges the edge at the point’s own focus, not at the lens’s', () => {
		// very close the picture grows: a point in frame at infinity focus may be out at its own
		const pose = poseOf({ focalMm: 100 });
		const point = seenFrom(pose, worldPoint(pose, 0.3, 0.045, 0));
		expect(framePoint(pose, point, 100).x).toBeLessThan(1);
		expect(ownFramePoint(pose, point).x).toBeGreaterThan(1);
		expect(isInFrame(pose, point)).toBe(false);
	});

	it('nothing behind the camera or within the focal norm is in the picture', () => {
		const pose = poseOf();
		for (const depthM of [-2, 0, 0.05]) {
			expect(isInFrame(pose, seenFrom(pose, worldPoint(pose, depthM, 0, 0)))).toBe(false);
		}
	});

	it('swaps the sides of the sensor when held upright', () => {
		expect(poseOf({ orientation: 'portrait' })).toMatchObject({ widthMm: 24, heightMm: 36 });
	});
});

describe('the crop of a smaller sensor (common practice, no source)', () => {
	/** Width that a lens takes in 10 m away, m. */
	const takesIn = (focalMm: number, body = BODIES.fullFrame24) => {
		const pose = poseOf({ focalMm }, body);
		const aside = seenFrom(pose, worldPoint(pose, 10, 1, 0));
		return 1 / (ownFramePoint(pose, aside).x - 0.5);
	};

	it.each([
		[35, 52],
		[50, 75]
	])('%d mm on a 1.5x body frames like about %d mm', (focalMm, like) => {
		expect(Math.abs(takesIn(focalMm, BODIES.crop26) / takesIn(like) - 1)).toBeLessThan(0.03);
	});
});
