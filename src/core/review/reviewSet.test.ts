import { describe, expect, it } from 'vitest';
import {
	measuredFace as face,
	measuredFrame as frame,
	measuredSpot as spot
} from '$tests/support/frames';
import { person, shotOf } from '$tests/support/shots';
import { there } from '$tests/support/there';
import type { MeasuredFrame } from '../format/review';
import { judgedOf, reviewedOf } from './judgedSet';
import { reviewSet } from './reviewSet';

const judge = (...frames: readonly MeasuredFrame[]) => reviewSet(frames, null, []);

describe('frames without a plan', () => {
	// a screen 2160 lines high shows 3240 of 6000 pixels: one and a half of its own are 2.8 of the file
	it.each([
		[2.5, 'sharp'],
		[3.5, 'marginal'],
		[5, 'soft']
	] as const)('are judged on a whole screen: %d px is %s', (px, state) => {
		const { frames } = judge(frame('a', [face({ x: 1000, eyes: [px, px] })]));
		expect(frames[0]?.worst).toBe(state);
		expect(frames[0]?.isGood).toBe(state === 'sharp');
	});

	it('are allowed two pixels however small they were made', () => {
		const judged = (px: number) =>
			judge(frame('a', [face({ x: 300, eyes: [px, px] })], 1200)).frames[0];
		expect(judged(1.9)?.isGood).toBe(true);
		expect(judged(2.1)?.isGood).toBe(false);
	});

	it('go by the nearer eye: the right one where the face turns to the right', () => {
		const turned = (turnDeg: number) =>
			judge(frame('a', [face({ x: 1000, eyes: [9, 1], turnDeg })])).frames[0];
		expect(turned(20)?.worst).toBe('sharp');
		expect(turned(-20)?.worst).toBe('soft');
		expect(turned(20)?.faces[0]?.near).toBe('right');
	});

	it('cannot be told where nothing tells, which is not soft', () => {
		const { frames } = judge(frame('a', [face({ x: 1000, eyes: [null, null] })]));
		expect(frames[0]?.faces[0]?.state).toBeNull();
		expect([frames[0]?.worst, frames[0]?.isGood]).toEqual([null, false]);
	});

	it('are lost by shut eyes, and say nothing of their blur', () => {
		const one = (name: string, open: number) =>
			frame(name, [face({ x: 1000, eyes: [1, 1], open })]);
		const { frames } = judge(one('a', 0.4), one('b', 0.4), one('c', 0.2));
		expect(frames.map(({ isGood }) => isGood)).toEqual([true, true, false]);
		expect(frames[2]?.faces[0]).toMatchObject({ isShut: true, state: null });
	});

	it('hold everybody together', () => {
		const two = (name: string, a: number, b: number) =>
			frame(name, [face({ x: 1000, eyes: [a, a] }), face({ x: 2000, eyes: [b, b] })]);
		const set = judge(two('a', 9, 9), two('b', 1, 9), two('c', 9, 1));
		expect(set.people.map(({ name }) => name)).toEqual(['face 1', 'face 2']);
		expect(set.fewest).toEqual([1, 2]);
	});

	it('name an eye as what is in focus unless something else is clearly sharper', () => {
		const focus = (hair: number) =>
			judge(frame('a', [face({ x: 1000, eyes: [2, 6], hair })])).frames[0]?.inFocus?.part;
		expect(focus(1.8)).toBe('left');
		expect(focus(0.5)).toBe('hair');
	});

	it('have what was pointed at beside the faces', () => {
		const pointed = { ...spot(3000, 1), id: 'it', reachPx: 90, likeness: 1 };
		const set = judge({ ...frame('a', []), pointed: [pointed] }, frame('b', []));
		expect(set.people).toMatchObject([{ name: 'point 1', isThing: true }]);
		expect(set.frames.map(({ isGood, isTold }) => [isGood, isTold])).toEqual([
			[true, true],
			[false, false]
		]);
	});
});

it('goes from thread to thread without what was measured, and is whole again', () => {
	const spotted = { ...spot(40, 2), id: 'a', reachPx: 30, likeness: 1 };
	const frames = [
		frame('a', [face({ x: 1000, eyes: [2, 2] }), face({ x: 2000, eyes: [4, null] })]),
		{ ...frame('b', [face({ x: 1010, eyes: [3, 2] })]), pointed: [spotted] },
		frame('c', [])
	];
	const set = reviewSet(frames, null, []);
	const judged = structuredClone(judgedOf(set));
	expect(JSON.stringify(judged.frames[0])).not.toContain('eyesPx');
	const again = reviewedOf(judged, frames);
	expect(again).toEqual(set);
	expect(again.frames[0]?.faces[0]?.face).toBe(set.frames[0]?.faces[0]?.face);
});

describe('frames of a plan', () => {
	const shot = shotOf({
		people: [person('ana', [-0.5, 1.6, 4]), person('ben', [0.5, 1.6, 4])]
	});
	// 50 mm on 36 mm of 6000 px: half a metre aside 4 m away is 1042 px
	const asidePx = (((0.5 / 4) * 50) / 36) * 6000;
	const facts = { focalMm: 50, fNumber: 2.8 };
	const taken = (xs: readonly number[], widthPx: number): MeasuredFrame => ({
		...frame(
			'a',
			xs.map((x) => ({ ...face({ x: 3000 + x, eyes: [1, 1] }), widthPx }))
		),
		facts
	});
	const headPx = (0.14 / 4 / 36) * 50 * 6000;
	const withSoft = (shown: MeasuredFrame, place: number): MeasuredFrame => ({
		...shown,
		faces: shown.faces.map((one, i) =>
			i === place ? { ...face({ x: one.left.x - 50, eyes: [9, 9] }), widthPx: headPx } : one
		)
	});
	const named = (shown: MeasuredFrame) => reviewSet([shown], shot, []);

	it.each([1, 0.5, 2.2])('know their people %d times as large', (times) => {
		const { people, frames } = named(taken([-times * asidePx, times * asidePx], times * headPx));
		expect(people.map(({ id }) => id)).toEqual(['ana', 'ben']);
		expect(frames[0]?.faces.map((one) => one?.face.left.x)).toEqual([
			3050 - times * asidePx,
			3050 + times * asidePx
		]);
	});

	it('number their faces where no lens is known, rather than find nobody', () => {
		const shown = { ...taken([-asidePx, asidePx], headPx), facts: {} };
		const { people, frames } = named(shown);
		expect(people).toMatchObject([{ id: null, name: 'face 1' }, { name: 'face 2' }]);
		expect(frames[0]?.isTold).toBe(true);
	});

	it('keep their people while nobody is seen', () => {
		expect(named(taken([], 1)).people.map(({ name }) => name)).toEqual(['ana', 'ben']);
	});

	it('have who is not of the plan beside their people, who alone count', () => {
		const { people, frames } = reviewSet(
			[
				taken([-asidePx, asidePx, 2.2 * asidePx], headPx),
				taken([-asidePx, 0.2 * asidePx, asidePx, 2.2 * asidePx], headPx)
			].map((one, i) => (i === 0 ? withSoft(one, 2) : one)),
			shot,
			[]
		);
		expect(people.map(({ name, counts }) => [name, counts])).toEqual([
			['ana', true],
			['ben', true],
			['face 1', false],
			['face 2', false]
		]);
		expect(frames[0]?.faces.map((one) => one?.state ?? null)).toEqual([
			'sharp',
			'sharp',
			null,
			'soft'
		]);
		expect(frames.map(({ isGood }) => isGood)).toEqual([true, true]);
	});

	it('have nobody beside them who passes by far behind', () => {
		const shown = taken([-asidePx, asidePx, 2.2 * asidePx], headPx);
		const [ana, ben, other] = shown.faces;
		const faces = [ana, ben, { ...there(other), widthPx: 0.4 * headPx }].map(there);
		expect(named({ ...shown, faces }).people.map(({ name }) => name)).toEqual(['ana', 'ben']);
	});
});
