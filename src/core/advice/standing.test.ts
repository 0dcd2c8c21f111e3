import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import { pivotOf } from '../arrange/standpoint';
import type { Lens, Shot } from '../format/shot';
import { readShot } from '../format/shotFile';
import { subtract } from '../geometry/vector';
import { prospectOf, type Prospect } from './prospect';
import { bestStandpoint, shotFrom, standpointAt } from './standing';

const kit: readonly Lens[] = Object.values(LENSES);

describe('standing at a place', () => {
	const shot = shotOf({
		lens: LENSES.zoom2470,
		focalMm: 35,
		people: [0, 1, 2].flatMap((row) =>
			[-0.9, -0.3, 0.3, 0.9].map((x, i) =>
				person(`row ${row} place ${i}`, [x, 1.3 + 0.25 * row, 2.6 + 0.7 * row], { row })
			)
		)
	});

	it('frames alike: everybody is as large as before, with a lens that can', () => {
		for (const place of [
			{ x: 0.8, z: -0.5 },
			{ x: -1, z: -1.5 },
			{ x: 0, z: 0.6 }
		]) {
			// whatever else is known of the place
			const there = shotFrom(shot, kit, { ...place, ...{ fNumber: 4 } });
			if (!there) throw new Error('out of reach');
			expect(there.camera.position).toMatchObject(place);
			const { short, long } = { short: there.lens.focalMm[0], long: there.lens.focalMm[1] };
			expect(there.camera.focalMm).toBeGreaterThanOrEqual(short);
			expect(there.camera.focalMm).toBeLessThanOrEqual(long);
			const faceOf = (one: Shot) =>
				one.camera.focalMm /
				Math.hypot(...Object.values(subtract(one.camera.position, pivotOf(one))));
			expect(faceOf(there) / faceOf(shot)).toBeCloseTo(1, 1);
			expect(readShot(there).ok).toBe(true);
			// what is written on the floor is what comes
			expect(standpointAt(study(shot), kit, null, place).fNumber).toBe(study(there).pick?.fNumber);
		}
	});

	it('keeps the lens while it will do, and says where none does', () => {
		expect(shotFrom(shot, kit, { x: 0.3, z: 0 })?.lens).toBe(shot.lens);
		expect(shotFrom(shot, [], { x: 0, z: -30 })).toBeNull();
		const { x, z } = pivotOf(shot);
		expect(shotFrom(shot, kit, { x, z })).toBeNull();
	});

	it('is offered from their side alone: behind them they would have their backs to it', () => {
		const isOffered = (place: { x: number; z: number }) =>
			standpointAt(study(shot), kit, null, place).fNumber !== null;
		const { z } = pivotOf(shot);
		expect(isOffered({ x: 0, z: z + 8 })).toBe(false);
		expect(isOffered({ x: 3, z: z + 0.1 })).toBe(false);
		expect(isOffered({ x: 3, z: z - 3 })).toBe(true);
		expect(isOffered({ x: 0, z: z - 8 })).toBe(true);
	});

	it('offers no place from where somebody is hidden who is seen now', () => {
		const behindEachOther = shotOf({
			people: [person('a', [0, 1.6, 4]), person('b', [0, 1.6, 4.6])],
			camera: { position: { x: 1.5, y: 1.6, z: 0 }, panDeg: -20 }
		});
		const looked = study(behindEachOther);
		const straightOn = (now: Prospect | null) => standpointAt(looked, kit, now, { x: 0, z: 0 });
		expect(straightOn(prospectOf(looked)).fNumber).toBeNull();
		expect(straightOn(null).fNumber).not.toBeNull();
	});

	it('knows from where faces read strangely: so near, or at the edge of a wide lens', () => {
		const couple = shotOf({
			lens: LENSES.portrait85,
			people: [person('a', [-0.2, 1.6, 3]), person('b', [0.2, 1.6, 3])]
		});
		const now = prospectOf(study(couple));
		const distorts = (z: number) => standpointAt(study(couple), kit, now, { x: 0, z }).distorts;
		expect(distorts(0.5)).toBe(false);
		// noses four per cent larger than from 3 m: (d + 0.088) / (d - 0.030) from 1.5 m on
		expect(distorts(1.4)).toBe(false);
		expect(distorts(1.6)).toBe(true);
		// whoever stands there already is not warned of it
		const near = { ...couple, camera: { ...couple.camera, position: { x: 0, y: 1.6, z: 1.7 } } };
		const there = standpointAt(study(near), kit, prospectOf(study(near)), { x: 0, z: 1.8 });
		expect(there.distorts).toBe(false);
	});

	it('offers no place farther back than there is room', () => {
		const cramped: Shot = { ...shot, place: { clearBehindCameraM: 1 } };
		const picked = (one: Shot, z: number) =>
			standpointAt(study(one), kit, null, { x: 0, z }).fNumber;
		expect(picked(cramped, -0.9)).not.toBeNull();
		expect(picked(cramped, -1.1)).toBeNull();
		expect(picked(shot, -1.1)).not.toBeNull();
	});
});

describe('the best place to stand', () => {
	const place = (x: number, fNumber: number, other = {}) => ({
		...{ x, z: 0, fNumber, focalMm: 50, distorts: false },
		...other
	});
	const here = { x: 0, z: 0 };

	it('is the shortest way to the widest f-number that is picked', () => {
		const points = [place(20, 2.8), place(2, 2.8), place(1, 4)];
		expect(bestStandpoint(points, here, 5.6)).toBe(points[1]);
	});

	it('is none where it gains less than two rungs: nobody walks for that', () => {
		expect(bestStandpoint([place(8, 2 ** (9 / 6))], here, 2 ** (10 / 6))).toBeNull();
		expect(bestStandpoint([place(8, 2 ** (9 / 6))], here, 2 ** (11 / 6))).not.toBeNull();
		expect(bestStandpoint([], here, 4)).toBeNull();
	});

	it('is none that cannot be had, nor one from where faces are distorted', () => {
		const points = [place(1, 2, { distorts: true }), { ...place(1, 2), fNumber: null }];
		expect(bestStandpoint(points, here, 5.6)).toBeNull();
	});
});
