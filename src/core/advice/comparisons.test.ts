import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { rowsInRoom } from '$tests/support/shots';
import { study, takeOf } from '$tests/support/solved';
import type { Shot } from '../format/shot';
import { aboutCosts, schoolResults, shutterSchools } from './comparisons';

describe('one shot done otherwise', () => {
	const band = sampleDay(0).shots.find(({ shot }) => shot.title.includes('trumpet'))?.shot as Shot;

	it('the face, the trumpet, both: both cost the most', () => {
		const costs = Object.fromEntries(
			aboutCosts(study(band)).map(({ about, result }) => [about, result.fNumber ?? NaN])
		);
		expect(costs['person']).toBeLessThan(costs['both'] ?? NaN);
		expect(costs['object']).toBeLessThan(costs['both'] ?? NaN);
	});

	it('every school with a number stands beside the shot as it is, which is one of each', () => {
		const all = schoolResults(study({ ...rowsInRoom(), light: { mode: 'ambient', ev100: 7 } }));
		for (const question of ['how-wide', 'shutter', 'point', 'sharp', 'surface', 'gives'] as const) {
			expect(all.filter((one) => one.question === question && one.isOwn)).toHaveLength(1);
		}
		for (const { isOwn, result } of all) if (isOwn) expect(result.costStops).toBe(0);
		const ask = (school: string) => all.find((one) => one.school === school)?.result;
		expect(ask('widest')?.sharp).toBeLessThan(12);
		expect(ask('pixel')?.fNumber).toBeGreaterThan(ask('album')?.fNumber ?? NaN);
		// left to itself the camera misses more often than a point placed by hand (common practice)
		const good = (school: string) => ask(school)?.keeperShare ?? NaN;
		expect(good('point')).toBeGreaterThan(good('area'));
		expect(good('area')).toBeGreaterThan(good('whole-frame'));
	});

	it('a faster shutter by school costs ISO, stop for stop', () => {
		const schools = shutterSchools(
			takeOf({ ...rowsInRoom(), light: { mode: 'ambient', ev100: 5 } })
		);
		const at = (name: string) => schools.find(({ school }) => school === name);
		const [slow, fast] = [at('group'), at('children')];
		expect((fast?.exposure?.iso ?? 0) / (slow?.exposure?.iso ?? 1)).toBeCloseTo(4, 6);
	});

	it('by the focal length says how much of it is the stabiliser’s', () => {
		const shot = rowsInRoom();
		const of = (stabiliserStops: number) =>
			shutterSchools(takeOf({ ...shot, body: { ...shot.body, stabiliserStops } }));
		const [held, free] = [of(3), of(0)].map((all) =>
			all.find(({ school }) => school === 'one-over')
		);
		expect((held?.shutterS ?? 0) / (free?.shutterS ?? 1)).toBeCloseTo(8, 6);
		expect([held?.steadiedStops, free?.steadiedStops]).toEqual([3, 0]);
		expect(of(3).find(({ school }) => school === 'group')?.steadiedStops).toBe(0);
	});
});
