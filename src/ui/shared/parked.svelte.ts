import type { Shot } from '$core/format/shot';
import type { ShotRecord } from '$data/database';
import { record as recorded, startHistory, type History } from '$data/history';
import { troubleOf, type Store, type Trouble } from '$data/store';
import type { Library } from './library.svelte';

interface Entry {
	record: ShotRecord;
	readonly history: Promise<History>;
}

/**
 * Shots that are not open and not in the store yet: left while the store did not take them, or
 * changed from the day. One that another window changed meanwhile stays here until it is opened,
 * where the conflict shows.
 */
export class Parked {
	/** How many wait. */
	size = $state(0);
	/** Why the store does not take them. */
	trouble = $state<Trouble | null>(null);
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- only its size is shown
	readonly #entries = new Map<string, Entry>();
	readonly #store: Store;
	readonly #library: Library;

	constructor(store: Store, library: Library) {
		this.#store = store;
		this.#library = library;
	}

	get records(): ShotRecord[] {
		return [...this.#entries.values()].map(({ record }) => record);
	}

	put(record: ShotRecord, history: History): void {
		this.#set({ record, history: Promise.resolve(history) });
	}

	/** Changes a shot, as a step of its history, and saves it. */
	change(shotId: string, shot: Shot): void {
		const stored = this.#library.shots.find(({ id }) => id === shotId);
		if (!stored) return;
		const record = { ...stored, shot };
		const before = this.#entries.get(shotId)?.history ?? this.historyOf(stored);
		const history = before.then((one) => recorded(one, shot, crypto.randomUUID()));
		this.#set({ record, history });
		this.#library.show(record);
		void this.save();
	}

	/** The history of a shot as the store holds it, or a new one when it cannot be read. */
	async historyOf(stored: ShotRecord): Promise<History> {
		try {
			return await this.#store.readHistory(stored);
		} catch {
			return startHistory(stored.shot, stored.cursor);
		}
	}

	/** Takes one out, to be opened. */
	async take(shotId: string): Promise<{ record: ShotRecord; history: History } | null> {
		const entry = this.#entries.get(shotId);
		if (!entry) return null;
		const history = await entry.history;
		this.#delete(shotId);
		return { record: entry.record, history };
	}

	/** Forgets everything of a job. */
	forget(jobId: string): void {
		for (const [id, { record }] of this.#entries) {
			if (record.slot.jobId === jobId) this.#delete(id);
		}
	}

	/** Saves what the store takes. */
	async save(): Promise<void> {
		try {
			await this.#saveAll();
			this.trouble = null;
		} catch (error) {
			this.trouble = troubleOf(error);
		}
	}

	async #saveAll(): Promise<void> {
		for (const [id, entry] of this.#entries) {
			const history = await entry.history;
			const { jobs, shots } = this.#library;
			const slot = shots.find((one) => one.id === id)?.slot ?? entry.record.slot;
			const saved = { ...entry.record, slot, cursor: history.cursor };
			const job = jobs.find((one) => one.id === slot.jobId) ?? null;
			const result = await this.#store.save(saved, history, history.first, job);
			if (result.outcome === 'conflict') continue;
			const { revision } = result;
			const now = this.#entries.get(id);
			// changed again meanwhile: what was saved is what the next save starts from
			if (now === entry) this.#delete(id);
			else if (now) now.record = { ...now.record, revision };
			this.#library.show({ ...(now ?? entry).record, revision, cursor: history.cursor });
		}
	}

	#set(entry: Entry): void {
		this.#entries.set(entry.record.id, entry);
		this.size = this.#entries.size;
	}

	#delete(shotId: string): void {
		this.#entries.delete(shotId);
		this.size = this.#entries.size;
	}
}
