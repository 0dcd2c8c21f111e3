import { describe, expect, it } from 'vitest';
import type { MeasuredFace, MeasuredFrame, MeasuredSpot } from '../format/review';
import { judgedOf, reviewedOf } from './judgedSet';
import { reviewSet } from './reviewSet';

/** A place blurred by a disc, as its edges tell; null where they tell nothing. */
const spot = (x: number, discPx: number | null): MeasuredSpot => ({
	x,
	y: 500,
	edges: discPx === null ? null : { xx: discPx ** 2, yy: discPx ** 2, xy: 0 },
	spectrum: null
});

interface Sketch {
	readonly x: number;
	readonly eyes: readonly [left: number | null, right: number | null];
	readonly open?: number;
	readonly hair?: number;
	readonly turnDeg?: number;
}

function face({ x, eyes, open = 0.4, hair, turnDeg = 0 }: Sketch): MeasuredFace {
	return {
		eyesPx: 100,
		irisPx: 18,
		widthPx: 200,
		landmarks: [],
		turn: { deg: turnDeg, sigmaDeg: 3 },
		left: { ...spot(x + 50, eyes[0]), openness: open },
		right: { ...spot(x - 50, eyes[1]), openness: open },
		nose: spot(x, null),
		hair: spot(x, hair ?? null),
		clipped: 0
	};
}

const frame = (name: string, faces: readonly MeasuredFace[], longPx = 6000): MeasuredFrame => ({
	name,
	localMs: 0,
	facts: {},
	widthPx: longPx,
	heightPx: (longPx * 2) / 3,
	clipped: 0,
	faces,
	pointed: []
});
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

	it('are allowed a pixel and a half however small they were made', () => {
		const { frames } = judge(frame('a', [face({ x: 300, eyes: [1.4, 1.4] })], 1200));
		expect(frames[0]?.isGood).toBe(true);
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
		expect(set.people).toMatchObject([{ name: 'point 1', isPointed: true }]);
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
