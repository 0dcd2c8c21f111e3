import { beforeEach, describe, expect, it, vi } from 'vitest';
import { sampleDay } from '$data/sampleDay';
import { Store } from '$data/store';
import { eraseJob } from './dayActions';
import { Session } from './session.svelte';

let number = 0;
let name = '';
let store: Store;
let session: Session;

async function openWindow() {
	store = new Store(name);
	session = new Session(store);
	session.start(null);
	await vi.waitFor(() => expect(session.isReady).toBe(true));
}
beforeEach(async () => {
	name = `library ${number++}`;
	await openWindow();
	const day = sampleDay(0);
	await session.addJob(day.job, day.shots);
});

const library = () => session.library;
const jobId = () => session.job?.id ?? '';
const shotAt = (index: number) => {
	const one = session.jobShots[index];
	if (!one) throw new Error('no such shot');
	return one;
};
const rename = (title: string, gesture?: string) =>
	library().change('the title', jobId(), { job: { title } }, gesture);

describe('a change of the day', () => {
	it('is undone and done again, and kept', async () => {
		const { title } = session.job ?? {};
		rename('Another');
		expect(library().undoWords).toBe('the title');
		library().undo();
		expect(session.job?.title).toBe(title);
		library().redo();
		expect(session.job?.title).toBe('Another');
		await vi.waitFor(() => expect(session.isSaving).toBe(false));
		store.close();
		await openWindow();
		expect(session.job?.title).toBe('Another');
	});

	it('of one gesture is one step', () => {
		const { title } = session.job ?? {};
		rename('A', 'typing');
		rename('An', 'typing');
		rename('Any', 'typing');
		library().undo();
		expect(session.job?.title).toBe(title);
		expect(library().undoWords).toBeNull();
	});

	it('puts shots in the order of their new times', () => {
		const last = shotAt(9);
		const slots = [{ shotId: last.id, change: { startsAt: '2026-09-26T08:00' } }];
		library().change('moving', jobId(), { slots });
		expect(shotAt(0).id).toBe(last.id);
		library().undo();
		expect(shotAt(9).id).toBe(last.id);
	});

	it('inside a shot that is not open is a step of that shot’s own history, too', async () => {
		const { id, shot } = shotAt(3);
		library().change('renaming', jobId(), {
			shots: [{ shotId: id, shot: { ...shot, title: 'New' } }]
		});
		expect(shotAt(3).shot.title).toBe('New');
		await session.open(id);
		expect(session.shot?.title).toBe('New');
		session.undo();
		expect(session.shot?.title).toBe(shot.title);
	});

	it('and of the shot meanwhile do not meet: both stay', async () => {
		const { id } = shotAt(0);
		const { shot } = session;
		if (!shot) throw new Error('no shot');
		session.change({ ...shot, notes: 'first row sits' });
		library().change('marking', jobId(), { slots: [{ shotId: id, change: { status: 'taken' } }] });
		await session.flush();
		await vi.waitFor(() => expect(session.isSaving).toBe(false));
		store.close();
		await openWindow();
		expect(shotAt(0).slot.status).toBe('taken');
		expect(shotAt(0).shot.notes).toBe('first row sits');
	});
});

describe('a store that is full', () => {
	const full = () => Promise.reject(new DOMException('', 'QuotaExceededError'));

	it('keeps nobody from working: everything waits, in order, and is kept once it can be', async () => {
		const job = vi.spyOn(store, 'changeJob').mockImplementation(full);
		const slots = vi.spyOn(store, 'changeSlots').mockImplementation(full);
		const { id } = shotAt(2);
		rename('A');
		library().change('place', jobId(), { slots: [{ shotId: id, change: { place: 'loft' } }] });
		rename('B');
		await vi.waitFor(() => expect(session.trouble).toBe('full'));
		expect([session.job?.title, shotAt(2).slot.place, session.isSaving]).toEqual([
			'B',
			'loft',
			true
		]);
		job.mockRestore();
		slots.mockRestore();
		await session.retry();
		expect([session.trouble, session.isSaving]).toEqual([null, false]);
		store.close();
		await openWindow();
		expect([session.job?.title, shotAt(2).slot.place]).toEqual(['B', 'loft']);
	});

	it('does not erase by halves: it says so, and nothing is gone', async () => {
		vi.spyOn(store, 'eraseJob').mockImplementation(full);
		const before = session.library.shots.length;
		await expect(eraseJob(session, jobId())).rejects.toThrow();
		expect([session.library.jobs.length, session.library.shots.length]).toEqual([1, before]);
	});
});

describe('erasing a job from this device', () => {
	it('tells what went, and nothing of it is left', async () => {
		const { shot } = session;
		if (!shot) throw new Error('no shot');
		session.change({ ...shot, notes: 'once' });
		await session.flush();
		const counts = await eraseJob(session, jobId());
		expect(counts).toEqual({ shots: 10, steps: 11, people: 31 });
		expect([library().jobs, library().shots, session.shot]).toEqual([[], [], null]);
		store.close();
		await openWindow();
		expect([library().jobs, library().shots]).toEqual([[], []]);
	});

	it('is noticed by another window, which brings nothing back', async () => {
		const here = { session, store };
		await openWindow();
		const there = session;
		const id = there.job?.id ?? '';
		await eraseJob(here.session, id);
		await vi.waitFor(() => expect(there.library.jobs).toEqual([]));
		there.library.change('the title', id, { job: { title: 'back' } });
		await vi.waitFor(() => expect(there.isSaving).toBe(false));
		expect((await here.store.read()).jobs).toEqual([]);
	});
});
