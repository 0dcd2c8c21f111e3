import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ASSUMED } from '$core/tables/spreads';
import { sampleDay } from '$data/sample/sampleDay';
import { Store } from '$data/store/store';
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
	session.day.change('the title', jobId(), { job: { title } }, gesture);

describe('a change of the day', () => {
	it('is undone and done again, and kept', async () => {
		const { title } = session.job ?? {};
		rename('Another');
		expect(session.day.undoWords).toBe('the title');
		session.day.undo();
		expect(session.job?.title).toBe(title);
		session.day.redo();
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
		session.day.undo();
		expect(session.job?.title).toBe(title);
		expect(session.day.undoWords).toBeNull();
	});

	it('puts shots in the order of their new times', () => {
		const last = shotAt(9);
		const slots = [{ shotId: last.id, change: { startsAt: '2026-09-26T08:00' } }];
		session.day.change('moving', jobId(), { slots });
		expect(shotAt(0).id).toBe(last.id);
		session.day.undo();
		expect(shotAt(9).id).toBe(last.id);
	});

	it('inside a shot that is not open is a step of that shot’s own history, too', async () => {
		const { id, shot } = shotAt(3);
		session.day.change('renaming', jobId(), {
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
		session.day.change('marking', jobId(), {
			slots: [{ shotId: id, change: { status: 'taken' } }]
		});
		await session.flush();
		await vi.waitFor(() => expect(session.isSaving).toBe(false));
		store.close();
		await openWindow();
		expect(shotAt(0).slot.status).toBe('taken');
		expect(shotAt(0).shot.notes).toBe('first row sits');
	});
});

describe('what cannot be', () => {
	it('a year of five figures is refused in words, and nothing is changed or kept of it', async () => {
		const { id, slot } = shotAt(0);
		const slots = [{ shotId: id, change: { startsAt: '20266-09-26T10:00' } }];
		session.day.change('the time', jobId(), { slots });
		expect(session.outbox.refusal).toMatch(/^the start must be/);
		expect([shotAt(0).slot, session.day.undoWords]).toEqual([slot, null]);
		rename('Fine');
		expect(session.outbox.refusal).toBeNull();
	});

	it('the store itself takes nothing that its schemas refuse', async () => {
		const { id, slot } = shotAt(0);
		const bad = { ...slot, startsAt: '2026-13-40T10:00' };
		await expect(store.saveParts('slots', id, slot, bad)).rejects.toThrow('the start must be');
		expect((await store.read()).setAside).toEqual([]);
	});
});

describe('a store that is full', () => {
	const full = () => Promise.reject(new DOMException('', 'QuotaExceededError'));

	it('keeps nobody from working: everything waits, in order, and is kept once it can be', async () => {
		const saving = vi.spyOn(store, 'saveParts').mockImplementation(full);
		const { id } = shotAt(2);
		rename('A');
		session.day.change('place', jobId(), { slots: [{ shotId: id, change: { place: 'loft' } }] });
		rename('B');
		await vi.waitFor(() => expect(session.trouble).toBe('full'));
		expect([session.job?.title, shotAt(2).slot.place, session.isSaving]).toEqual([
			'B',
			'loft',
			true
		]);
		saving.mockRestore();
		await session.flush();
		expect([session.trouble, session.isSaving]).toEqual([null, false]);
		store.close();
		await openWindow();
		expect([session.job?.title, shotAt(2).slot.place]).toEqual(['B', 'loft']);
	});

	it('does not erase by halves: it says so, and nothing is gone', async () => {
		vi.spyOn(store, 'eraseJob').mockImplementation(full);
		const before = session.library.shots.length;
		await expect(session.erase(jobId())).rejects.toThrow();
		expect([session.library.jobs.length, session.library.shots.length]).toEqual([1, before]);
	});
});

describe('erasing a job from this device', () => {
	it('tells what went, and nothing of it is left', async () => {
		const { shot } = session;
		if (!shot) throw new Error('no shot');
		session.change({ ...shot, notes: 'once' });
		await session.flush();
		const counts = await session.erase(jobId());
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
		await here.session.erase(id);
		await vi.waitFor(() => expect(there.library.jobs).toEqual([]));
		there.day.change('the title', id, { job: { title: 'back' } });
		await vi.waitFor(() => expect(there.isSaving).toBe(false));
		expect((await here.store.read()).jobs).toEqual([]);
	});
});

describe('the kit', () => {
	const kept = () => vi.waitFor(() => expect(session.isSaving).toBe(false));
	async function reopen() {
		await kept();
		store.close();
		await openWindow();
	}

	it('keeps one’s own spreads, the first time and later, and forgets them', async () => {
		library().putSpreads({ ...ASSUMED, handheldMm: 2 });
		await reopen();
		expect(library().kit.spreads.handheldMm).toBe(2);
		library().putSpreads({ ...ASSUMED, handheldMm: 3, shake: 0.1 });
		await reopen();
		expect(library().kit.spreads).toEqual({ ...ASSUMED, handheldMm: 3, shake: 0.1 });
		library().putSpreads(null);
		await reopen();
		expect(library().kit.spreads).toEqual(ASSUMED);
		expect(library().conflicts).toEqual([]);
	});

	it('keeps a body that was added, changed and taken out', async () => {
		const [preset] = library().kit.bodies;
		if (!preset) throw new Error('no presets');
		const entry = { ...preset, id: 'mine', position: 99 };
		library().putKit(entry);
		await reopen();
		library().putKit({ ...entry, body: { ...entry.body, name: 'Mine' } });
		await reopen();
		expect(library().kit.bodies.at(-1)?.body.name).toBe('Mine');
		library().takeOutOfKit(library().kit.bodies.at(-1) ?? preset);
		await reopen();
		expect(library().kit.bodies.map(({ id }) => id)).not.toContain('mine');
	});
});
