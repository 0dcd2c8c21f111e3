import { beforeEach, describe, expect, it, vi } from 'vitest';
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
	name = `two windows ${number++}`;
	await openWindow();
	const day = sampleDay(0);
	await session.addJob(day.job, day.shots);
});

describe('two windows', () => {
	async function pair() {
		const one = session;
		await one.flush();
		await openWindow();
		return { one, two: session };
	}
	const guest = (id: string) => ({
		id,
		name: id,
		build: 'adult' as const,
		eyeHeightM: 1.6,
		glasses: false,
		note: ''
	});
	const addGuest = (to: Session, id: string) => {
		const { job } = to;
		if (!job) throw new Error('no job');
		to.day.change(`adding ${id}`, job.id, { job: { people: [...job.people, guest(id)] } });
	};
	const names = ({ job }: Session) =>
		(job?.people ?? []).map(({ name }) => name).filter((name) => /^(A|B)$/.test(name));

	it('two guests added at the same moment are both there, in both windows', async () => {
		const { one, two } = await pair();
		addGuest(one, 'A');
		addGuest(two, 'B');
		await one.flush();
		await two.flush();
		expect(names(two)).toEqual(['A', 'B']);
		await vi.waitFor(() => expect(names(one)).toEqual(['A', 'B']));
		expect([one.isSaving, two.isSaving]).toEqual([false, false]);
	});

	it('undo takes back what this window did, never what the other did', async () => {
		const { one, two } = await pair();
		addGuest(one, 'A');
		await one.flush();
		await vi.waitFor(() => expect(names(two)).toEqual(['A']));
		addGuest(two, 'B');
		await two.flush();
		await vi.waitFor(() => expect(names(one)).toEqual(['A', 'B']));
		one.day.undo();
		await one.flush();
		expect(names(one)).toEqual(['B']);
		await vi.waitFor(() => expect(names(two)).toEqual(['B']));
		one.day.redo();
		await one.flush();
		expect(names(one).toSorted()).toEqual(['A', 'B']);
	});

	it.each([
		['mine', 'two'],
		['theirs', 'one']
	] as const)('the same words changed by both are asked about: %s', async (keep, title) => {
		const { one, two } = await pair();
		const id = one.job?.id ?? '';
		one.day.change('the title', id, { job: { title: 'one', notes: 'from one' } });
		two.day.change('the title', id, { job: { title: 'two', place: 'from two' } });
		await one.flush();
		await two.flush();
		const [conflict] = two.library.conflicts;
		if (!conflict) throw new Error('nobody was asked');
		expect([two.job?.title, two.isSaving]).toEqual(['two', true]);
		await two.library.settle(conflict, keep);
		expect([two.library.conflicts, two.isSaving]).toEqual([[], false]);
		// what only one of them changed stands either way
		const expected = { title, notes: 'from one', place: 'from two' };
		expect(two.job).toMatchObject(expected);
		await vi.waitFor(() => expect(one.job).toMatchObject(expected));
	});

	const move = (to: Session, index: number, startsAt: string) => {
		const one = to.jobShots[index];
		if (!one) throw new Error('no shot');
		to.day.change('moving', one.slot.jobId, { slots: [{ shotId: one.id, change: { startsAt } }] });
		return one.id;
	};
	const startOf = (of: Session, id: string) => of.library.shotOf(id)?.slot.startsAt;

	it('the order of the day: different shots are both moved, the same one is asked about', async () => {
		const { one, two } = await pair();
		const [day = ''] = one.jobShots[0]?.slot.startsAt.split('T') ?? [];
		const [first, second] = [move(one, 1, `${day}T09:00`), move(two, 2, `${day}T08:00`)];
		await one.flush();
		await two.flush();
		for (const window of [one, two]) {
			await vi.waitFor(() => expect(startOf(window, second)).toBe(`${day}T08:00`));
			await vi.waitFor(() => expect(startOf(window, first)).toBe(`${day}T09:00`));
		}
		move(one, 0, `${day}T07:00`);
		move(two, 0, `${day}T06:00`);
		await one.flush();
		await two.flush();
		const [conflict] = two.library.conflicts;
		if (!conflict) throw new Error('nobody was asked');
		await two.library.settle(conflict, 'theirs');
		expect(startOf(two, second)).toBe(`${day}T07:00`);
	});

	it('one that is closed while it is asked asks first, and leaves the other as it was', async () => {
		const { one, two } = await pair();
		const id = one.job?.id ?? '';
		one.day.change('the notes', id, { job: { notes: 'one' } });
		two.day.change('the notes', id, { job: { notes: 'two' } });
		await one.flush();
		await two.flush();
		expect(two.library.conflicts).toHaveLength(1);
		expect([two.isAtRisk, one.job?.notes]).toEqual([true, 'one']);
		store.close();
		await openWindow();
		expect(session.job?.notes).toBe('one');
	});

	it('different numbers of one lens are put together', async () => {
		const { one, two } = await pair();
		const change = (to: Session, more: object) => {
			const entry = to.library.kit.lenses[0];
			if (!entry) throw new Error('no lens');
			to.library.putKit({ ...entry, lens: { ...entry.lens, ...more } });
		};
		change(one, { blades: 9 });
		change(two, { closestFocusM: 0.3 });
		await one.flush();
		await two.flush();
		expect(two.library.kit.lenses[0]?.lens).toMatchObject({ blades: 9, closestFocusM: 0.3 });
		await vi.waitFor(() => expect(one.library.kit).toEqual(two.library.kit));
	});

	it('a lens that is taken out and comes back is the newer one for the other, too', async () => {
		const { one, two } = await pair();
		const entry = one.library.kit.lenses[0];
		if (!entry) throw new Error('no lens');
		// saved a few times, so that it counts
		for (const blades of [7, 9]) {
			const now = one.library.kit.lenses.find(({ id }) => id === entry.id) ?? entry;
			one.library.putKit({ ...now, lens: { ...now.lens, blades } });
			await one.flush();
		}
		const counted = one.library.kit.lenses.find(({ id }) => id === entry.id);
		if (!counted) throw new Error('it is gone');
		await vi.waitFor(() => expect(two.library.kit).toEqual(one.library.kit));
		one.library.takeOutOfKit(counted);
		await one.flush();
		one.library.putKit({ ...counted, lens: { ...counted.lens, blades: 5 } });
		await one.flush();
		await vi.waitFor(() => expect(two.library.kit).toEqual(one.library.kit));
		expect(two.library.kit.lenses.find(({ id }) => id === entry.id)?.lens.blades).toBe(5);
	});
});
