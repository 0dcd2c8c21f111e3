import type { Shot } from '$core/format/shot';
import {
	canRedo,
	canUndo,
	present,
	previous,
	record,
	redo,
	startHistory,
	undo,
	type History
} from '$data/history';
import type { Job, ShotRecord } from '$data/database';
import { newest } from '$data/newest';
import {
	Store,
	troubleOf,
	type Conflict,
	type Contents,
	type SetAside,
	type Trouble
} from '$data/store';

/**
 * The open shot and everything around it. Memory is what the screen shows; the store follows a
 * moment later and never holds anything up. When the store fails, the work goes on in memory.
 */

/** While a gesture goes on, it is saved this often, ms. */
const SAVE_EVERY_MS = 200;

export class Session {
	/** False until the store has been read, or has refused. */
	isReady = $state(false);
	jobs = $state.raw<readonly Job[]>([]);
	shots = $state.raw<readonly ShotRecord[]>([]);
	setAside = $state.raw<readonly SetAside[]>([]);
	trouble = $state<Trouble | null>(null);
	conflict = $state.raw<Conflict | null>(null);
	/** Something is not in the store yet. */
	isSaving = $state(false);

	#record = $state.raw<ShotRecord | null>(null);
	#history = $state.raw<History | null>(null);
	readonly #store: Store;
	/** First step of the history that the store does not hold yet. */
	#unsavedFrom = Infinity;
	#writing: Promise<void> | null = null;
	#lastWriteAt = 0;
	/** Shots left while the store did not take them; saved when it does again. */
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- not shown anywhere
	readonly #parked = new Map<string, { record: ShotRecord; history: History }>();
	#timer: ReturnType<typeof setTimeout> | undefined;
	#gestures = 0;

	constructor(store = new Store()) {
		this.#store = store;
	}

	/** Begins to follow the store; returns how to stop. Opens a shot as soon as there is one. */
	start(preferredShotId: string | null): () => void {
		return this.#store.watch(
			(contents) => void this.#follow(contents, preferredShotId),
			(error) => {
				this.trouble = troubleOf(error);
				this.isReady = true;
			}
		);
	}

	/** Changes only when another shot is opened, not with every change to it. */
	readonly shotId = $derived(this.#record?.id ?? null);
	get shot(): Shot | null {
		return this.#history ? present(this.#history) : null;
	}
	readonly before = $derived.by(() => this.#history && previous(this.#history));
	get job(): Job | null {
		return this.jobs.find(({ id }) => id === this.#record?.jobId) ?? null;
	}
	/** The shots of the open job, in their order. */
	get jobShots(): readonly ShotRecord[] {
		return this.shots.filter(({ jobId, isRemoved }) => jobId === this.#record?.jobId && !isRemoved);
	}
	readonly canUndo = $derived.by(() => this.#history !== null && canUndo(this.#history));
	readonly canRedo = $derived.by(() => this.#history !== null && canRedo(this.#history));

	/** A name for a gesture that no other one has. */
	newGesture(kind: string): string {
		this.#gestures += 1;
		return `${kind} ${Date.now()}.${this.#gestures}`;
	}

	/** Changes the open shot. All changes with the same gesture are undone together. */
	change(shot: Shot, gesture = this.newGesture('edit')): void {
		if (!this.#history) return;
		this.#setHistory(record(this.#history, shot, gesture));
	}

	undo(): void {
		if (this.#history) this.#setHistory(undo(this.#history));
	}

	redo(): void {
		if (this.#history) this.#setHistory(redo(this.#history));
	}

	/** Opens another shot, once what is unsaved of this one is saved, or parked if it cannot be. */
	async open(shotId: string): Promise<void> {
		if (!(await this.#leave())) return;
		const next = this.shots.find(({ id }) => id === shotId);
		if (next) await this.#adopt(next);
	}

	/** Saves the open shot, or parks it if it cannot be saved. False while a conflict is unsettled. */
	async #leave(): Promise<boolean> {
		await this.flush();
		if (this.conflict) return false;
		if (this.#unsavedFrom !== Infinity && this.#record && this.#history) {
			this.#parked.set(this.#record.id, { record: this.#record, history: this.#history });
			this.#unsavedFrom = Infinity;
		}
		return true;
	}

	/** Adds a job with its shots and opens the first. */
	async addJob(job: Job, shots: readonly ShotRecord[]): Promise<void> {
		if (!(await this.#leave())) return;
		this.jobs = [...this.jobs, job];
		this.shots = [...this.shots, ...shots];
		try {
			await this.#store.addJob(job, shots);
			this.trouble = null;
		} catch (error) {
			this.trouble = troubleOf(error);
			for (const one of shots) {
				this.#parked.set(one.id, { record: one, history: startHistory(one.shot, one.cursor) });
			}
		}
		const [first] = shots;
		if (first) await this.#adopt(first);
	}

	/** Adds a shot to the open job, or to a new one, and opens it. */
	async addShot(shot: Shot): Promise<void> {
		const job = this.job;
		const fresh: ShotRecord = {
			id: crypto.randomUUID(),
			jobId: job?.id ?? crypto.randomUUID(),
			position: Math.max(0, ...this.jobShots.map(({ position }) => position)) + 1,
			revision: 0,
			cursor: 0,
			isRemoved: false,
			shot
		};
		if (!job) {
			const today = { id: fresh.jobId, title: 'My shots', createdAt: Date.now(), isSample: false };
			return this.addJob(today, [fresh]);
		}
		if (!(await this.#leave())) return;
		this.#enter(fresh, startHistory(shot), 0);
		await this.flush();
	}

	/** Takes the open shot out of its job, or puts it back. */
	async setRemoved(shotId: string, isRemoved: boolean): Promise<void> {
		await this.open(shotId);
		if (this.#record?.id !== shotId || !this.#history) return;
		this.#enter({ ...this.#record, isRemoved }, this.#history, this.#history.cursor);
		await this.flush();
		const [next] = this.jobShots;
		if (isRemoved && next) await this.open(next.id);
	}

	/** Ends a conflict. Both versions stay in the history, so that undo brings the other one back. */
	async settle(keep: 'mine' | 'theirs'): Promise<void> {
		const { conflict } = this;
		if (!conflict || !this.#record || !this.#history) return;
		const mine = present(this.#history);
		const { theirs } = conflict;
		this.conflict = null;
		if (!theirs) {
			this.#enter({ ...this.#record, revision: 0 }, this.#history, this.#history.first);
		} else {
			const history = record(await this.#readHistory(theirs), mine, this.newGesture('mine'));
			const both =
				keep === 'mine' ? history : record(history, theirs.shot, this.newGesture('theirs'));
			this.#enter({ ...theirs, shot: present(both) }, both, theirs.cursor + 1);
		}
		await this.flush();
	}

	/** Saves now what is unsaved. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		while (this.#writing) await this.#writing;
		if (this.conflict || this.#unsavedFrom === Infinity) return;
		this.#writing = this.#write();
		await this.#writing;
	}

	async #write(): Promise<void> {
		const { job } = this;
		const history = this.#history;
		if (!this.#record || !history) return;
		const saved = { ...this.#record, shot: present(history) };
		const from = this.#unsavedFrom;
		this.#unsavedFrom = Infinity;
		try {
			const result = await this.#store.save(saved, history, from, job);
			this.trouble = null;
			if (result.outcome === 'conflict') {
				this.#unsavedFrom = Math.min(from, this.#unsavedFrom);
				this.conflict = { theirs: result.theirs };
			} else {
				this.#record = { ...this.#record, revision: result.revision };
				this.#replaceInList({ ...this.#record, cursor: history.cursor });
				await this.#saveParked();
			}
		} catch (error) {
			this.#unsavedFrom = Math.min(from, this.#unsavedFrom);
			this.trouble = troubleOf(error);
		} finally {
			this.#writing = null;
			this.#lastWriteAt = Date.now();
			this.isSaving = this.#unsavedFrom !== Infinity;
		}
	}

	/** One that another window changed meanwhile stays parked: the conflict shows when it is opened. */
	async #saveParked(): Promise<void> {
		for (const [id, { record: parked, history }] of this.#parked) {
			const job = this.jobs.find((one) => one.id === parked.jobId) ?? null;
			const { outcome } = await this.#store.save(parked, history, history.first, job);
			if (outcome === 'saved') this.#parked.delete(id);
		}
	}

	#setHistory(history: History): void {
		if (!this.#record || history === this.#history) return;
		this.#enter({ ...this.#record, shot: present(history) }, history, history.cursor);
		// the first change is saved at once, the rest of a gesture every now and then
		const wait = Math.max(0, this.#lastWriteAt + SAVE_EVERY_MS - Date.now());
		this.#timer ??= setTimeout(() => void this.flush(), wait);
	}

	/** Shows a record and its history, unsaved from a step on. */
	#enter(shown: ShotRecord, history: History, unsavedFrom: number): void {
		this.#record = shown;
		this.#history = history;
		this.#unsavedFrom = Math.min(this.#unsavedFrom, unsavedFrom);
		this.isSaving = true;
		this.#replaceInList(shown);
	}

	#replaceInList(shown: ShotRecord): void {
		const known = this.shots.some(({ id }) => id === shown.id);
		this.shots = known
			? this.shots.map((one) => (one.id === shown.id ? shown : one))
			: [...this.shots, shown];
	}

	/** Opens a record as the store holds it, unless something was changed here in the meantime. */
	async #adopt(stored: ShotRecord): Promise<void> {
		const parked = this.#parked.get(stored.id);
		const history = parked?.history ?? (await this.#readHistory(stored));
		if (this.#unsavedFrom !== Infinity) return;
		this.#parked.delete(stored.id);
		if (parked) return this.#enter(parked.record, history, history.first);
		this.#record = stored;
		this.#history = history;
	}

	async #readHistory(stored: ShotRecord): Promise<History> {
		try {
			return await this.#store.readHistory(stored);
		} catch {
			return startHistory(stored.shot, stored.cursor);
		}
	}

	/** Takes over what the store says, except for a shot that is being worked on here. */
	async #follow(contents: Contents, preferredShotId: string | null): Promise<void> {
		this.jobs = newest(this.jobs, contents.jobs);
		this.setAside = contents.setAside;
		const mine = this.#record;
		const isBusy = this.#writing !== null || this.#unsavedFrom !== Infinity;
		this.shots = newest(this.shots, contents.shots)
			.map((one) => (isBusy && one.id === mine?.id ? mine : one))
			.sort((a, b) => a.position - b.position);
		if (!mine) {
			const open = contents.shots.filter(({ isRemoved }) => !isRemoved);
			const first = open.find(({ id }) => id === preferredShotId) ?? open[0];
			if (first) await this.#adopt(first);
		} else if (!isBusy) {
			const stored = contents.shots.find(({ id }) => id === mine.id);
			if (stored && stored.revision > mine.revision) await this.#adopt(stored);
		}
		this.isReady = true;
	}
}
