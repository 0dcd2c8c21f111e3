import { describe, expect, it } from 'vitest';
import { ahead, EYE_M, person, toldOf, sceneOf, thing } from '$tests/support/shots';
import { LENSES } from '$data/kit';
import type { Person } from '../format/shot';
import { unseenOf } from './sight';

const eyesOf = (more: Partial<Person>, camera = {}) => {
	const { sightings } = sceneOf({ people: [ahead('p', 3, more)], camera });
	const [left, right] = sightings[0]?.eyes ?? [];
	const near = sightings[0]?.nearEye?.landmark ?? null;
	return {
		left: left?.lost?.why ?? 'seen',
		right: right?.lost?.why ?? 'seen',
		near,
		all: [left, right]
	};
};

const unseen = (sketch: Parameters<typeof sceneOf>[0]) => unseenOf(sceneOf(sketch).sightings);

describe('which eyes can be seen', () => {
	it.each([
		[0, 'seen', 'seen', 'left-eye'],
		[30, 'seen', 'seen', 'right-eye'],
		[-30, 'seen', 'seen', 'left-eye'],
		[54.9, 'seen', 'seen', 'right-eye'],
		[55.1, 'turned', 'seen', 'right-eye'],
		[-55.1, 'seen', 'turned', 'left-eye'],
		[90, 'turned', 'seen', 'right-eye'],
		[104.9, 'turned', 'seen', 'right-eye'],
		[105.1, 'turned', 'turned', null],
		[180, 'turned', 'turned', null]
	])('a head turned by %d degrees: left %s, right %s, near %s', (turnDeg, left, right, near) => {
		expect(eyesOf({ turnDeg })).toMatchObject({ left, right, near });
	});

	it('counts nod and lean, seen from where the camera is', () => {
		// a camera high above sees a bowed head from behind its brow
		const high = { position: { x: 0, y: EYE_M + 6, z: 1.5 }, tiltDeg: -75 };
		expect(eyesOf({ nodDeg: 60 }, high)).toMatchObject({ left: 'turned', right: 'turned' });
		expect(eyesOf({ nodDeg: -40 }, high)).toMatchObject({ left: 'seen', right: 'seen' });
	});

	it('the near eye is the one with the smaller depth, not the smaller distance', () => {
		// at the edge of a wide frame the eyes of a face that looks at the camera are equally far,
		// but the outer one lies less deep
		const lens = LENSES.wide24;
		const { sightings } = sceneOf({ lens, people: [person('p', [1.8, EYE_M, 3])] });
		const [left, right] = sightings[0]?.eyes ?? [];
		expect(sightings[0]?.nearEye?.landmark).toBe('left-eye');
		expect(right?.seen.distanceM).toBeCloseTo(left?.seen.distanceM ?? 0, 9);
		expect((right?.seen.depthM ?? 0) - (left?.seen.depthM ?? 0)).toBeCloseTo(
			0.063 * Math.sin(Math.atan2(1.8, 3)),
			6
		);
	});

	it('judges a far eye less strictly from 45 degrees on, without a jump', () => {
		const looseness = (turnDeg: number) => eyesOf({ turnDeg }).all[0]?.looseness;
		expect(looseness(44)).toBe(1);
		expect(looseness(45)).toBeCloseTo(1, 9);
		expect(looseness(50)).toBeCloseTo(2, 9);
		expect(looseness(54.999)).toBeCloseTo(4, 2);
		expect(eyesOf({ turnDeg: 50 }).all[1]?.looseness).toBe(1);
	});

	it('tells who is cut off by the edge of the frame', () => {
		// 50 mm on full frame at 3 m takes in about 2.12 m
		expect(unseen({ people: [person('in', [1.0, EYE_M, 3])] })).toEqual([]);
		expect(unseen({ people: [person('out', [1.3, EYE_M, 3])] })).toEqual([
			{ personId: 'out', why: 'cut', by: null }
		]);
		expect(unseen({ people: [person('behind', [0, EYE_M, -3])] })).toMatchObject([{ why: 'cut' }]);
	});

	it('an upright camera takes in less across and more up and down', () => {
		const people = [person('aside', [0.9, EYE_M, 3]), person('above', [0, EYE_M + 0.9, 3])];
		expect(unseen({ people }).map(({ personId }) => personId)).toEqual(['above']);
		const camera = { orientation: 'portrait' } as const;
		expect(unseen({ people, camera }).map(({ personId }) => personId)).toEqual(['aside']);
	});
});

describe('who hides whom', () => {
	it('a head straight behind another is hidden by it', () => {
		const people = [ahead('front', 3), ahead('back', 4)];
		expect(unseen({ people })).toEqual([{ personId: 'back', why: 'hidden', by: 'front' }]);
	});

	it('a head that looks past another by a head’s width is not', () => {
		const people = [ahead('front', 3), person('back', [0.3, EYE_M, 4])];
		expect(unseen({ people })).toEqual([]);
	});

	it('one eye may be hidden and the other not', () => {
		const { sightings } = sceneOf({
			people: [person('front', [0, EYE_M, 3]), person('back', [0.13, EYE_M, 4])]
		});
		const [left, right] = sightings[1]?.eyes ?? [];
		expect(left?.lost).toBeNull();
		expect(right?.lost).toEqual({ why: 'hidden', by: 'front' });
	});

	it('names the first one along the ray, and counts people who are free', () => {
		const people = [ahead('back', 5), ahead('middle', 4, { need: 'free' }), ahead('front', 3)];
		expect(unseen({ people }).map(({ personId, by }) => [personId, by])).toEqual([
			['back', 'front'],
			['middle', 'front']
		]);
	});

	it.each([
		['wall', true],
		['object', true],
		['crowd', true],
		['bars', false],
		['lights', false],
		['foliage', false],
		['window', false]
	] as const)('a thing that looks like %s hides what is behind it: %s', (look, hides) => {
		const things = [thing('screen', [0, EYE_M, 2], { widthM: 0.6, heightM: 0.6, look })];
		const found = unseen({ people: [ahead('p', 3)], things });
		expect(found).toEqual(hides ? [{ personId: 'p', why: 'hidden', by: 'screen' }] : []);
	});

	it('a thing beside the line of sight, or behind the person, hides nobody', () => {
		const wall = (place: [number, number, number]) => thing('wall', place, { look: 'wall' });
		expect(unseen({ people: [ahead('p', 3)], things: [wall([0.6, EYE_M, 2])] })).toEqual([]);
		expect(unseen({ people: [ahead('p', 3)], things: [wall([0, EYE_M, 3.2])] })).toEqual([]);
	});

	it('a small child before an adult hides nobody, since bodies are not counted', () => {
		const people = [person('child', [0, 1.05, 3], { build: 'child' }), ahead('adult', 3.4)];
		expect(unseen({ people })).toEqual([]);
	});

	it('raising the camera brings out who was hidden', () => {
		const people = [ahead('front', 5), person('back', [0, EYE_M + 0.05, 5.8])];
		expect(unseen({ people })).toHaveLength(1);
		const camera = { position: { x: 0, y: 4, z: 0 }, tiltDeg: -25 };
		expect(unseen({ people, camera })).toEqual([]);
	});
});

it('nobody unseen has targets, and the plan names them', () => {
	const plan = toldOf({ people: [ahead('front', 3), ahead('back', 4)] });
	expect(plan.targets.map(({ personId }) => personId)).toEqual(['front', 'front']);
	expect(plan.unseen).toEqual([{ personId: 'back', why: 'hidden', by: 'front' }]);
	expect(plan.reasons.find(({ code }) => code === 'unseen')?.text).toBe(
		'back is hidden behind front.'
	);
});
