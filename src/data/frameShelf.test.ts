import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { UNJUDGED } from '$core/format/review';
import { measuredFrame } from '$tests/support/frames';
import { opened } from '$tests/support/stores';
import type { FrameRecord } from './database';

const POWER = [0.5, 0, 1.25];
const spot = { x: 10, y: 20, edges: null, spectrum: null };

/** A frame with one face; only its left eye tells something. */
function recordWith(id: string, power: Float32Array<ArrayBuffer>): FrameRecord {
	const spectrum = { power, noise: 0.001, scale: 1, sidePx: 32 };
	return {
		id,
		jobId: 'job',
		measured: {
			...measuredFrame(`${id}.jpg`),
			faces: [
				{
					eyesPx: 80,
					irisPx: 14,
					widthPx: 190,
					landmarks: [],
					left: { ...spot, spectrum, openness: 0.4 },
					right: { ...spot, openness: 0.4 },
					nose: spot,
					hair: spot,
					clipped: 0
				}
			]
		},
		judgement: UNJUDGED
	};
}
/** Puts records into a store past all looking at them. */
async function smuggle(name: string, records: readonly FrameRecord[]): Promise<void> {
	const database = new Dexie(name);
	await database.open();
	await database.table('frames').bulkPut([...records]);
	database.close();
}
const powerIn = (record: FrameRecord | undefined) =>
	record?.measured.faces[0]?.left.spectrum?.power;

describe('the shelf of frames that came home', () => {
	it('gives back what was measured, also after a restart', async () => {
		const store = opened('frames');
		await store.frames.add([recordWith('a', Float32Array.from(POWER))]);
		store.close();
		const [kept] = await opened('frames').frames.of('job');
		expect(powerIn(kept)).toEqual(Float32Array.from(POWER));
		expect(await opened('frames').frames.of('another job')).toEqual([]);
	});

	it('reads what an earlier Focalis kept as a list of numbers', async () => {
		await opened('old frames').frames.of('job');
		await smuggle('old frames', [recordWith('a', POWER as unknown as Float32Array<ArrayBuffer>)]);
		const [read] = await opened('old frames').frames.of('job');
		expect(powerIn(read)).toEqual(Float32Array.from(POWER));
	});

	it('leaves out, and takes, nothing that is no number', async () => {
		const store = opened('broken frames');
		const broken = recordWith('b', Float32Array.from([1, NaN]));
		await store.frames.of('job');
		await expect(store.frames.put([broken])).rejects.toThrow();
		await smuggle('broken frames', [broken, recordWith('c', Float32Array.from(POWER))]);
		expect((await store.frames.of('job')).map(({ id }) => id)).toEqual(['c']);
	});
});
