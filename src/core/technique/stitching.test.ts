import { describe, expect, it } from 'vitest';
import { radians } from '../geometry/angle';
import { angleDeg, stitchOf, type SingleFrame, type Stitching } from './stitching';

/**
 * Worked examples by hand. Angle of view: 2 atan(d / 2f) (Ray, Applied Photographic Optics). A whole of many frames has
 * the opening of one: common practice, no source.
 */

const single = (more: Partial<SingleFrame> = {}): SingleFrame => ({
	widthMm: 36,
	heightMm: 24,
	sensorWidthMm: 36,
	focalMm: 85,
	fNumber: 1.4,
	pxPerMm: 6000 / 36,
	faceRightDeg: 0,
	faceUpDeg: 0,
	tiltDeg: 0,
	...more
});
const view = (acrossDeg: number, downDeg: number, more = {}) => ({
	acrossDeg,
	downDeg,
	overlap: 1 / 3,
	mostFrames: 30,
	...more
});
function made(stitching: Stitching) {
	if (!stitching.ok) throw new Error(stitching.why);
	return stitching.stitch;
}

const W85 = angleDeg(36, 85);
const H85 = angleDeg(24, 85);

describe('the view of a lens', () => {
	it.each([
		[50, 39.6],
		[85, 23.9],
		[24, 73.7]
	])('at %d mm is %d degrees across on full frame', (focalMm, deg) => {
		expect(angleDeg(36, focalMm)).toBeCloseTo(deg, 1);
	});
});

describe('a row of three', () => {
	// three frames that overlap by a third cover one and two times two thirds: 2⅓ frames
	const stitch = made(stitchOf(view((W85 * 7) / 3, H85), single()));

	it('is three frames and no more', () => {
		expect([stitch.columns, stitch.rows, stitch.frames.length]).toEqual([3, 1, 3]);
		expect(stitch.panStepDeg).toBeCloseTo((2 / 3) * W85);
	});

	it('begins on the face in the middle, then goes to either side', () => {
		expect(stitch.frames.map(({ column }) => column)).toEqual([1, 2, 0]);
		expect(stitch.frames[0]?.panDeg).toBeCloseTo(0);
	});
});

describe('five by four', () => {
	const wish = view(W85 + 4 * (2 / 3) * W85 - 1, H85 + 3 * (2 / 3) * H85 - 1);
	const stitch = made(stitchOf(wish, single({ faceUpDeg: H85 / 3 })));

	it('is twenty frames, each once, the face in the middle of the first', () => {
		expect([stitch.columns, stitch.rows]).toEqual([5, 4]);
		expect(new Set(stitch.frames.map(({ column, row }) => `${column} ${row}`)).size).toBe(20);
		const [first] = stitch.frames;
		expect(first?.panDeg).toBeCloseTo(0);
		// as far as the frames reach beyond what is wanted
		expect(Math.abs((first?.tiltDeg ?? 9) - H85 / 3)).toBeLessThan(0.01);
	});

	it('goes outwards: no ring begins before the last one is done', () => {
		const [first, ...others] = stitch.frames;
		if (!first) throw new Error('no frames');
		const rings = others.map(({ column, row }) =>
			Math.max(Math.abs(column - first.column), Math.abs(row - first.row))
		);
		expect(rings).toEqual(rings.toSorted((a, b) => a - b));
	});

	it('equals a lens whose opening is that of one frame', () => {
		const focalMm = 18 / Math.tan(radians(wish.acrossDeg / 2));
		expect(stitch.focalMm).toBeCloseTo(focalMm);
		expect(stitch.focalMm / stitch.fNumber).toBeCloseTo(85 / 1.4);
	});

	it('covers what was wanted', () => {
		const right = Math.max(...stitch.frames.map(({ panDeg }) => panDeg)) + W85 / 2;
		const top = Math.max(...stitch.frames.map(({ tiltDeg }) => tiltDeg)) + H85 / 2;
		const bottom = Math.min(...stitch.frames.map(({ tiltDeg }) => tiltDeg)) - H85 / 2;
		expect(right).toBeGreaterThanOrEqual(wish.acrossDeg / 2 - 1e-6);
		expect(top).toBeGreaterThanOrEqual(wish.downDeg / 2 - 1e-6);
		expect(bottom).toBeLessThanOrEqual(-wish.downDeg / 2 + 1e-6);
	});
});

describe('upright frames', () => {
	it('take more columns and fewer rows', () => {
		const wish = view(50, 34);
		const level = made(stitchOf(wish, single()));
		const upright = made(stitchOf(wish, single({ widthMm: 24, heightMm: 36 })));
		expect(upright.columns).toBeGreaterThan(level.columns);
		expect(upright.rows).toBeLessThan(level.rows);
		// the whole is the same
		expect(upright.focalMm).toBeCloseTo(level.focalMm);
	});
});

describe('rows above and below', () => {
	it('are turned farther, by the cosine of their tilt', () => {
		const stitch = made(stitchOf(view(60, 60, { mostFrames: 60 }), single({ focalMm: 50 })));
		const row = (index: number) =>
			stitch.frames.filter((frame) => frame.row === index).toSorted((a, b) => a.column - b.column);
		const [a, b] = row(0);
		if (!a || !b) throw new Error('no frames');
		expect(b.panDeg - a.panDeg).toBeCloseTo(stitch.panStepDeg / Math.cos(radians(a.tiltDeg)));
	});
});

describe('what cannot be had', () => {
	it('180 degrees: a flat picture ends before', () => {
		expect(stitchOf(view(180, 30), single())).toEqual({ ok: false, why: 'too-wide' });
		expect(stitchOf(view(60, 40), single({ tiltDeg: 80 }))).toEqual({ ok: false, why: 'too-wide' });
	});

	it('what one frame holds', () => {
		expect(stitchOf(view(W85, H85), single())).toEqual({ ok: false, why: 'one-frame' });
	});

	it('more frames than one can bear, with how many', () => {
		const refused = stitchOf(view(60, 40, { mostFrames: 9 }), single());
		expect(refused).toMatchObject({ ok: false, why: 'too-many' });
		if (!refused.ok && refused.why === 'too-many') {
			expect(refused.frames).toBe(refused.columns * refused.rows);
		}
	});
});
