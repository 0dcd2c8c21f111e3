import { expect, it } from 'vitest';
import { measuredFace, measuredFrame } from '$tests/support/frames';
import { UNJUDGED } from '$core/format/review';
import { reviewSet } from '$core/review/reviewSet';
import type { Judged } from '../view/group';
import { nearerEye, sharpestFirst } from '../view/sameEye';

/** Frames of one face, turned so far and so blurred. */
const judged = (...frames: readonly (readonly [turnDeg: number, px: number])[]): Judged[] => {
	const measured = frames.map(([turnDeg, px], i) =>
		measuredFrame(`${i}`, [measuredFace({ x: 1000, eyes: [px, px], turnDeg })])
	);
	return reviewSet(measured, null, []).frames.map((reviewed, index) => ({
		reviewed,
		index,
		file: {
			id: `${index}`,
			name: `${index}`,
			file: null,
			measured: reviewed.frame,
			judgement: UNJUDGED,
			problem: ''
		}
	}));
};

it('the nearer eye is the one of most frames, whichever is looked at', () => {
	expect(nearerEye(judged([10, 1], [10, 1], [-10, 1]), 0, 'left')).toBe('right');
	expect(nearerEye(judged([-10, 1], [10, 1], [-10, 1]), 0, 'right')).toBe('left');
});

it('the nearer eye is the planned one of who was not found', () => {
	expect(nearerEye(judged([10, 1]), 5, 'left')).toBe('left');
	expect(nearerEye(judged([-10, 1]), 5, 'right')).toBe('right');
});

it('the sharpest of the others come first, what was dropped never', () => {
	const all = judged([0, 3], [0, 1], [0, 2], [0, 0.5]);
	const dropped = all.map((one, i) =>
		i === 3
			? { ...one, file: { ...one.file, judgement: { ...UNJUDGED, mark: 'drop' as const } } }
			: one
	);
	const order = sharpestFirst(dropped, 0, dropped[1] ?? null).map(({ index }) => index);
	expect(order).toEqual([2, 0]);
});
