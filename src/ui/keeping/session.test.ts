import { beforeEach, describe, expect, it, vi } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { Store } from '$data/store/store';
import { shotOf } from '$tests/support/shots';
import { addShot, setRemoved } from './dayActions';
import { openSampleDay } from './sample';
import { Session } from './session.svelte';

const named = (title: string) => ({ ...shotOf(), title });

let number = 0;
let name = '';
beforeEach(() => {
	name = `session ${number++}`;
});

/** A window on the database of this test. */
async function openWindow(shotId: string | null = null) {
	const store = new Store(name);
	const session = new Session(store);
	session.start(shotId);
	await vi.waitFor(() => expect(session.isReady).toBe(true));
	return { store, session };
}

const title = (session: Session) => session.shot?.title;

describe('one window', () => {
	it('starts with nothing, then keeps the first shot in a job of its own', async () => {
		const { session } = await openWindow();
		expect(session.shot).toBeNull();
		await addShot(session, named('first'));
		await addShot(session, named('second'));
		expect(title(session)).toBe('second');
		expect(session.jobShots.map(({ shot }) => shot.title)).toEqual(['first', 'second']);
		expect(session.library.jobs).toHaveLength(1);
	});

	it('has everything back after a restart: the shot, undo and redo', async () => {
		const { session, store } = await openWindow();
		await addShot(session, named('a'));
		session.change(named('b'));
		session.change(named('c'));
		session.undo();
		await session.flush();
		expect(session.isSaving).toBe(false);
		store.close();

		const { session: again } = await openWindow();
		expect(title(again)).toBe('b');
		again.redo();
		expect(title(again)).toBe('c');
		again.undo();
		again.undo();
		expect(title(again)).toBe('a');
		expect(again.canUndo).toBe(false);
	});

	it('opens the shot asked for, not one that was taken out', async () => {
		const { session, store } = await openWindow();
		await addShot(session, named('a'));
		await addShot(session, named('b'));
		const [first, second] = session.jobShots;
		await setRemoved(session, second?.id ?? '', true);
		expect(title(session)).toBe('a');
		await setRemoved(session, second?.id ?? '', false);
		expect(session.jobShots).toHaveLength(2);
		store.close();
		expect(title((await openWindow(first?.id)).session)).toBe('a');
	});

	it('saves what is unsaved before it opens another shot', async () => {
		const { session } = await openWindow();
		await addShot(session, named('a'));
		await addShot(session, named('b'));
		session.change(named('b changed'));
		const [first, second] = session.jobShots;
		await session.open(first?.id ?? '');
		await session.open(second?.id ?? '');
		expect(title(session)).toBe('b changed');
		session.undo();
		expect(title(session)).toBe('b');
	});

	it('names every gesture differently', async () => {
		const { session } = await openWindow();
		expect(session.newGesture('drag')).not.toBe(session.newGesture('drag'));
	});
});

describe('two windows', () => {
	async function pair() {
		const { session: one } = await openWindow();
		await addShot(one, named('start'));
		const { session: two } = await openWindow();
		await vi.waitFor(() => expect(title(two)).toBe('start'));
		return { one, two };
	}

	it('show each other’s changes', async () => {
		const { one, two } = await pair();
		one.change(named('changed'));
		await one.flush();
		await vi.waitFor(() => expect(title(two)).toBe('changed'));
		two.undo();
		await two.flush();
		await vi.waitFor(() => expect(title(one)).toBe('start'));
	});

	it.each([
		['mine', 'mine', 'theirs'],
		['theirs', 'theirs', 'mine']
	] as const)(
		'never overwrite each other: keep %s, and undo brings the other back',
		async (keep, kept, other) => {
			const { one, two } = await pair();
			one.change(named('theirs'));
			two.change(named('mine'));
			await one.flush();
			await two.flush();
			expect(two.conflict?.theirs?.shot.title).toBe('theirs');
			expect(title(two)).toBe('mine');

			await two.settle(keep);
			expect(two.conflict).toBeNull();
			expect(title(two)).toBe(kept);
			await vi.waitFor(() => expect(title(one)).toBe(kept));
			two.undo();
			expect(title(two)).toBe(other);
		}
	);
});

describe('a store that does not take it', () => {
	it('says so, keeps the work, and saves it when it can again', async () => {
		const { session, store } = await openWindow();
		await addShot(session, named('a'));
		const save = vi.spyOn(store, 'save');
		save.mockRejectedValue(new DOMException('', 'QuotaExceededError'));
		session.change(named('b'));
		await session.flush();
		expect(session.trouble).toBe('full');
		expect([title(session), session.isSaving]).toEqual(['b', true]);

		await addShot(session, named('c'));
		expect(title(session)).toBe('c');
		save.mockRestore();
		session.change(named('d'));
		await session.flush();
		expect([session.trouble, session.isSaving]).toEqual([null, false]);
		store.close();
		const { session: again } = await openWindow();
		expect(again.jobShots.map(({ shot }) => shot.title).toSorted()).toEqual(['b', 'd']);
	});

	it('that cannot be opened leaves an app that works', async () => {
		const store = new Store(name);
		vi.spyOn(store, 'watch').mockImplementation((_, onTrouble) => {
			onTrouble(new DOMException('', 'InvalidStateError'));
			return () => {};
		});
		vi.spyOn(store, 'save').mockRejectedValue(new DOMException('', 'InvalidStateError'));
		vi.spyOn(store, 'addJob').mockRejectedValue(new DOMException('', 'InvalidStateError'));
		const session = new Session(store);
		session.start(null);
		expect([session.isReady, session.trouble]).toEqual([true, 'refused']);
		await addShot(session, named('a'));
		session.change(named('b'));
		expect(title(session)).toBe('b');
		session.undo();
		expect(title(session)).toBe('a');
	});

	it('that never answers is gone on without, and taken over when it does', async () => {
		vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
		try {
			const store = new Store(name);
			const { watch } = store;
			let answer = () => {};
			vi.spyOn(store, 'watch').mockImplementation((onContents, onTrouble) => {
				answer = () => void watch.call(store, onContents, onTrouble);
				return () => {};
			});
			const session = new Session(store);
			session.start(null);
			expect(session.isReady).toBe(false);
			vi.advanceTimersByTime(5000);
			expect([session.isReady, session.trouble]).toEqual([true, 'silent']);
			vi.useRealTimers();
			answer();
			await vi.waitFor(() => expect(session.trouble).toBeNull());
		} finally {
			vi.useRealTimers();
		}
	});

	it('takes a new job, and keeps all of it once it can', async () => {
		const { session, store } = await openWindow();
		const addJob = vi
			.spyOn(store, 'addJob')
			.mockRejectedValue(new DOMException('', 'QuotaExceededError'));
		await openSampleDay(session);
		expect(session.trouble).toBe('full');
		addJob.mockRestore();
		await session.flush();
		expect(session.trouble).toBeNull();
		store.close();
		const { session: again } = await openWindow();
		expect(again.jobShots).toHaveLength(sampleDay(0).shots.length);
	});
});

describe('the sample day', () => {
	it('opens beside the user’s own work and never overwrites it', async () => {
		const { session } = await openWindow();
		await addShot(session, named('my own'));
		await openSampleDay(session);
		expect(session.job?.isSample).toBe(true);
		const { shots } = sampleDay(0);
		expect(session.jobShots).toHaveLength(shots.length);
		expect(session.library.shots.some(({ shot }) => shot.title === 'my own')).toBe(true);
	});

	it('opened again is the same one as long as nobody worked on it', async () => {
		const { session } = await openWindow();
		await openSampleDay(session);
		await openSampleDay(session);
		expect(session.library.jobs).toHaveLength(1);
		session.change(named('worked on'));
		await session.flush();
		await openSampleDay(session);
		expect(session.library.jobs).toHaveLength(2);
		expect(session.library.shots.some(({ shot }) => shot.title === 'worked on')).toBe(true);
	});
});
