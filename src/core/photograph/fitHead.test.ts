import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { landmarkPoint, placeHead } from '../anatomy/head';
import { cameraPose, seenFrom } from '../geometry/camera';
import { BODIES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import type { Landmark } from '../tables/landmarks';
import { fitHead as fitFace, type FoundLandmark } from './fitHead';
import type { Build } from '../tables/heads';

const FOCAL_PX = 4000;
const FACE: readonly Landmark[] = ['left-eye', 'right-eye', 'nose-tip', 'chin', 'hairline'];

const fitHead = (landmarks: readonly FoundLandmark[], focalPx: number, build: Build) =>
	fitFace({ landmarks }, focalPx, build);

interface Held {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly turnDeg: number;
	readonly nodDeg: number;
	readonly leanDeg: number;
}

/** The landmarks of a head as a camera with a tilt sees them, px. */
function photographed(held: Held, tiltDeg = 0, isUpright = false, sigmaPx = 1): FoundLandmark[] {
	const { x, y, z, ...turned } = held;
	const shot = shotOf({ people: [person('p', [x, y, z], turned)] });
	const [placed] = shot.people;
	if (!placed) throw new Error('nobody');
	const position = { x: 0, y: 1.6, z: 0 };
	const orientation = isUpright ? ('portrait' as const) : ('landscape' as const);
	const camera = { ...shot.camera, position, tiltDeg, orientation };
	const pose = cameraPose(camera, BODIES.fullFrame24.sensor);
	const head = placeHead(placed, position);
	return FACE.map((landmark) => {
		const { rightM, upM, depthM } = seenFrom(pose, landmarkPoint(head, landmark));
		return {
			landmark,
			x: (FOCAL_PX * rightM) / depthM,
			y: (FOCAL_PX * upM) / depthM,
			sigmaPx
		};
	});
}

const degreesWithin = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
const heads = fc.record({
	x: fc.double({ min: -1.5, max: 1.5, noNaN: true }),
	y: fc.double({ min: 0.9, max: 2.1, noNaN: true }),
	z: fc.double({ min: 1.2, max: 12, noNaN: true }),
	turnDeg: degreesWithin(45),
	nodDeg: degreesWithin(20),
	leanDeg: degreesWithin(20)
});

describe('a head from its landmarks', () => {
	it('stands where it stood and is held as it was: exact from exact places', () => {
		fc.assert(
			fc.property(heads, (held) => {
				const fitted = fitHead(photographed(held), FOCAL_PX, 'adult');
				expect(fitted?.depthM).toBeCloseTo(held.z, 6);
				expect(fitted?.rightM).toBeCloseTo(held.x, 6);
				expect(fitted?.upM).toBeCloseTo(held.y - 1.6, 6);
				expect(fitted?.turnDeg).toBeCloseTo(held.turnDeg, 4);
				expect(fitted?.nodDeg).toBeCloseTo(held.nodDeg, 4);
				expect(fitted?.leanDeg).toBeCloseTo(held.leanDeg, 4);
				expect(fitted?.offPx).toBeLessThan(1e-6);
			}),
			{ numRuns: 60 }
		);
	});

	it('whatever the tilt, and upright: depth and place in the frame are right', () => {
		fc.assert(
			fc.property(heads, degreesWithin(15), fc.boolean(), (held, tiltDeg, isUpright) => {
				const found = photographed(held, tiltDeg, isUpright);
				const fitted = fitHead(found, FOCAL_PX, 'adult');
				const tilt = (tiltDeg * Math.PI) / 180;
				const depthM = held.z * Math.cos(tilt) + (held.y - 1.6) * Math.sin(tilt);
				expect(fitted?.depthM).toBeCloseTo(depthM, 6);
				expect(fitted?.offPx).toBeLessThan(1e-6);
			}),
			{ numRuns: 40 }
		);
	});

	it('as unsure as the pixels are: twice the spread, twice as unsure, and more so far away', () => {
		const held = { x: 0, y: 1.6, z: 3, turnDeg: 10, nodDeg: 0, leanDeg: 0 };
		const unsure = (z: number, sigmaPx: number) =>
			fitHead(photographed({ ...held, z }, 0, false, sigmaPx), FOCAL_PX, 'adult')?.pixelSigmaM ??
			NaN;
		expect(unsure(3, 2) / unsure(3, 1)).toBeCloseTo(2, 3);
		// a head twice as far is half as large: the same pixel is four times as many metres
		expect(unsure(6, 1) / unsure(3, 1)).toBeGreaterThan(3);
	});

	it('of a child taken for an adult stands farther away by the size of its head', () => {
		const held = { x: 0, y: 1.2, z: 3, turnDeg: 0, nodDeg: 0, leanDeg: 0 };
		const child = fitHead(photographed(held), FOCAL_PX, 'child');
		expect((child?.depthM ?? 0) / 3).toBeCloseTo(0.87, 6);
	});

	it('by two eyes alone looks at the camera: its depth is the size of the eyes', () => {
		const all = photographed({ x: 0.5, y: 1.7, z: 3, turnDeg: 0, nodDeg: 0, leanDeg: 8 });
		const fitted = fitHead(all.slice(0, 2), FOCAL_PX, 'adult');
		expect(fitted?.depthM).toBeCloseTo(3, 4);
		expect(fitted?.turnDeg).toBeCloseTo(0, 3);
		expect(fitted?.leanDeg).toBeCloseTo(8, 3);
	});

	it('is none without both eyes, or where both are in one place', () => {
		const all = photographed({ x: 0, y: 1.6, z: 3, turnDeg: 0, nodDeg: 0, leanDeg: 0 });
		expect(fitHead(all.slice(1), FOCAL_PX, 'adult')).toBeNull();
		const same = all.map((one) => ({ ...one, x: 5, y: 5 }));
		expect(fitHead(same, FOCAL_PX, 'adult')).toBeNull();
	});
});
