import type { ShotInput } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import { defocusMm } from '$core/optics/blur';
import { focusAt, vergenceError } from '$core/optics/focus';
import { cameraPose, framePoint, seenFrom } from '$core/geometry/camera';
import { lookAt } from '$core/study/scene';
import { landmarkPoint, placeHead } from '$core/anatomy/head';
import { expect, test } from './support/lab';
import { person, shotInput, thing, type Place, type Sketch } from './support/shots';
import { BODIES, LENSES } from '$data/kit';

/** What the preview draws, measured in its pixels against the core's formulas. */

const PX = { widthPx: 600, heightPx: 400 };
const PX_PER_MM = 600 / 36;

/** The part of a picture around a place in it, in whole pixels. */
const around = (x: number, y: number, [widthPx, heightPx]: readonly [number, number]) => ({
	part: { left: Math.round(x - widthPx / 2), top: Math.round(y - heightPx / 2), widthPx, heightPx }
});
/** Wider than the widest disc here, which is 24 px. */
const SPOT_PX = [120, 120] as const;

const lamp = (place: Place) =>
	thing('lamp', place, { look: 'lights', widthM: 0.004, heightM: 0.004, detailMm: 0.5 });
/** A small dark board: sampled like everything solid, unlike a lamp. */
const board = (place: Place) =>
	thing('black board', place, { look: 'wall', widthM: 0.03, heightM: 0.03, detailMm: 5000 });

interface Case {
	readonly depthM: number;
	/** Place in the picture, as shares of its half sides when focused at infinity. */
	readonly aside: number;
	readonly up: number;
	readonly planeM: number;
	readonly fieldBend?: number;
}

const FOCAL_MM = 85;
const lens = (fieldBend = 0) => ({ ...LENSES.portrait85, fieldBend });

function placeOf({ depthM, aside, up }: Case): Place {
	return [(aside * 18 * depthM) / FOCAL_MM, 1.6 + (up * 12 * depthM) / FOCAL_MM, depthM];
}

function withAndWithout(
	one: Case,
	make: (place: Place) => ReturnType<typeof thing>
): [ShotInput, ShotInput] {
	const sketch = { lens: lens(one.fieldBend), focalMm: FOCAL_MM };
	return [shotInput({ ...sketch, things: [make(placeOf(one))] }), shotInput(sketch)];
}

/** Diameter of the blur disc by the core, px, and where its middle falls, px from the top left. */
function expected(one: Case, fNumber: number) {
	const reading = readShot(shotInput({ lens: lens(one.fieldBend), focalMm: FOCAL_MM }));
	if (!reading.ok) throw new Error(reading.message);
	const pose = cameraPose(reading.shot.camera, BODIES.fullFrame24.sensor);
	const [x, y, z] = placeOf(one);
	const seen = seenFrom(pose, { x, y, z });
	const focus = focusAt({ focalMm: FOCAL_MM, fieldCurvature: one.fieldBend ?? 0 }, one.planeM);
	const error = vergenceError(focus, seen.depthM, seen.cosOffAxis);
	const at = framePoint(pose, seen, focus.imageDistanceMm);
	return {
		discPx: defocusMm(focus, fNumber, error) * PX_PER_MM,
		x: at.x * PX.widthPx,
		y: at.y * PX.heightPx
	};
}

const CASES: readonly (readonly [name: string, one: Case, fNumber: number])[] = [
	['far before the focus', { depthM: 1.4, aside: 0, up: 0, planeM: 3 }, 2],
	['before the focus, off the axis', { depthM: 2.2, aside: 0.5, up: -0.4, planeM: 3 }, 1.4],
	['just behind the focus', { depthM: 3.4, aside: -0.4, up: 0.5, planeM: 3 }, 1.4],
	['behind the focus', { depthM: 6, aside: 0.3, up: 0.3, planeM: 3 }, 2.8],
	['far behind the focus', { depthM: 40, aside: 0, up: 0, planeM: 3 }, 4],
	['bent field', { depthM: 3, aside: 0.8, up: 0.6, planeM: 3.6, fieldBend: 1 }, 1.4],
	['bent the other way', { depthM: 4, aside: -0.8, up: 0.5, planeM: 3, fieldBend: -1 }, 1.4]
];

test.describe('a point of light', () => {
	for (const [name, one, fNumber] of CASES) {
		test(`is a disc of the size of its defocus: ${name}`, async ({ lab }) => {
			const { discPx, x, y } = expected(one, fNumber);
			const spot = await lab.call('spot', ...withAndWithout(one, lamp), {
				...PX,
				...around(x, y, SPOT_PX),
				planeM: one.planeM,
				fNumber,
				samples: 16
			});
			expect(Math.abs(spot.diameterPx - discPx)).toBeLessThanOrEqual(Math.max(1, 0.03 * discPx));
			expect(Math.hypot(spot.x - x, spot.y - y)).toBeLessThan(1);
		});
	}

	test('keeps its light whatever the size of its disc', async ({ lab }) => {
		const energies = [];
		for (const fNumber of [1.4, 2.8, 5.6, 16]) {
			const one: Case = { depthM: 6, aside: 0.2, up: 0.1, planeM: 3 };
			const { x, y } = expected(one, fNumber);
			const spot = await lab.call('spot', ...withAndWithout(one, lamp), {
				...PX,
				...around(x, y, SPOT_PX),
				planeM: 3,
				fNumber,
				samples: 16
			});
			energies.push(spot.energy);
		}
		for (const energy of energies) expect(energy / (energies[0] as number)).toBeCloseTo(1, 1.5);
	});

	test('is taken half by a wall that covers half the lens’s view of it', async ({ lab }) => {
		// the edge of the wall stands on the line from the middle of the pupil to the lamp
		const wall = thing('wall', [0.5, 1.6, 3], { look: 'wall', widthM: 1, heightM: 2 });
		const sketch = { lens: lens(), focalMm: FOCAL_MM };
		const far = lamp([0, 1.6, 9]);
		const middle = around(PX.widthPx / 2, PX.heightPx / 2, SPOT_PX);
		const drawing = { ...PX, ...middle, planeM: 3, fNumber: 1.4 };
		const free = await lab.call(
			'spot',
			shotInput({ ...sketch, things: [far] }),
			shotInput(sketch),
			drawing
		);
		const half = await lab.call(
			'spot',
			shotInput({ ...sketch, things: [far, wall] }),
			shotInput({ ...sketch, things: [wall] }),
			drawing
		);
		expect(half.energy / free.energy).toBeGreaterThan(0.42);
		expect(half.energy / free.energy).toBeLessThan(0.58);
		// what is in focus hides the side of the disc that it covers itself
		expect(half.x).toBeLessThan(free.x - 2);
	});
});

test.describe('solid things, drawn from many points of the pupil', () => {
	for (const [name, one, fNumber] of CASES.slice(1, 4)) {
		test(`blur as much as the core says: ${name}`, async ({ lab }) => {
			const { discPx, x, y } = expected(one, fNumber);
			const where = { ...PX, ...around(x, y, SPOT_PX) };
			const drawing = { ...where, planeM: one.planeM, fNumber, samples: 256 };
			const spot = await lab.call('spot', ...withAndWithout(one, board), drawing);
			// a disc spreads by a quarter of its diameter each way, a square by its side over root 12
			const focus = focusAt({ focalMm: FOCAL_MM, fieldCurvature: 0 }, one.planeM);
			const sidePx = ((0.03 * focus.imageDistanceMm) / one.depthM) * PX_PER_MM;
			const spread = Math.hypot(discPx / 4, sidePx / Math.sqrt(12));
			expect(spot.spreadX / spread).toBeCloseTo(1, 1.5);
			expect(spot.spreadY / spread).toBeCloseTo(1, 1.5);
			expect(Math.hypot(spot.x - x, spot.y - y)).toBeLessThan(1);
		});
	}

	test('keep their light whatever their blur', async ({ lab }) => {
		const one: Case = { depthM: 5, aside: 0.2, up: 0.1, planeM: 3 };
		const energies = [];
		for (const fNumber of [1.4, 4, 16]) {
			const { x, y } = expected(one, fNumber);
			const drawing = { ...PX, ...around(x, y, SPOT_PX), planeM: 3, fNumber };
			energies.push((await lab.call('spot', ...withAndWithout(one, board), drawing)).energy);
		}
		for (const energy of energies) expect(energy / (energies[0] as number)).toBeCloseTo(1, 1.5);
	});
});

test.describe('eyes stand where the core projects them', () => {
	const at = (place: Place, more = {}) => [person('p', place, more)];
	const HEADS: readonly (readonly [string, Sketch])[] = [
		['facing the camera', { people: at([0, 1.6, 1.3]) }],
		[
			'turned, nodding and leaning',
			{ people: at([0.1, 1.62, 1.3], { turnDeg: 28, nodDeg: 12, leanDeg: -14 }) }
		],
		[
			'a tilted, panned camera',
			{ people: at([0.3, 1.2, 1.3]), camera: { tiltDeg: -16, panDeg: 11 } }
		],
		[
			'an upright camera',
			{ people: at([0.05, 1.7, 1.4], { leanDeg: 8 }), camera: { orientation: 'portrait' } }
		],
		[
			'a bent field',
			{ people: at([-0.14, 1.68, 1.3]), lens: { ...LENSES.portrait85, fieldBend: 1 } }
		],
		['a child', { people: at([0.05, 1.55, 1.2], { build: 'child', turnDeg: -20 }) }],
		['a dog', { people: at([0, 1.6, 1.2], { build: 'dog', nodDeg: -5 }) }]
	];
	for (const [name, sketch] of HEADS) {
		test(name, async ({ lab }) => {
			const input = shotInput({ lens: LENSES.portrait85, focalMm: 85, ...sketch });
			const reading = readShot(input);
			if (!reading.ok) throw new Error(reading.message);
			const { pose, sightings } = lookAt(reading.shot);
			const upright = pose.heightMm > pose.widthMm;
			const [widthPx, heightPx] = upright ? [600, 900] : [900, 600];
			const planeM = sightings[0]?.nearEye?.seen.depthM ?? NaN;
			const focus = focusAt({ focalMm: 85, fieldCurvature: reading.shot.lens.fieldBend }, planeM);
			const [who] = reading.shot.people;
			if (!who) throw new Error('nobody');
			const places = (['left-eye', 'right-eye'] as const).map((landmark) => {
				const seen = seenFrom(pose, landmarkPoint(placeHead(who, pose.position), landmark));
				const at = framePoint(pose, seen, focus.imageDistanceMm);
				// a pupil is 2.4 mm in half diameter, and darker than anything around it
				const pupilMm = (0.0024 * focus.imageDistanceMm) / seen.depthM;
				const reachPx = 1.35 * pupilMm * (widthPx / pose.widthMm);
				return { x: at.x * widthPx, y: at.y * heightPx, reachPx };
			});
			const middleOf = (of: 'x' | 'y') => places.reduce((sum, at) => sum + at[of] / 2, 0);
			const part = around(middleOf('x'), middleOf('y'), [300, 200]);
			const drawing = { widthPx, heightPx, ...part, fNumber: 16, planeM, samples: 16 };
			const found = await lab.call('darkMiddles', input, drawing, places, 0.02);
			places.forEach(({ x, y, reachPx }, i) => {
				const pupil = found[i];
				expect(pupil?.count).toBeGreaterThan(0.5 * reachPx ** 2);
				expect(Math.hypot((pupil?.x ?? NaN) - x, (pupil?.y ?? NaN) - y)).toBeLessThan(1);
			});
		});
	}
});
