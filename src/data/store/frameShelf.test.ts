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

describe('what was said of frames', () => {
	const KEPT = { ...UNJUDGED, mark: 'keep' as const, note: 'the light' };
	const of = (name: string, judgement = UNJUDGED): FrameRecord => ({
		...recordWith(`job|${name}`, Float32Array.from(POWER)),
		judgement
	});

	it('is there for a backup as long as it is said', async () => {
		const { frames } = opened('said');
		await frames.add([of('a', KEPT), of('b')]);
		expect(await frames.allSaid()).toEqual(new Map([['job', [{ file: 'a', ...KEPT }]]]));
		await frames.put([of('a'), of('b', KEPT)]);
		expect([...(await frames.saidOf('job')).keys()]).toEqual(['job|b']);
		await frames.forget(['job|b']);
		expect(await frames.allSaid()).toEqual(new Map());
	});

	it('comes from a backup where nothing is said here', async () => {
		const { frames } = opened('said elsewhere');
		await frames.add([of('a', { ...UNJUDGED, mark: 'drop' }), of('b')]);
		await frames.takeSaid(
			'job',
			['a', 'b', 'not here yet'].map((file) => ({ file, ...KEPT }))
		);
		expect((await frames.of('job')).map(({ judgement }) => judgement.mark)).toEqual([
			'drop',
			'keep'
		]);
		const said = await frames.saidOf('job');
		expect([...said].map(([id, { mark }]) => [id, mark])).toEqual([
			['job|a', 'drop'],
			['job|b', 'keep'],
			['job|not here yet', 'keep']
		]);
	});

	it('goes with its day', async () => {
		const store = opened('said of a day');
		await store.frames.add([of('a', KEPT)]);
		await store.eraseJob('job');
		expect(await store.frames.allSaid()).toEqual(new Map());
	});

	it('is found in what an earlier Focalis kept', async () => {
		const old = new Dexie('version 8');
		old.version(8).stores({ frames: 'id, jobId' });
		await old.table('frames').bulkAdd([of('a', KEPT), of('b')]);
		old.close();
		expect([...(await opened('version 8').frames.saidOf('job')).keys()]).toEqual(['job|a']);
	});
});
