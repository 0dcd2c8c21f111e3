import { describe, expect, it } from 'vitest';
import type { MeasuredFace, MeasuredFrame } from '../format/review';
import { depthRatios, OBJECTS, sharpObject } from './exercise';
import { readExercise } from './reading';

/** Frames of exercises as their arithmetic has them: what is sharp in each is known. */

const LONG_PX = 6000;
/** Full frame: px of the picture to a mm of the sensor. */
const PX_PER_MM = LONG_PX / 36;
/** On a whole screen, 3240 px along its long side, a pixel and a half may be blurred. */
const TOLERANCE_MM = (1.5 * 36) / 3240;

const spot = (x: number, y: number, discPx: number) => ({
	x,
	y,
	edges: { xx: discPx ** 2, yy: discPx ** 2, xy: 0 },
	spectrum: null
});

/** Blur of what is at a depth, px: Ray, Applied Photographic Optics: c = f² |d - s| / (N d (s - f)). */
function blurPx(focalMm: number, fNumber: number, focusedM: number, depthM: number): number {
	const [s, d] = [1000 * focusedM, 1000 * depthM];
	const mm = (focalMm ** 2 * Math.abs(d - s)) / (fNumber * d * (s - focalMm));
	return mm * PX_PER_MM;
}

const frame = (
	i: number,
	facts: MeasuredFrame['facts'],
	parts: Partial<Pick<MeasuredFrame, 'faces' | 'pointed' | 'widthPx' | 'heightPx'>>
): MeasuredFrame => ({
	name: `${i}.jpg`,
	localMs: 1000 * i,
	facts: { focal35Mm: facts.focalMm, ...facts },
	widthPx: LONG_PX,
	heightPx: (LONG_PX * 2) / 3,
	clipped: 0,
	faces: [],
	pointed: [],
	...parts
});

const DEPTHS_M = [1.1, 1.2, 1.3] as const;
const FOCAL_MM = 50;

/** Three objects, focused on one of them. */
const objectsFrame = (i: number, fNumber: number, on: number, shiftPx = 0) =>
	frame(
		i,
		{ focalMm: FOCAL_MM, fNumber },
		{
			pointed: OBJECTS.map((id, object) => {
				const px = blurPx(FOCAL_MM, fNumber, DEPTHS_M[on] as number, DEPTHS_M[object] as number);
				const at = spot(1500 + 1500 * object + shiftPx, 2000, Math.hypot(px, 0.7));
				return { ...at, id, reachPx: 100, likeness: 1 };
			})
		}
	);

describe('three objects', () => {
	it('says which is in focus in which frame, and takes the sharpest for the sheet', () => {
		const frames = [0, 0, 1, 1, 2].map((on, i) => objectsFrame(i, 1.8, on));
		expect(readExercise('three-objects', frames, [])).toMatchObject({
			inFocus: [0, 0, 1, 1, 2],
			framesOf: [[0, 1], [2, 3], [4]],
			best: [0, 2, 4],
			score: { good: 3, of: 3 }
		});
	});

	it('misses the object that the point was never moved onto', () => {
		const reading = readExercise(
			'three-objects',
			[0, 1, 1].map((on, i) => objectsFrame(i, 1.8, on)),
			[]
		);
		expect(reading).toMatchObject({ framesOf: [[0], [1, 2], []], score: { good: 2, of: 3 } });
	});

	it('says nothing of frames in which nothing is sharp', () => {
		const soft = objectsFrame(0, 1.8, 0);
		const blurred = soft.pointed.map((one) => ({ ...one, edges: { xx: 900, yy: 900, xy: 0 } }));
		const reading = readExercise('three-objects', [{ ...soft, pointed: blurred }], []);
		expect(reading).toMatchObject({ inFocus: [null], best: [] });
	});
});

describe('blur of objects', () => {
	it('an object that is a little softer than allowed never passes for the sharpest', () => {
		expect(sharpObject([0.9, 1.01, 3])).toBe(0);
		expect(sharpObject([1.05, 1.2, 3])).toBeNull();
	});

	it('of depth alone rises with the blur itself, and shake stays', () => {
		const ratios = [0.8, 0.99, 1.01, 1.5].map((one) => depthRatios([0.8, one])[1] ?? NaN);
		expect(ratios).toEqual(ratios.toSorted((a, b) => a - b));
		expect(depthRatios([3, 4, null])).toEqual([
			expect.closeTo(Math.sqrt(8)),
			expect.closeTo(Math.sqrt(15)),
			null
		]);
	});
});

describe('aperture ladder', () => {
	const STOPS = [1.8, 5.6, 8, 11, 16, 22];
	const round = (on: number, from = 0) => STOPS.map((f, i) => objectsFrame(from + i, f, on));

	/** The first stop whose depth of field reaches an object (Ray: near and far limits by the hyperfocal distance). */
	const reaching = (on: number, object: number) =>
		STOPS.find((fNumber) => {
			const hyperfocalM = FOCAL_MM ** 2 / (fNumber * TOLERANCE_MM) / 1000;
			const s = DEPTHS_M[on] as number;
			const f = FOCAL_MM / 1000;
			const near = (s * (hyperfocalM - f)) / (hyperfocalM + s - 2 * f);
			const far = (s * (hyperfocalM - f)) / (hyperfocalM - s);
			const depth = DEPTHS_M[object] as number;
			return depth >= near && depth <= far;
		}) ?? null;

	it('says from which stop on the others are sharp, as the depth of field has it', () => {
		const reading = readExercise('aperture-ladder', [...round(0), ...round(1, 6)], []);
		expect(reading).toMatchObject({
			rounds: [
				{ object: 0, sharpFrom: [1.8, reaching(0, 1), reaching(0, 2)], twice: [], lost: [] },
				{ object: 1, sharpFrom: [reaching(1, 0), 1.8, reaching(1, 2)], twice: [], lost: [] }
			],
			moved: [],
			score: { good: 12, of: 12 }
		});
		// neither at once nor never: the test would tell nothing
		expect(STOPS.indexOf(reaching(0, 1) ?? 0)).toBeGreaterThan(0);
	});

	it('tells a stop taken twice, a camera that moved, and a focus that did not stay', () => {
		const frames = [
			objectsFrame(0, 1.8, 0),
			objectsFrame(1, 5.6, 0),
			objectsFrame(2, 5.6, 0),
			objectsFrame(3, 8, 0, 400),
			objectsFrame(4, 11, 2)
		];
		expect(readExercise('aperture-ladder', frames, [])).toMatchObject({
			rounds: [{ twice: [5.6], lost: [4] }],
			moved: [3]
		});
	});

	it('leaves out what does not say its f-number', () => {
		const untold = { ...objectsFrame(1, 5.6, 0), facts: { focalMm: FOCAL_MM } };
		const reading = readExercise('aperture-ladder', [objectsFrame(0, 1.8, 0), untold], []);
		expect(reading).toMatchObject({ untold: [1], rounds: [{ frames: [0] }] });
	});
});

interface Sat {
	readonly focalMm: number;
	readonly fNumber: number;
	readonly distanceM: number;
	/** Behind the nearer eye; in front: negative. */
	readonly focusedM: number;
	readonly at?: readonly [right: number, down: number];
	readonly subjectM?: number;
	readonly isUpright?: boolean;
}

/** Half the distance of the eyes (Dodgson, 2004, from memory: 63 mm), and how far the far eye lies behind at 20 degrees. */
const HALF_M = 0.0315;
const FAR_BEHIND_M = 2 * HALF_M * Math.sin((20 * Math.PI) / 180);

/** The tip of the nose is 30 mm before the middle of the eyes (section 2 of the model): from the nearer eye, m. */
const NOSE_M = -0.03 * Math.cos((20 * Math.PI) / 180) + FAR_BEHIND_M / 2;

/** Somebody turned by 20 degrees, so that one eye is nearer. */
function satFrame(
	i: number,
	{ focalMm, fNumber, distanceM, focusedM, at = [0, 0], subjectM, isUpright }: Sat
) {
	const [widthPx, heightPx] = isUpright ? [4000, 6000] : [6000, 4000];
	const focalPx = focalMm * PX_PER_MM;
	const eyesPx = (2 * HALF_M * Math.cos((20 * Math.PI) / 180) * focalPx) / distanceM;
	const [x, y] = [(widthPx / 2) * (1 + at[0]), (heightPx / 2) * (1 + at[1])];
	const planeM = distanceM + focusedM;
	const eye = (side: number, depthM: number) => ({
		...spot(x + (side * eyesPx) / 2, y, Math.hypot(blurPx(focalMm, fNumber, planeM, depthM), 0.7)),
		openness: 0.35
	});
	const mark = (
		landmark: 'left-eye' | 'right-eye' | 'nose-tip' | 'chin',
		right: number,
		up: number
	) => ({
		landmark,
		x: x - widthPx / 2 + (right * focalPx) / distanceM,
		y: heightPx / 2 - y + (up * focalPx) / distanceM,
		sigmaPx: 1
	});
	const plain = { x, y, edges: null, spectrum: null };
	const face: MeasuredFace = {
		eyesPx,
		irisPx: 0,
		widthPx: 2.2 * eyesPx,
		landmarks: [mark('right-eye', -HALF_M, 0), mark('left-eye', HALF_M, 0), mark('chin', 0, -0.11)],
		turn: { deg: 20, sigmaDeg: 2 },
		right: eye(-1, distanceM),
		left: eye(1, distanceM + FAR_BEHIND_M),
		nose: plain,
		hair: plain,
		clipped: 0
	};
	const facts = { focalMm, fNumber, ...(subjectM === undefined ? {} : { subjectM }) };
	return frame(i, facts, { faces: [face], widthPx, heightPx });
}

describe('eyes, then nose', () => {
	it('is apart from close by, and together from across the room with a short lens', () => {
		const sat = (focalMm: number, distanceM: number, focusedM: number) => ({
			focalMm,
			fNumber: 2.8,
			distanceM,
			focusedM
		});
		const reading = readExercise(
			'eyes-then-nose',
			[
				satFrame(0, sat(85, 0.9, 0)),
				satFrame(1, sat(85, 0.9, NOSE_M)),
				satFrame(2, sat(24, 4, 0)),
				satFrame(3, sat(24, 4, NOSE_M))
			],
			[]
		);
		if (reading.exercise !== 'eyes-then-nose') throw new Error('another exercise');
		expect(reading.looks.map(({ sharp }) => sharp)).toEqual(['eye', 'nose', 'both', 'both']);
		expect(reading.lenses).toEqual([
			{ focalMm: 85, apartUpToM: expect.closeTo(0.9, 1) as number, togetherFromM: null },
			{ focalMm: 24, apartUpToM: null, togetherFromM: expect.closeTo(4, 0) as number }
		]);
	});
});

describe('four edges', () => {
	const sat = { focalMm: 85, fNumber: 2.8, distanceM: 2, focusedM: 0, subjectM: 2 };

	it('names the edge of each frame, what is missing, and what focused again behind', () => {
		const reading = readExercise(
			'four-edges',
			[
				satFrame(0, { ...sat, at: [-0.6, 0] }),
				satFrame(1, { ...sat, at: [0.6, 0.1] }),
				satFrame(2, { ...sat, at: [0, -0.5], focusedM: 3, subjectM: 5 }),
				satFrame(3, { ...sat, at: [0, 0.5], focusedM: 0.2, subjectM: 2.2 }),
				satFrame(4, { ...sat, at: [0, 0] })
			],
			[]
		);
		expect(reading).toMatchObject({
			frames: [
				{ place: 'left', outcome: 'sharp' },
				{ place: 'right', outcome: 'sharp' },
				{ place: 'top', outcome: 'focused-behind' },
				{ place: 'bottom', outcome: 'soft' },
				{ place: 'middle', outcome: 'sharp' }
			],
			missing: ['upright'],
			best: [0, 1],
			score: { good: 2, of: 5 }
		});
	});

	it('counts a frame held upright, wherever the eye is', () => {
		const reading = readExercise('four-edges', [satFrame(0, { ...sat, isUpright: true })], []);
		expect(reading).toMatchObject({ frames: [{ place: 'upright' }], score: { good: 1, of: 5 } });
	});

	it('says that no face is found', () => {
		const empty = frame(0, {}, {});
		expect(readExercise('four-edges', [empty], [])).toMatchObject({
			frames: [{ place: null, outcome: 'cannot-tell' }]
		});
	});
});
