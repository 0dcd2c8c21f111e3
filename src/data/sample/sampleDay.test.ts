import { describe, expect, it } from 'vitest';
import { readShot } from '$core/format/shotFile';
import { solve } from '$tests/support/solved';
import { sampleDay } from './sampleDay';

const { job, shots } = sampleDay(0);

describe('the sample day', () => {
	it.each(shots.map(({ shot }) => [shot.title, shot] as const))(
		'%s is a valid shot that can be planned',
		(_, shot) => {
			expect(readShot(shot)).toEqual({ ok: true, shot });
			const { plan } = solve(shot);
			expect(plan.unseen).toEqual([]);
		}
	);

	it('comes with new ids every time', () => {
		const again = sampleDay(0);
		expect(again.job.id).not.toBe(job.id);
		expect(new Set([...shots, ...again.shots].map(({ id }) => id)).size).toBe(2 * shots.length);
	});
});
