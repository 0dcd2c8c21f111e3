import { describe, expect, it } from 'vitest';
import { FIGURE_PARTS } from '../anatomy/figure';
import { BODIES, LENSES } from '$data/kit';
import { ahead, person, shotOf, thing } from '$tests/support/shots';
import { cameraPose } from '../geometry/camera';
import { backgroundWidthM, frameEdgesOf, faceShare } from './edges';
import { aimed, frameByFocal, frameByPlace, type Framing } from './framing';

const framing = (more: Partial<Framing> = {}): Framing => ({
	part: 'head-and-shoulders',
	personIds: [],
	margin: 0.05,
	...more
});

describe('framing by place', () => {
	const shot = shotOf({ people: [ahead('p', 6)], lens: LENSES.portrait85 });

	it('every part is filled to the margin, and more of a person needs more distance', () => {
		const distances = FIGURE_PARTS.slice(1).map((part) => {
			const result = frameByPlace(shot, framing({ part }));
			if (!result.ok) throw new Error(result.problem.why);
			const { x, z } = result.camera.position;
			return Math.hypot(x, z - 6);
		});
		expect(distances).toEqual(distances.toSorted((a, b) => a - b));
		// common practice, no source: 85 mm takes a head and shoulders from two to three metres
		expect(distances[0]).toBeGreaterThan(1.5);
		expect(distances[0]).toBeLessThan(3);
		// and a standing figure, the camera held across, from about seven
		expect(distances[2]).toBeGreaterThan(6);
		expect(distances[2]).toBeLessThan(8.5);
	});

	it('a face alone is nearer than this lens can focus, and it says so', () => {
		expect(
			frameByPlace(
				{ ...shot, lens: { ...shot.lens, closestFocusM: 1.6 } },
				framing({ part: 'face' })
			)
		).toMatchObject({ ok: false, problem: { why: 'too-near', closestFocusM: 1.6 } });
	});

	it('a room that is too small is explained, not guessed', () => {
		const small = { ...shot, place: { clearBehindCameraM: 0.5 } };
		const result = frameByPlace(small, framing({ part: 'full-length' }));
		expect(result).toMatchObject({ ok: false, problem: { why: 'no-room', clearM: 0.5 } });
	});

	it('whoever is framed ends in the middle, from wherever the camera stands', () => {
		const aside = shotOf({ people: [person('p', [3, 1.2, 4])], camera: { panDeg: -40 } });
		const result = frameByPlace(aside, framing());
		if (!result.ok) throw new Error(result.problem.why);
		const edges = frameEdgesOf({ ...aside, camera: result.camera });
		expect(edges?.room.left).toBeCloseTo(edges?.room.right ?? NaN, 2);
	});
});

describe('framing by focal length', () => {
	const zoom = shotOf({ people: [ahead('p', 5)], lens: LENSES.zoom70200, focalMm: 70 });

	it('takes the longest that holds it', () => {
		const result = frameByFocal(zoom, framing({ part: 'waist-up' }));
		if (!result.ok) throw new Error(result.problem.why);
		const { focalMm } = result.camera;
		expect(result.isLoose).toBe(false);
		const longer = { ...zoom, camera: { ...result.camera, focalMm: focalMm * 1.02 } };
		// with the box of a waist-up figure 0.9 m high, 90% of 24 mm at 5 m: 24 x 0.9 x 5 / 0.9
		expect(focalMm).toBeGreaterThan(110);
		expect(focalMm).toBeLessThan(125);
		expect(frameEdgesOf(longer)?.cutIds).toEqual([]);
	});

	it('says which focal length it takes when the lens is too long', () => {
		const result = frameByFocal(zoom, framing({ part: 'full-length' }));
		if (result.ok || result.problem.why !== 'lens-too-long') throw new Error('it was framed');
		expect(result.problem.neededMm).toBeGreaterThan(50);
		expect(result.problem.neededMm).toBeLessThan(70);
	});
});

describe('edges', () => {
	it('counts who is cut and who nearly', () => {
		const shot = shotOf({
			people: [
				person('in', [0, 1.6, 4]),
				person('nearly', [1.27, 1.6, 4]),
				person('cut', [-1.4, 1.6, 4])
			]
		});
		expect(frameEdgesOf(shot)).toMatchObject({ cutIds: ['cut'], nearlyIds: ['nearly'] });
	});

	it('things count, too: over the edge or touching it; not a wall, nor what fills the frame', () => {
		// 50 mm on 36 mm: at 4 m the frame reaches 1.42 m to either side
		const at = (x: number, more: Parameters<typeof thing>[2] = {}) =>
			frameEdgesOf(
				shotOf({
					people: [person('in', [0, 1.6, 4])],
					things: [thing('t', [x, 1.6, 4], { widthM: 0.4, heightM: 0.4, ...more })]
				})
			);
		expect(at(1.4)).toMatchObject({ cutIds: ['t'], nearlyIds: [] });
		expect(at(1.2)).toMatchObject({ cutIds: [], nearlyIds: ['t'] });
		expect(at(1)).toMatchObject({ cutIds: [], nearlyIds: [] });
		expect(at(3)).toMatchObject({ cutIds: [], nearlyIds: [] });
		expect(at(1.4, { look: 'wall' })).toMatchObject({ cutIds: [] });
		expect(at(1.4, { widthM: 6 })).toMatchObject({ cutIds: [] });
	});

	it('a face that fills a third of the height', () => {
		// 175 mm of face over 525 mm of frame: 24 mm at v/D = 24/525, so D = 50 x 525/24 + 50 mm
		const shot = shotOf({ people: [ahead('p', (50 * 525) / 24 / 1000 + 0.05)] });
		const pose = cameraPose(shot.camera, shot.body.sensor);
		expect(faceShare(pose, shot.people[0] as (typeof shot.people)[0])).toBeCloseTo(1 / 3, 6);
	});

	it('a longer lens at the same framing takes in less background', () => {
		const at = (focalMm: number, imageMm: number) =>
			backgroundWidthM(
				cameraPose({ ...shotOf({}).camera, focalMm }, BODIES.fullFrame24.sensor),
				20,
				imageMm
			);
		expect(at(50, 50.5)).toBeCloseTo((36 * 20) / 50.5, 9);
		expect(at(100, 101)).toBeLessThan(at(50, 50.5));
	});
});

it('aiming again changes nothing', () => {
	const shot = shotOf({ people: [person('a', [1, 1.7, 5]), person('b', [2, 1.1, 7])] });
	const once = aimed(shot, shot.camera, framing());
	const twice = aimed(shot, once, framing());
	expect(twice.panDeg).toBeCloseTo(once.panDeg, 3);
	expect(twice.tiltDeg).toBeCloseTo(once.tiltDeg, 3);
});
