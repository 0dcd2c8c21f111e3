import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import { shotOf } from '$tests/support/shots';
import { present, startHistory, undo, withStep } from '../history';
import type { Job, ShotRecord, Slot } from './database';
import type { Contents } from './contents';
import { Store } from './store';
import { troubleOf } from './trouble';

const JOB: Job = {
	id: 'job',
	title: 'A wedding',
	date: '2026-09-26',
	place: '',
	notes: '',
	people: [],
	createdAt: 1,
	isSample: false,
	revision: 0
};
const SLOT: Slot = {
	jobId: 'job',
	startsAt: '2026-09-26T10:00',
	minutes: 15,
	status: 'planned',
	place: '',
	position: 1,
	isRemoved: false,
	revision: 0
};
const named = (title: string) => ({ ...shotOf(), title });
const fresh = (id: string, more: Partial<ShotRecord> = {}): ShotRecord => ({
	id,
	revision: 0,
	cursor: 0,
	shot: named(id),
	slot: SLOT,
	...more
});

let number = 0;
const open: Store[] = [];
/** A store in a database of its own; the name opens the same one again. */
function newStore(name = `test ${number++}`): { store: Store; name: string } {
	const store = new Store(name);
	open.push(store);
	return { store, name };
}
afterEach(() => open.splice(0).forEach((store) => store.close()));

const saved = async (store: Store, id = 'a') =>
	(await store.read()).shots.find((one) => one.id === id) as ShotRecord;

describe('keeping shots', () => {
	it('gives back jobs and shots in their order', async () => {
		const { store } = newStore();
		await store.addJob(JOB, [
			fresh('c', { slot: { ...SLOT, startsAt: '2026-09-26T09:00' } }),
			fresh('b', { slot: { ...SLOT, position: 2 } }),
			fresh('a')
		]);
		const { jobs, shots, setAside } = await store.read();
		expect(jobs).toEqual([JOB]);
		expect(shots.map(({ id }) => id)).toEqual(['c', 'a', 'b']);
		expect(setAside).toEqual([]);
	});

	it('adds the job of a first shot with it', async () => {
		const { store } = newStore();
		await store.save(fresh('a'), startHistory(named('a')), 0, JOB);
		expect((await store.read()).jobs).toEqual([JOB]);
	});

	it('keeps the history over a restart, with what was undone', async () => {
		const { store, name } = newStore();
		let history = startHistory(named('one'));
		history = withStep(history, named('two'), 'g2');
		history = undo(withStep(history, named('three'), 'g3'));
		await store.save(fresh('a', { shot: present(history) }), history, 0, JOB);
		store.close();

		const again = newStore(name).store;
		const back = await again.readHistory(await saved(again));
		expect(back).toEqual(history);
	});

	it('saves only the steps that changed, and drops those that were overwritten', async () => {
		const { store } = newStore();
		let history = startHistory(named('one'));
		for (const title of ['two', 'three', 'four']) history = withStep(history, named(title), title);
		await store.save(fresh('a'), history, 0, JOB);
		history = withStep(undo(undo(history)), named('other'), 'other');
		await store.save(fresh('a', { revision: 1 }), history, history.cursor, JOB);
		expect(await store.readHistory(await saved(store))).toEqual(history);
	});

	it('drops the steps that fell off the beginning', async () => {
		const { store } = newStore();
		let history = startHistory(named('0'));
		await store.save(fresh('a'), history, 0, JOB);
		for (let i = 1; i <= 150; i++) history = withStep(history, named(`${i}`), `${i}`);
		await store.save(fresh('a', { revision: 1 }), history, 0, JOB);
		const back = await store.readHistory(await saved(store));
		expect([back.first, back.steps.length]).toEqual([31, 120]);
	});
});

describe('photographs that stages were made from', () => {
	const jpeg = (text: string) => new Blob([text], { type: 'image/jpeg' });
	const kept = async (store: Store, id: string) => (await store.photograph(id))?.text();

	it('are kept apart from the shot, one each, and forgotten when that is asked', async () => {
		const { store } = newStore();
		await store.addJob(JOB, [fresh('a')]);
		await store.keepPhotograph('a', jpeg('first'));
		await store.keepPhotograph('a', jpeg('second'));
		expect(await kept(store, 'a')).toBe('second');
		expect(JSON.stringify(await store.read())).not.toContain('image/jpeg');
		await store.keepPhotograph('a', null);
		expect(await store.photograph('a')).toBeNull();
	});

	it('go with their job when it is erased; those of others stay', async () => {
		const { store } = newStore();
		await store.addJob(JOB, [fresh('a')]);
		await store.addJob({ ...JOB, id: 'other' }, [
			fresh('b', { slot: { ...SLOT, jobId: 'other' } })
		]);
		await store.keepPhotograph('a', jpeg('a'));
		await store.keepPhotograph('b', jpeg('b'));
		await store.eraseJob('job');
		expect(await store.photograph('a')).toBeNull();
		expect(await kept(store, 'b')).toBe('b');
	});
});

describe('a database of a newer Focalis', () => {
	const versionOf = async (name: string) =>
		(await indexedDB.databases()).find((one) => one.name === name)?.version;

	it('is refused and left as it is; everything in it can be saved', async () => {
		const { store: old, name } = newStore();
		await old.addJob(JOB, [fresh('a')]);
		old.close();
		const newer = new Dexie(name);
		newer.version(99).stores({ shots: 'id, slot.jobId', inventions: 'id' });
		await newer.open();
		await newer.table('inventions').add({ id: 'x' });
		newer.close();

		const { store } = newStore(name);
		const trouble = await new Promise((resolve) => {
			store.watch(
				() => resolve('opened'),
				(error) => resolve(troubleOf(error))
			);
		});
		expect(trouble).toBe('newer');
		await expect(store.read()).rejects.toThrow();
		expect(await versionOf(name)).toBe(990);
		const copy = await store.rawCopy();
		expect(copy['shots']).toHaveLength(1);
		expect(copy['inventions']).toEqual([{ id: 'x' }]);
		expect(await versionOf(name)).toBe(990);
	});
});

describe('two windows', () => {
	it('the second to save is told, and nothing is overwritten', async () => {
		const { store, name } = newStore();
		await store.save(fresh('a'), startHistory(named('start')), 0, JOB);
		const mine = await saved(store);
		const other = newStore(name).store;
		const theirs = startHistory(named('theirs'), 1);
		await other.save({ ...mine, shot: named('theirs') }, theirs, 1, JOB);

		const result = await store.save({ ...mine, shot: named('mine') }, theirs, 1, JOB);
		expect(result).toMatchObject({ outcome: 'conflict', theirs: { shot: { title: 'theirs' } } });
		expect((await saved(store)).shot.title).toBe('theirs');
	});

	it('a record that is gone is a conflict too, not a silent return', async () => {
		const { store } = newStore();
		const result = await store.save(fresh('a', { revision: 4 }), startHistory(named('a')), 0, JOB);
		expect(result).toEqual({ outcome: 'conflict', theirs: null });
	});

	it('each hears of the other’s changes', async () => {
		const { store, name } = newStore();
		const heard: Contents[] = [];
		let wake = () => {};
		const next = () => new Promise<void>((resolve) => (wake = resolve));
		const stop = store.watch(
			(contents) => {
				heard.push(contents);
				wake();
			},
			(error) => {
				throw error;
			}
		);
		while (heard.length === 0) await next();
		await newStore(name).store.addJob(JOB, [fresh('a')]);
		while (heard.at(-1)?.shots.length !== 1) await next();
		stop();
		expect(heard.at(-1)?.shots[0]?.shot.title).toBe('a');
	});
});

describe('what no longer validates', () => {
	async function withRaw(table: string, row: object) {
		const { store, name } = newStore();
		await store.addJob(JOB, [fresh('good')]);
		const raw = new Dexie(name);
		await raw.open();
		await raw.table(table).put(row);
		raw.close();
		return store;
	}

	it('is set aside with the place and the reason, and stays where it is', async () => {
		const bad = { ...fresh('bad'), shot: { ...named('bad'), title: '' } };
		const store = await withRaw('shots', bad);
		const { shots, setAside } = await store.read();
		expect(shots.map(({ id }) => id)).toEqual(['good']);
		expect(setAside).toEqual([
			{
				id: 'bad',
				table: 'shots',
				problems: [{ path: 'shot.title', message: 'the title must not be empty' }],
				raw: bad
			}
		]);
		expect((await store.read()).setAside).toHaveLength(1);
	});

	it('is put back once it is right, and not before', async () => {
		const bad = { ...fresh('bad'), shot: { ...named('bad'), title: '' } };
		const store = await withRaw('shots', bad);
		await expect(store.mend('shots', bad)).rejects.toThrow('the title must not be empty');
		const mended = { ...bad, shot: { ...bad.shot, title: 'better' } };
		expect((await store.mend('shots', mended)).shots).toEqual([mended]);
		const { shots, setAside } = await store.read();
		expect([shots.length, setAside]).toEqual([2, []]);
	});

	it('in a job is set aside as well, and its shots stay', async () => {
		const store = await withRaw('jobs', { id: 'old', title: 3 });
		const { jobs, setAside } = await store.read();
		expect([jobs.length, setAside.length]).toEqual([1, 1]);
	});

	it('in a job with shots leaves them within reach, with what can be read of the day', async () => {
		const { store, name } = newStore();
		await store.addJob(JOB, [fresh('a'), fresh('b')]);
		store.close();
		const raw = new Dexie(name);
		await raw.open();
		await raw.table('jobs').update('job', { date: 'soon', people: [{ name: 7 }] });
		raw.close();
		const { store: again } = newStore(name);
		const { jobs, shots, setAside } = await again.read();
		expect(setAside.map(({ id }) => id)).toEqual(['job']);
		expect(shots).toHaveLength(2);
		expect(jobs).toEqual([{ ...JOB, date: '2026-09-26', revision: jobs[0]?.revision }]);
		// mended by being changed
		const [job] = jobs;
		if (!job) throw new Error('no job');
		await again.saveParts('jobs', 'job', job, { ...job, place: 'the loft' });
		expect(await again.read()).toMatchObject({ jobs: [{ place: 'the loft' }], setAside: [] });
	});

	it('in a history lets it start anew at the present', async () => {
		const store = await withRaw('steps', { shotId: 'good', step: 0, gesture: 5, shot: {} });
		const history = await store.readHistory(await saved(store, 'good'));
		expect(history.steps).toHaveLength(1);
		expect(present(history).title).toBe('good');
		// the new steps do not collide with the old one
		const next = withStep(history, named('next'), 'next');
		const result = await store.save(await saved(store, 'good'), next, history.cursor, JOB);
		expect(result.outcome).toBe('saved');
	});
});

describe('trouble', () => {
	it('tells a full store from a refused one', () => {
		expect(troubleOf(new DOMException('', 'QuotaExceededError'))).toBe('full');
		const wrapped = Object.assign(new Error('AbortError'), {
			inner: new DOMException('', 'QuotaExceededError')
		});
		expect(troubleOf(wrapped)).toBe('full');
		expect(troubleOf(new DOMException('', 'InvalidStateError'))).toBe('refused');
		expect(troubleOf(null)).toBe('refused');
	});
});
