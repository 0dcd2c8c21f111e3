import { describe, expect, it } from 'vitest';
import { landmarkPoint, placeHead } from '../anatomy/head';
import { mean } from '../numeric/mean';
import { Random } from '../numeric/random';
import type { Build } from '../tables/heads';
import type { Landmark } from '../tables/landmarks';
import { standingOf, type FoundHead } from './standing';

const FOCAL_PX = 4000;
const LENS = { focalPx: FOCAL_PX, share: 0.015 };
const FACE: readonly Landmark[] = ['left-eye', 'right-eye', 'nose-tip', 'chin', 'hairline'];

/** A head before a level camera at the height of its eyes, so many times larger than usual. */
function found(x: number, z: number, more: Partial<FoundHead> = {}, size = 1, y = 0): FoundHead {
	const { build = 'adult' as Build } = more;
	// a larger head is seen like one that stands nearer
	const eyeMidpoint = { x: x / size, y: y / size, z: z / size };
	const head = placeHead(
		{ build, eyeMidpoint, turnDeg: 0, nodDeg: 0, leanDeg: 0 },
		{ x: 0, y: 0, z: 0 }
	);
	const landmarks = FACE.map((landmark) => {
		const at = landmarkPoint(head, landmark);
		return { landmark, x: (FOCAL_PX * at.x) / at.z, y: (FOCAL_PX * at.y) / at.z, sigmaPx: 0.5 };
	});
	return { landmarks, irisPx: null, build, ...more };
}

const sure = (heads: readonly FoundHead[], lens = LENS) =>
	standingOf(heads, lens).map((one) => {
		if (!one) throw new Error('nobody');
		return one;
	});

describe('everybody in a photograph', () => {
	it('stands where the size of the head says, as unsure as heads differ', () => {
		const [one] = sure([found(0, 4)]);
		expect(one?.depthM).toBeCloseTo(4, 3);
		// 3.6 of 63 mm (Dodgson, 2004, from memory), and the lens
		expect((one?.sigmaM ?? 0) / 4).toBeCloseTo(Math.hypot(3.6 / 63, 0.015), 2);
		// alone, nothing of that matters to the focus
		expect(one?.amongSigmaM).toBeCloseTo(0, 6);
	});

	it('of one row is drawn to it: surer than alone, and nearer to the truth', () => {
		const random = new Random(3);
		const sizes = Array.from({ length: 6 }, () => 1 + 0.057 * random.normal());
		const heads = sizes.map((size, i) => found((i - 2.5) * 0.6, 5, {}, size));
		const together = sure(heads);
		const alone = sizes.map((size) => 5 / size);
		const off = (depths: readonly number[]) => mean(depths.map((depth) => Math.abs(depth - 5)));
		expect(off(together.map(({ depthM }) => depthM))).toBeLessThan(0.7 * off(alone));
		for (const { sigmaM, amongSigmaM } of together) {
			expect(sigmaM).toBeLessThan(0.2);
			expect(amongSigmaM).toBeLessThan(sigmaM);
		}
	});

	it('one distance that is known is taken as such, and sharpens the row', () => {
		const heads = [-0.6, 0, 0.6].map((x) => found(x, 5, {}, 1.08));
		const [before] = sure(heads);
		const known = sure(heads.with(1, { ...(heads[1] as FoundHead), knownM: 5 }));
		expect(known[1]?.depthM).toBeCloseTo(5, 1);
		expect(known[1]?.sigmaM).toBeLessThan(0.08);
		expect(known[0]?.sigmaM).toBeLessThan((before?.sigmaM ?? 0) - 0.02);
		expect(Math.abs((known[0]?.depthM ?? 0) - 5)).toBeLessThan(Math.abs((before?.depthM ?? 0) - 5));
	});

	it('with a lens that is not known, one distance scales every other, and √2 of the share is left', () => {
		const vague = { focalPx: 2 * FOCAL_PX, share: 1 };
		const far = found(0.4, 9, { knownRow: 2 });
		const [near, other] = sure([found(0, 3, { knownM: 3, knownRow: 1 }), far], vague);
		expect(near?.depthM).toBeCloseTo(3, 1);
		expect(other?.depthM).toBeCloseTo(9, 0);
		expect((other?.sigmaM ?? 0) / 9).toBeCloseTo((Math.SQRT2 * 3.6) / 63, 1);
	});

	it('a child is nearer than a grown-up of the same size in the picture', () => {
		const child = found(0, 3, { build: 'child' });
		expect(sure([child])[0]?.depthM).toBeCloseTo(3, 3);
		expect(sure([{ ...child, build: 'adult' }])[0]?.depthM).toBeCloseTo(3 / 0.87, 2);
	});

	it('a row that is left empty is none: nobody is taken to be sure for it', () => {
		const [one, other] = sure([found(-0.3, 4), found(0.3, 4, { knownRow: 3 })]);
		expect([one?.row, other?.row]).toEqual([1, 2]);
		expect(other?.sigmaM).toBeGreaterThan(0.15);
		expect(other?.amongSigmaM).toBeGreaterThan(0.1);
	});

	it('keeps the places of those who fit no head', () => {
		const none = { ...found(0, 3), landmarks: [] };
		expect(standingOf([none, found(0, 3)], LENS).map((one) => one !== null)).toEqual([false, true]);
	});
});
