import { describe, expect, it } from 'vitest';
import { measuredFace, measuredFrame, measuredSpot } from '$tests/support/frames';
import { person, shotOf } from '$tests/support/shots';
import type { MeasuredFrame } from '../format/review';
import { reachOfEyePx, reachOfThingPx } from './pointed';
import { reviewSet } from './reviewSet';
import { PLANNED_VANTAGE } from './vantage';

/** Ana is seen from the side, so that her face is not found; Ben is. */
const shot = shotOf({
	people: [
		person('ana', [-0.5, 1.6, 4], { turnDeg: 75, keep: 'near-eye' }),
		person('ben', [0.5, 1.6, 4])
	]
});
// 50 mm on 36 mm of 6000 px
const FOCAL_PX = (50 / 36) * 6000;
const ASIDE_PX = (0.5 / 4) * FOCAL_PX;

const eye = (discPx: number, more = {}) => ({
	...measuredSpot(3000 - ASIDE_PX, discPx),
	id: 'ana’s eye',
	personId: 'ana',
	reachPx: 70,
	likeness: 1,
	...more
});
const frame = (name: string, pointed: MeasuredFrame['pointed'], benPx: number | null = 1) => ({
	...measuredFrame(
		name,
		benPx === null
			? []
			: [
					{
						...measuredFace({ x: 3000 + ASIDE_PX, eyes: [benPx, benPx] }),
						widthPx: (0.14 / 4) * FOCAL_PX
					}
				]
	),
	facts: { focalMm: 50, fNumber: 2.8 },
	pointed
});
const judge = (...frames: readonly MeasuredFrame[]) => reviewSet(frames, shot, []);

describe('the eye of somebody whose face is not found', () => {
	it('is judged as theirs, by the nearer eye', () => {
		const { people, frames, found } = judge(
			frame('a', [eye(1)]),
			frame('b', [eye(9)], 9),
			frame('c', [])
		);
		expect(people.map(({ name }) => name)).toEqual(['ana', 'ben']);
		expect(found).toEqual([0, 1]);
		// the face turns to the right of the frame
		expect(frames[0]?.faces[0]).toMatchObject({ near: 'right', state: 'sharp', isPointed: true });
		expect(frames.map(({ isGood }) => isGood)).toEqual([true, false, false]);
		expect(frames[2]?.faces[0]).toBeNull();
	});

	it('says where the focus fell, and nothing of from how far', () => {
		const [alone] = judge(frame('a', [eye(20, { reachPx: 300 })], null)).frames;
		expect(alone?.vantage).toEqual(PLANNED_VANTAGE);
		// 20 px of defocus at 4 m: c = (f/N) v (1/D - 1/s) / 1000 (model, section 3)
		const blurMm = (20 / 6000) * 36;
		const perM = (1000 * blurMm) / ((50 / 2.8) * 50.6);
		const depths = [alone?.fell?.planeM ?? 0, alone?.fell?.otherwiseM ?? 0].sort((a, b) => a - b);
		expect(depths[0]).toBeCloseTo(1 / (1 / 4 + perM), 0);
		expect(depths[1]).toBeCloseTo(1 / (1 / 4 - perM), 0);
	});

	it('gives way to a face that is found', () => {
		const ofBen = { ...eye(9), personId: 'ben' };
		const [shown] = judge(frame('a', [eye(1), ofBen])).frames;
		expect(shown?.faces[1]).toMatchObject({ isPointed: false, state: 'sharp' });
	});

	it('goes before what the models took for the face of an animal', () => {
		const dogs = shotOf({ people: [person('ben', [0.5, 1.6, 4], { build: 'dog' })] });
		const ofBen = { ...measuredSpot(3000 + ASIDE_PX, 1), id: 'a', personId: 'ben' };
		const spot = { ...ofBen, reachPx: 60, likeness: 1 };
		const [shown] = reviewSet([frame('a', [spot], 9)], dogs, []).frames;
		expect(shown?.faces[0]).toMatchObject({ isPointed: true, state: 'sharp' });
	});

	it('is shut where it is unlike the open one', () => {
		const { frames } = judge(
			frame('a', [eye(1)]),
			frame('b', [eye(1, { openLikeness: 0.95 })]),
			frame('c', [eye(1, { openLikeness: 0.4 })]),
			frame('d', [eye(1, { openLikeness: 0.92 })])
		);
		expect(frames.map(({ faces }) => faces[0]?.isShut)).toEqual([false, false, true, false]);
		// so blurred that even an open one looks like that
		const soft = judge(frame('a', [eye(1)]), frame('b', [eye(20, { openLikeness: 0.4 })]));
		expect(soft.frames[1]?.faces[0]).toMatchObject({ isShut: false, state: 'soft' });
	});

	it('is told by its edges alone where it looks otherwise: that is no blur', () => {
		const spectrum = { power: Float32Array.of(1, 0.5), noise: 0.01, scale: 1, sidePx: 32 };
		const spectrumOf = (openLikeness: number) => {
			const [shown] = judge(frame('a', [eye(1, { spectrum, openLikeness })])).frames;
			return shown?.faces[0]?.face.right.spectrum;
		};
		expect(spectrumOf(0.9)).toBe(spectrum);
		expect(spectrumOf(0.5)).toBeNull();
	});

	it('tells no streak where it is small: one eye has few edges', () => {
		const streaked = { edges: { xx: 16, yy: 1, xy: 0 } };
		const streakOf = (reachPx: number) => {
			const [shown] = judge(frame('a', [eye(1, { ...streaked, reachPx })])).frames;
			return shown?.faces[0]?.blurs.right?.streakPx;
		};
		expect(streakOf(70)).toBeGreaterThan(3);
		expect(streakOf(40)).toBe(0);
	});

	it('is a thing in a shot without them', () => {
		const others = shotOf({ people: [person('ben', [0.5, 1.6, 4])] });
		const { people } = reviewSet([frame('a', [eye(1)])], others, []);
		expect(people).toMatchObject([{ name: 'ben' }, { name: 'point 1', isThing: true }]);
	});
});

it('is looked at as far around as eyes that were found are', () => {
	// eyes 63 mm apart, 4 m away; 0.55 of their distance
	const eyesPx = (0.063 / 4) * FOCAL_PX;
	const reach = (fartherM: number) =>
		reachOfEyePx(frame('a', []), 'ana', shot, [], { fartherM, sigmaM: 0 });
	expect(reach(0)).toBeCloseTo(0.55 * eyesPx, 0);
	expect(reach(4)).toBeCloseTo(reach(0) / 2, 0);
	const unknown = { ...frame('a', []), facts: {} };
	expect(reachOfEyePx(unknown, 'ana', shot, [], PLANNED_VANTAGE)).toBe(reachOfThingPx(unknown));
});
