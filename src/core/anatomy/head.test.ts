import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EYE_M, person, shotOf, type Place } from '$tests/support/shots';
import type { Person } from '../format/shot';
import type { Landmark } from '../tables/landmarks';
import { dot, norm, subtract, type Vec3 } from '../geometry/vector';
import { landmarkPoint, placeHead } from './head';

const CAMERA: Vec3 = { x: 0, y: EYE_M, z: 0 };
const PLACE: Place = [0, EYE_M, 3];

function headOf(more: Partial<Person> = {}, place = PLACE) {
	const [one] = shotOf({ people: [person('p', place, more)] }).people;
	return placeHead(one as Person, CAMERA);
}

const mm = (more: Partial<Person>, landmark: Landmark) => {
	const { x, y, z } = subtract(landmarkPoint(headOf(more), landmark), headOf().origin);
	return [x * 1000, y * 1000, z * 1000].map((value) => Math.round(value * 100) / 100 + 0);
};

describe('a head that faces the camera', () => {
	// the measures of docs/model.md, section 2; the person's left is the picture's right
	it.each([
		['left-eye', [31.5, 0, 0]],
		['right-eye', [-31.5, 0, 0]],
		['nose-tip', [0, -38, -30]],
		['chin', [0, -105, -8]],
		['hairline', [0, 70, 8]]
	] as const)('%s', (landmark, expected) => {
		expect(mm({}, landmark)).toEqual([...expected]);
	});

	it('has 63 mm between the pupils (Dodgson 2004, from memory), less for children', () => {
		const between = (build: Person['build']) => {
			const head = headOf({ build });
			return (
				1000 * norm(subtract(landmarkPoint(head, 'left-eye'), landmarkPoint(head, 'right-eye')))
			);
		};
		expect(between('adult')).toBeCloseTo(63, 9);
		expect(between('child')).toBeCloseTo(54.81, 9);
		expect(between('infant')).toBeCloseTo(42.84, 9);
		expect(between('cat')).toBeCloseTo(36, 9);
		expect(between('dog')).toBeCloseTo(52, 9);
	});

	it('faces the entrance pupil from wherever it stands', () => {
		const head = headOf({}, [2, 1.2, 3]);
		expect(head.out.y).toBe(0);
		expect(head.out.x / head.out.z).toBeCloseTo(2 / 3, 12);
		expect(head.out.z).toBeLessThan(0);
	});
});

describe('turning, nodding, leaning', () => {
	it('a positive turn goes to the right of the picture and brings the right eye nearer', () => {
		expect(mm({ turnDeg: 90 }, 'nose-tip')).toEqual([30, -38, 0]);
		expect(mm({ turnDeg: 90 }, 'right-eye')).toEqual([0, 0, -31.5]);
		expect(mm({ turnDeg: -90 }, 'left-eye')).toEqual([0, 0, -31.5]);
	});

	it('a head turned by 45 degrees has its eyes 63 sin 45 mm apart in depth', () => {
		const [, , left = 0] = mm({ turnDeg: 45 }, 'left-eye');
		const [, , right = 0] = mm({ turnDeg: 45 }, 'right-eye');
		expect(left - right).toBeCloseTo(63 * Math.SQRT1_2, 1);
	});

	it('a positive nod brings the chin down and in, and keeps the eyes level', () => {
		expect(mm({ nodDeg: 60 }, 'left-eye')).toEqual([31.5, 0, 0]);
		const [, chinY = 0, chinZ = 0] = mm({ nodDeg: 30 }, 'chin');
		expect(chinY).toBeCloseTo(-105 * Math.cos(Math.PI / 6) - 8 * 0.5, 1);
		expect(chinZ).toBeCloseTo(105 * 0.5 - 8 * Math.cos(Math.PI / 6), 1);
		expect(mm({ nodDeg: 30 }, 'hairline')[2]).toBeLessThan(0);
	});

	it('a positive lean brings the top of the head towards the person’s left', () => {
		const [x = 0, y = 0] = mm({ leanDeg: 30 }, 'hairline');
		expect(x).toBeCloseTo(35, 1);
		expect(y).toBeCloseTo(70 * Math.cos(Math.PI / 6), 1);
		expect(mm({ leanDeg: 30 }, 'left-eye')[1]).toBeLessThan(0);
	});

	it('never bends or stretches a head', () => {
		const angle = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
		fc.assert(
			fc.property(angle(180), angle(60), angle(60), (turnDeg, nodDeg, leanDeg) => {
				const { out, up, left } = headOf({ turnDeg, nodDeg, leanDeg }, [1, 2, 4]);
				for (const axis of [out, up, left]) expect(norm(axis)).toBeCloseTo(1, 12);
				for (const [a, b] of [
					[out, up],
					[up, left],
					[left, out]
				] as const) {
					expect(dot(a, b)).toBeCloseTo(0, 12);
				}
			})
		);
	});
});
