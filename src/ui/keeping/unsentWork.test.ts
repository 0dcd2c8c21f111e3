import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { Store } from '$data/store/store';
import { forgetUnsent, unsentOfOthers } from './unsentWork';
import { Session } from './session.svelte';

/** A browser's small storage: what is put into it is there at once. */
function smallStorage(): Storage {
	const methods = {
		getItem: (key: string) => (kept as Record<string, string>)[key] ?? null,
		setItem: (key: string, value: string) => void ((kept as Record<string, string>)[key] = value),
		removeItem: (key: string) => void Reflect.deleteProperty(kept, key)
	};
	const kept = Object.create(methods) as Storage;
	return kept;
}

let number = 0;
let name = '';

beforeEach(() => {
	name = `left ${number++}`;
	vi.stubGlobal('localStorage', smallStorage());
});
afterEach(() => vi.unstubAllGlobals());

async function opened() {
	const session = new Session(new Store(name));
	session.start(null);
	await vi.waitFor(() => expect(session.isReady).toBe(true));
	return session;
}

/** A day is open, and is left with changes that the store never sees. */
async function left(change: (session: Session) => void) {
	const session = await opened();
	const day = sampleDay(0);
	await session.addJob(day.job, day.shots);
	vi.spyOn(Store.prototype, 'saveParts').mockReturnValue(new Promise(() => {}));
	vi.spyOn(Store.prototype, 'save').mockReturnValue(new Promise(() => {}));
	change(session);
	session.leave();
	vi.restoreAllMocks();
	return day;
}

describe('a window that is left in the middle', () => {
	it('leaves what it had on its way to the next one, which keeps it', async () => {
		const day = await left((session) => {
			session.day.change('the notes', session.job?.id ?? '', { job: { notes: 'rain' } });
			if (session.shot) session.change({ ...session.shot, notes: 'in a hurry' });
		});
		const next = await opened();
		expect(next.job?.notes).toBe('rain');
		expect(next.library.shotOf(day.shots[0]?.id ?? '')?.shot.notes).toBe('in a hurry');
		await next.flush();
		expect([next.isSaving, unsentOfOthers()]).toEqual([false, []]);
		const { jobs } = await new Store(name).read();
		expect(jobs[0]?.notes).toBe('rain');
		// and it can be undone
		next.undo();
		expect(next.shot?.notes).not.toBe('in a hurry');
	});

	it('brings nothing back that was kept, although a killed browser has it again', async () => {
		await left((session) =>
			session.day.change('the notes', session.job?.id ?? '', { job: { notes: 'rain' } })
		);
		const [id = '', put] = unsentOfOthers()[0] ?? [];
		const next = await opened();
		await next.flush();
		next.day.change('the notes', next.job?.id ?? '', { job: { notes: 'sun' } });
		await next.flush();
		localStorage.setItem(id, JSON.stringify(put));
		const last = await opened();
		await last.flush();
		expect([last.job?.notes, last.library.conflicts, unsentOfOthers()]).toEqual(['sun', [], []]);
	});

	it('is no trouble where what it left cannot be read', async () => {
		localStorage.setItem('focalis-left 1', '{');
		localStorage.setItem(
			'focalis-left 2',
			'{"parts":[{"kind":"jobs","id":"a","base":1,"mine":2}]}'
		);
		expect(unsentOfOthers()).toEqual([]);
		forgetUnsent('focalis-left 1');
		expect(Object.keys(localStorage)).toEqual(['focalis-left 2']);
	});
});
