import { describe, expect, it } from 'vitest';
import { measuredFace, measuredFrame, measuredSpot } from '$tests/support/frames';
import { person, shotOf } from '$tests/support/shots';
import { there } from '$tests/support/there';
import { landmarkPoint, placeHead } from '../anatomy/head';
import { defocusAt } from '../optics/blur';
import { focusAt } from '../optics/focus';
import type { Landmark } from '../tables/landmarks';
import { reviewSet } from './reviewSet';

/** A frame of 24 megapixels by 50 mm at f/2.8. */
const FOCAL_PX = (50 / 36) * 6000;
const FACE: readonly Landmark[] = ['left-eye', 'right-eye', 'nose-tip', 'chin', 'hairline'];
const PLANNED = [
	{ id: 'ana', x: -0.6, z: 4 },
	{ id: 'ben', x: 0, z: 4.4 },
	{ id: 'cleo', x: 0.6, z: 5 }
] as const;
const shot = shotOf({ people: PLANNED.map(({ id, x, z }) => person(id, [x, 1.6, z])) });

/** Somebody's face where they really are, blurred by a plane as the thin lens has it. */
function photographed(x: number, z: number, planeM: number) {
	const eyeMidpoint = { x, y: 0, z };
	const turned = { turnDeg: 0, nodDeg: 0, leanDeg: 0 };
	const head = placeHead({ build: 'adult', eyeMidpoint, ...turned }, { x: 0, y: 0, z: 0 });
	const at = (landmark: Landmark) => {
		const point = landmarkPoint(head, landmark);
		return {
			x: 3000 + (FOCAL_PX * point.x) / point.z,
			y: 2000 - (FOCAL_PX * point.y) / point.z,
			z: point.z
		};
	};
	const eye = (landmark: Landmark) => {
		const { x: across, y, z: depthM } = at(landmark);
		const focus = focusAt({ focalMm: 50, fieldCurvature: 0 }, planeM);
		const discPx = Math.abs(defocusAt(focus, 2.8, { depthM, cosOffAxis: 1 })) * (6000 / 36);
		return { ...measuredSpot(across, discPx), y, openness: 0.4 };
	};
	return {
		...measuredFace({ x: 0, eyes: [null, null] }),
		widthPx: (0.14 * FOCAL_PX) / z,
		left: eye('left-eye'),
		right: eye('right-eye'),
		// from the middle of the picture, upwards
		landmarks: FACE.map((landmark) => {
			const { x: across, y: down } = at(landmark);
			return { landmark, x: across - 3000, y: 2000 - down, sigmaPx: 1 };
		})
	};
}

/** The three of the plan from so much farther, focused on the one in the middle. */
const taken = (fartherM: number) => {
	const faces = PLANNED.map(({ x, z }) => photographed(x, z + fartherM, 4.4 + fartherM));
	const facts = { focalMm: 50, fNumber: 2.8 };
	const set = reviewSet([{ ...measuredFrame('a', faces), facts }], shot, []);
	expect(set.found).toEqual([0, 1, 2]);
	return there(set.frames[0]);
};

describe('a frame taken from somewhere else than planned', () => {
	it.each([-2.4, -1, 1.5, 4])('is judged from there: %d m farther', (fartherM) => {
		const { vantage, depthsM, fell } = taken(fartherM);
		expect(vantage.fartherM).toBeCloseTo(fartherM, 1);
		expect(depthsM).toEqual(PLANNED.map(({ z }) => expect.closeTo(z + fartherM, 1)));
		expect(Math.abs(there(fell).planeM - (4.4 + fartherM))).toBeLessThan(0.1);
	});

	it.each([-0.2, 0, 0.2])('is as planned where heads may differ as much: %d m', (fartherM) => {
		const { vantage, depthsM } = taken(fartherM);
		expect(vantage).toEqual({ fartherM: 0, sigmaM: 0 });
		expect(depthsM).toEqual(PLANNED.map(({ z }) => expect.closeTo(z, 6)));
	});
});

it('strangers do not say where the focus fell, however their heads look', () => {
	const facts = { focalMm: 50, fNumber: 2.8 };
	const fell = (...others: readonly ReturnType<typeof photographed>[]) => {
		const faces = [...PLANNED.map(({ x, z }) => photographed(x, z, 4.4)), ...others];
		const set = reviewSet([{ ...measuredFrame('a', faces), facts }], shot, []);
		expect(set.found).toHaveLength(faces.length);
		return there(set.frames[0]).fell;
	};
	// sharp, and with a head as if it were 7 m away
	const child = { ...photographed(1.6, 7, 7), widthPx: (0.14 * FOCAL_PX) / 5 };
	expect(fell()).not.toBeNull();
	expect(fell(child)).toEqual(fell());
});
