import { describe, expect, it } from 'vitest';
import { seenFrom } from '$core/geometry/camera';
import { headPoint, placeHead } from '$core/anatomy/head';
import { lookAt } from '$core/study/scene';
import { along } from '$core/geometry/vector';
import { person, shotOf, thing } from '$tests/support/shots';
import { COARSEST, figurePartsOf } from './assemble';
import { lookOf } from './looks';
import { previewOf, roomShare, type Figure } from './scene';

const shot = shotOf({
	people: [
		person('a', [0.4, 1.2, 3], { turnDeg: 30, nodDeg: 10, leanDeg: -12 }),
		person('b', [-0.3, 0.9, 4], { build: 'child' }),
		person('c', [0.1, 0.3, 3], { build: 'cat' }),
		person('d', [0.6, 1.35, 3], { build: 'infant' })
	],
	things: [thing('behind', [0, 1, 9]), thing('before', [0.2, 1.2, 2])],
	camera: { tiltDeg: -12, panDeg: 9 }
});

describe('the scene that is drawn', () => {
	const { pose } = lookAt(shot);
	const scene = previewOf(shot);

	it('has every point of a head where the core sees it', () => {
		const [first] = shot.people;
		if (!first) throw new Error('nobody');
		const { origin, left, up, out } = (scene.figures[0] as Figure).head;
		const ear = along(along(along(origin, left, 0.07), up, -0.015), out, -0.088);
		const seen = seenFrom(pose, headPoint(placeHead(first, pose.position), [70, -15, -88]));
		expect(ear.x).toBeCloseTo(seen.rightM, 12);
		expect(ear.y).toBeCloseTo(seen.upM, 12);
		expect(ear.z).toBeCloseTo(seen.depthM, 12);
	});

	it('has the ground below everybody’s eyes by the height of their eyes', () => {
		const { ground, figures } = scene;
		figures.forEach(({ head, eyeHeightM }, i) => {
			expect(eyeHeightM).toBe(shot.people[i]?.eyeMidpoint.y);
			const foot = along(head.origin, ground.up, -eyeHeightM);
			const off = ['x', 'y', 'z'] as const;
			const height = off.reduce((sum, k) => sum + (foot[k] - ground.origin[k]) * ground.up[k], 0);
			expect(height).toBeCloseTo(0, 12);
		});
	});

	it('knows who stands behind a thing', () => {
		expect(scene.things.map(({ hasPeopleBehind }) => hasPeopleBehind)).toEqual([false, true]);
	});

	it('puts everybody together from parts that reach from head to ground', () => {
		for (const figure of scene.figures) {
			const names = figurePartsOf(
				figure,
				lookOf(figure.id, figure.build),
				COARSEST,
				scene.ground
			).map(({ name }) => name);
			expect(names.some((name) => name.includes('head'))).toBe(true);
			expect(names.some((name) => name.includes('body'))).toBe(true);
		}
	});

	it('sits who is low, stands who is high, and carries infants', () => {
		const pose = (heightM: number, build: 'adult' | 'infant') => {
			const one = shotOf({ people: [person('x', [0, heightM, 3], { build })] });
			const [figure] = previewOf(one).figures;
			if (!figure) throw new Error('nobody');
			const parts = figurePartsOf(figure, lookOf('x', build), COARSEST, previewOf(one).ground);
			return parts.map(({ name }) => name).find((name) => name.startsWith('body'));
		};
		expect(pose(1.6, 'adult')).toContain('standing');
		expect(pose(1.15, 'adult')).toContain('sitting');
		expect(pose(1.4, 'infant')).toContain('carried');
	});
});

describe('looks', () => {
	it('are the same for the same person and of all sorts', () => {
		const looks = Array.from({ length: 60 }, (_, i) => lookOf(`person ${i}`, 'adult'));
		expect(lookOf('person 7', 'adult')).toEqual(looks[7]);
		expect(new Set(looks.map(({ hair }) => hair)).size).toBeGreaterThan(4);
		expect(new Set(looks.map(({ colours }) => colours.skin.join())).size).toBeGreaterThan(6);
		const glasses = looks.filter(({ hasGlasses }) => hasGlasses).length;
		expect(glasses).toBeGreaterThan(3);
		expect(glasses).toBeLessThan(25);
	});
});

describe('flash', () => {
	it('leaves the room two stops darker for each two stops of aperture', () => {
		const light = { flashAtM: 2, roomStopsBelow: 1, warmth: 0 };
		expect(roomShare(light, 4) / roomShare(light, 8)).toBeCloseTo(4, 9);
		expect(roomShare({ flashAtM: null, roomStopsBelow: 0, warmth: 0 }, 8)).toBe(1);
	});
});

describe('what is around them', () => {
	const people = [person('a', [0, 1.6, 3]), person('b', [1, 1.6, 5])];

	it('is nothing unless it is said, and ends behind the last of them', () => {
		expect(previewOf(shotOf({ people })).place).toBeNull();
		const shot = shotOf({ people, things: [thing('sign', [0, 2, 8])], camera: { panDeg: 20 } });
		const there = { ...shot, place: { kind: 'hall' as const, highestCameraM: 3 } };
		expect(previewOf(there).place).toEqual({ kind: 'hall', lastM: 8 });
	});

	it('is lit warmly by lamps and coldly by shade; without a word of the light neither', () => {
		const warmth = (ev100: number) =>
			previewOf({ ...shotOf({ people }), light: { mode: 'ambient', ev100 } }).light.warmth;
		expect(warmth(4)).toBe(1);
		expect(warmth(7)).toBeCloseTo(0.5, 12);
		expect(warmth(12)).toBeLessThan(-0.5);
		expect(warmth(15)).toBeGreaterThan(0);
		expect(previewOf(shotOf({ people })).light.warmth).toBe(0);
	});
});
