import Dexie from 'dexie';
import { expect, it } from 'vitest';
import { shotOf } from '$tests/support/shots';
import { presetBodies, presetLenses } from './database';
import { PRESET_KIT } from '../kitContents';
import { Store } from './store';
import { dateOf } from '../newDay';

/** A browser that last saw an earlier version of the database loses nothing. */

const TABLES_1 = { jobs: 'id', shots: 'id, jobId', steps: '[shotId+step], shotId' };
const TABLES_2 = { ...TABLES_1, bodies: 'id', lenses: 'id', spreads: 'id' };
const CREATED = Date.UTC(2026, 4, 2, 12);

const shotOf2 = (id: string, position: number, isRemoved = false) => ({
	id,
	jobId: 'job',
	position,
	revision: 3,
	cursor: 1,
	isRemoved,
	shot: { ...shotOf(), title: id }
});

it.each([
	[1, TABLES_1],
	[2, TABLES_2]
] as const)('comes from version %d', async (version, tables) => {
	const name = `version ${version}`;
	const old = new Dexie(name);
	old.version(version).stores(tables);
	await old.table('jobs').add({ id: 'job', title: 'A job', createdAt: CREATED, isSample: false });
	await old.table('shots').bulkAdd([shotOf2('b', 2), shotOf2('a', 1), shotOf2('c', 3, true)]);
	await old.table('steps').bulkAdd([
		{ shotId: 'a', step: 0, gesture: '', shot: shotOf() },
		{ shotId: 'a', step: 1, gesture: 'drag', shot: { ...shotOf(), title: 'a' } }
	]);
	if (version === 2) {
		await old.table('bodies').bulkAdd(presetBodies());
		await old.table('lenses').bulkAdd(presetLenses().slice(0, 2));
	}
	old.close();

	const store = new Store(name);
	const { jobs, shots, setAside, erased } = await store.read();
	expect(setAside).toEqual([]);
	expect(erased.size).toBe(0);
	const date = dateOf(CREATED);
	expect(jobs).toEqual([
		{
			id: 'job',
			title: 'A job',
			date,
			place: '',
			notes: '',
			people: [],
			createdAt: CREATED,
			isSample: false,
			revision: 0
		}
	]);
	// in their old order, one after the other
	expect(shots.map(({ id, slot }) => [id, slot.startsAt, slot.isRemoved])).toEqual([
		['a', `${date}T10:00`, false],
		['b', `${date}T10:15`, false],
		['c', `${date}T10:30`, true]
	]);
	expect(shots.map(({ revision, shot }) => [revision, shot.title])).toEqual([
		[3, 'a'],
		[3, 'b'],
		[3, 'c']
	]);
	const [first] = shots;
	const history = first && (await store.readHistory(first));
	expect(history?.steps).toHaveLength(2);
	const { lenses } = await store.read();
	expect(lenses).toHaveLength(version === 2 ? 2 : PRESET_KIT.lenses.length);
	store.close();
});
