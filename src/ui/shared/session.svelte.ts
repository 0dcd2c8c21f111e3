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
import type { Job, ShotRecord, Slot } from '$data/database';
import { Store, troubleOf, type Conflict, type Contents, type Trouble } from '$data/store';
import { Library } from './library.svelte';
import { Parked } from './parked.svelte';

/**
 * The open shot and everything around it. Memory is what the screen shows; the store follows a
 * moment later and never holds anything up. When the store fails, the work goes on in memory.
 */

/** While a gesture goes on, it is saved this often, ms. */
const SAVE_EVERY_MS = 200;

export class Session {
	/** False until the store has been read, or has refused. */
	isReady = $state(false);
	readonly library: Library;
	conflict = $state.raw<Conflict | null>(null);
	#trouble = $state<Trouble | null>(null);
	#isSaving = $state(false);

	/** A job that is open although it has no shot. */
	#emptyJobId = $state<string | null>(null);
	#record = $state.raw<ShotRecord | null>(null);
	#history = $state.raw<History | null>(null);
	readonly #store: Store;
	/** First step of the history that the store does not hold yet. */
	#unsavedFrom = Infinity;
	#writing: Promise<void> | null = null;
	#lastWriteAt = 0;
	readonly #parked: Parked;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#gestures = 0;

	constructor(store = new Store()) {
		this.#store = store;
		this.library = new Library(store, (shotId, shot) =>
			shotId === this.shotId ? this.change(shot) : this.#parked.change(shotId, shot)
		);
		this.#parked = new Parked(store, this.library);
	}

	/** Why something is not kept; null while everything is. */
	get trouble(): Trouble | null {
		return this.#trouble ?? this.library.trouble ?? this.#parked.trouble;
	}
	/** Something is not in the store yet. */
	get isSaving(): boolean {
		return this.#isSaving || this.library.isSaving || this.#parked.size > 0;
	}

	/** Begins to follow the store; returns how to stop. Opens a shot as soon as there is one. */
	start(preferredShotId: string | null): () => void {
		return this.#store.watch(
			(contents) => void this.#follow(contents, preferredShotId),
			(error) => {
				this.#trouble = troubleOf(error);
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
	/** The place of the open shot in its day. */
	readonly slot = $derived.by((): Slot | null => {
		const known = this.library.shots.find(({ id }) => id === this.#record?.id);
		return (known ?? this.#record)?.slot ?? null;
	});
	/** The open job: the open shot's, or one without shots. */
	readonly job = $derived.by((): Job | null => {
		const jobId = this.slot?.jobId ?? this.#emptyJobId;
		return this.library.jobs.find(({ id }) => id === jobId) ?? null;
	});
	/** The shots of the open job, in order of time. */
	readonly jobShots = $derived.by(() => this.library.shotsOf(this.job?.id ?? null));
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
		const next = this.library.shots.find(({ id }) => id === shotId);
		if (next) await this.#adopt(next);
	}

	/** Saves the open shot, or parks it if it cannot be saved. False while a conflict is unsettled. */
	async #leave(): Promise<boolean> {
		await this.flush();
		if (this.conflict) return false;
		if (this.#unsavedFrom !== Infinity && this.#record && this.#history) {
			this.#parked.put(this.#record, this.#history);
			this.#unsavedFrom = Infinity;
		}
		return true;
	}

	/** Adds a job with its shots and opens the first. */
	async addJob(job: Job, shots: readonly ShotRecord[]): Promise<void> {
		if (!(await this.#leave())) return;
		await this.library.add(job, shots);
		await this.openJob(job.id);
	}

	/** Opens a job at its first shot, or with none. */
	async openJob(jobId: string): Promise<void> {
		const [first] = this.library.shotsOf(jobId);
		if (first) return this.open(first.id);
		if (!(await this.#leave())) return;
		this.#close();
		this.#emptyJobId = jobId;
	}

	/** Adds a shot to the job its slot names, and opens it. */
	async enter(fresh: ShotRecord): Promise<void> {
		if (!(await this.#leave())) return;
		this.#enter(fresh, startHistory(fresh.shot), 0);
		await this.flush();
	}

	/** Forgets what is unsaved of a job that is about to be erased, and opens another if there is one. */
	async forget(jobId: string): Promise<void> {
		this.#parked.forget(jobId);
		if (this.job?.id !== jobId) return;
		while (this.#writing) await this.#writing;
		clearTimeout(this.#timer);
		this.#unsavedFrom = Infinity;
		this.conflict = null;
		const other = this.library.jobs.find(({ id }) => id !== jobId);
		if (other) await this.openJob(other.id);
		else this.#close();
	}

	#close(): void {
		this.#record = null;
		this.#history = null;
		this.#emptyJobId = null;
		this.#isSaving = false;
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
			const history = record(await this.#parked.historyOf(theirs), mine, this.newGesture('mine'));
			const both =
				keep === 'mine' ? history : record(history, theirs.shot, this.newGesture('theirs'));
			this.#enter({ ...theirs, shot: present(both) }, both, theirs.cursor + 1);
		}
		await this.flush();
	}

	/** Tries again to keep what the store refused. */
	async retry(): Promise<void> {
		await this.flush();
		await this.#parked.save();
		await this.library.retry();
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
		const saved = { ...this.#record, shot: present(history), slot: this.slot ?? this.#record.slot };
		const from = this.#unsavedFrom;
		this.#unsavedFrom = Infinity;
		try {
			const result = await this.#store.save(saved, history, from, job);
			this.#trouble = null;
			if (result.outcome === 'conflict') {
				this.#unsavedFrom = Math.min(from, this.#unsavedFrom);
				this.conflict = { theirs: result.theirs };
			} else {
				this.#record = { ...this.#record, revision: result.revision };
				this.library.show({ ...this.#record, cursor: history.cursor });
				await this.#parked.save();
			}
		} catch (error) {
			this.#unsavedFrom = Math.min(from, this.#unsavedFrom);
			this.#trouble = troubleOf(error);
		} finally {
			this.#writing = null;
			this.#lastWriteAt = Date.now();
			this.#isSaving = this.#unsavedFrom !== Infinity;
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
		this.#isSaving = true;
		this.library.show(shown);
	}

	/** Opens a record as the store holds it, unless something was changed here in the meantime. */
	async #adopt(stored: ShotRecord): Promise<void> {
		const parked = await this.#parked.take(stored.id);
		const history = parked?.history ?? (await this.#parked.historyOf(stored));
		if (this.#unsavedFrom !== Infinity) {
			if (parked) this.#parked.put(parked.record, parked.history);
			return;
		}
		if (parked) return this.#enter(parked.record, history, history.first);
		this.#record = stored;
		this.#history = history;
		this.#emptyJobId = null;
	}

	/** Takes over what the store says, except for a shot that is being worked on here. */
	async #follow(contents: Contents, preferredShotId: string | null): Promise<void> {
		const mine = this.#record;
		const isBusy = this.#writing !== null || this.#unsavedFrom !== Infinity;
		this.library.follow(contents, [...(isBusy && mine ? [mine] : []), ...this.#parked.records]);
		if (!mine && this.#emptyJobId === null) {
			const open = contents.shots.filter(({ slot }) => !slot.isRemoved);
			const first = open.find(({ id }) => id === preferredShotId) ?? open[0];
			if (first) await this.#adopt(first);
			else this.#emptyJobId = this.library.jobs.at(-1)?.id ?? null;
		} else if (mine && !isBusy) {
			const stored = this.library.shots.find(({ id }) => id === mine.id);
			if (!stored) await this.forget(mine.slot.jobId);
			else if (stored.revision > mine.revision) await this.#adopt(stored);
		}
		this.isReady = true;
	}
}
