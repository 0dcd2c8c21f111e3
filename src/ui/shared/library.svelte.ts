import type { Shot } from '$core/format/shot';
import type { Job, ShotRecord } from '$data/database';
import { newestJobs, newestShots } from '$data/newest';
import {
	inOrder,
	troubleOf,
	type Contents,
	type ErasedCounts,
	type SetAside,
	type Store,
	type Trouble
} from '$data/store';
import { changed, merged, sameKeys, type DayChange, type DayStep } from './dayChange';

/** Steps of days that can be undone. */
const MOST_STEPS = 200;
/** What the store refused is tried again after so long, ms. */
const AGAIN_MS = 5000;

/**
 * The jobs and shots of this device as the screens show them. Memory is what is shown; the store
 * follows. What it refuses waits, in order, until it takes it.
 */
export class Library {
	jobs = $state.raw<readonly Job[]>([]);
	shots = $state.raw<readonly ShotRecord[]>([]);
	setAside = $state.raw<readonly SetAside[]>([]);
	trouble = $state<Trouble | null>(null);
	#done = $state.raw<readonly DayStep[]>([]);
	#undone = $state.raw<readonly DayStep[]>([]);
	#pending = $state.raw<readonly (() => Promise<unknown>)[]>([]);
	#isRunning = false;
	readonly #store: Store;
	#timer: ReturnType<typeof setTimeout> | undefined;

	readonly #changeShot: (shotId: string, shot: Shot) => void;

	/** @param changeShot changes a shot and keeps it */
	constructor(store: Store, changeShot: (shotId: string, shot: Shot) => void) {
		this.#store = store;
		this.#changeShot = changeShot;
	}

	/** Something of a day is not in the store yet. */
	get isSaving(): boolean {
		return this.#pending.length > 0;
	}
	/** What would be undone, in words; null when nothing would. */
	get undoWords(): string | null {
		return this.#done.at(-1)?.words ?? null;
	}
	get redoWords(): string | null {
		return this.#undone.at(-1)?.words ?? null;
	}

	/** The shots of a job, in order of time. */
	shotsOf(jobId: string | null): readonly ShotRecord[] {
		return this.shots.filter(({ slot }) => slot.jobId === jobId && !slot.isRemoved);
	}

	/** Takes over what the store says, except for records that are being worked on here. */
	follow(contents: Contents, worked: readonly ShotRecord[]): void {
		const workedOn = (shotId: string) => worked.find(({ id }) => id === shotId);
		const isThere = (jobId: string) => !contents.erased.has(jobId);
		this.setAside = contents.setAside;
		this.jobs = newestJobs(this.jobs, contents.jobs).filter(({ id }) => isThere(id));
		this.shots = newestShots(this.shots, contents.shots)
			.filter(({ id, slot }) => isThere(slot.jobId) || workedOn(id))
			.map((one) => {
				const mine = workedOn(one.id);
				return mine ? { ...mine, slot: one.slot } : one;
			})
			.sort(inOrder);
	}

	/** Shows a record in the place of the one with its id; its place in the day stays the known one. */
	show(record: ShotRecord): void {
		const known = this.shots.find(({ id }) => id === record.id);
		const slot = known && known.slot.revision > record.slot.revision ? known.slot : record.slot;
		const shown = { ...record, slot };
		this.shots = known
			? this.shots.map((one) => (one.id === record.id ? shown : one))
			: [...this.shots, shown].sort(inOrder);
	}

	/** Adds shots to a job, and the job if it is new. */
	async add(job: Job, shots: readonly ShotRecord[]): Promise<void> {
		if (!this.jobs.some(({ id }) => id === job.id)) this.jobs = [...this.jobs, job];
		this.shots = [...this.shots, ...shots].sort(inOrder);
		await this.#keep(() => this.#store.addJob(job, shots));
	}

	/** Changes a day in one step that can be undone. */
	change(
		words: string,
		jobId: string,
		after: DayChange,
		gesture: string = crypto.randomUUID()
	): void {
		const before = this.#presentOf(jobId, after);
		this.#apply(jobId, after);
		const last = this.#done.at(-1);
		const step =
			last?.gesture === gesture
				? { ...last, after: merged(last.after, after), before: merged(before, last.before) }
				: { words, jobId, gesture, before, after };
		const others = last?.gesture === gesture ? this.#done.slice(0, -1) : this.#done;
		this.#done = [...others, step].slice(-MOST_STEPS);
		this.#undone = [];
	}

	/** Notes that shots were added to a job, so that undo takes them out again. */
	noteAdded(words: string, records: readonly ShotRecord[]): void {
		const [first] = records;
		if (!first) return;
		const slots = (isRemoved: boolean) => ({
			slots: records.map(({ id }) => ({ shotId: id, change: { isRemoved } }))
		});
		const step = {
			words,
			jobId: first.slot.jobId,
			gesture: first.id,
			before: slots(true),
			after: slots(false)
		};
		this.#done = [...this.#done, step].slice(-MOST_STEPS);
		this.#undone = [];
	}

	undo(): void {
		const step = this.#done.at(-1);
		if (!step) return;
		this.#apply(step.jobId, step.before);
		this.#done = this.#done.slice(0, -1);
		this.#undone = [...this.#undone, step];
	}

	redo(): void {
		const step = this.#undone.at(-1);
		if (!step) return;
		this.#apply(step.jobId, step.after);
		this.#undone = this.#undone.slice(0, -1);
		this.#done = [...this.#done, step];
	}

	/** Erases a job for good. Rejects when the store does not do it; then nothing is gone. */
	async erase(jobId: string): Promise<ErasedCounts> {
		const counts = await this.#store.eraseJob(jobId);
		const isOther = (step: DayStep) => step.jobId !== jobId;
		this.#done = this.#done.filter(isOther);
		this.#undone = this.#undone.filter(isOther);
		this.jobs = this.jobs.filter(({ id }) => id !== jobId);
		this.shots = this.shots.filter(({ slot }) => slot.jobId !== jobId);
		return counts;
	}

	/** Tries again to keep what the store has refused so far. */
	async retry(): Promise<void> {
		clearTimeout(this.#timer);
		if (this.#isRunning) return;
		this.#isRunning = true;
		try {
			for (let next = this.#pending[0]; next; next = this.#pending[0]) {
				await next();
				this.#pending = this.#pending.slice(1);
				this.trouble = null;
			}
		} catch (error) {
			this.trouble = troubleOf(error);
			this.#timer = setTimeout(() => void this.retry(), AGAIN_MS);
		}
		this.#isRunning = false;
	}

	/** What a change would overwrite. */
	#presentOf(jobId: string, { job, slots, shots }: DayChange): DayChange {
		const present = this.jobs.find(({ id }) => id === jobId);
		return {
			...(job && present ? { job: sameKeys(job, present) } : {}),
			slots: (slots ?? []).flatMap(({ shotId, change }) => {
				const record = this.shots.find(({ id }) => id === shotId);
				return record ? [{ shotId, change: sameKeys(change, record.slot) }] : [];
			}),
			shots: (shots ?? []).flatMap(({ shotId }) => {
				const record = this.shots.find(({ id }) => id === shotId);
				return record ? [{ shotId, shot: record.shot }] : [];
			})
		};
	}

	#apply(jobId: string, { job, slots = [], shots = [] }: DayChange): void {
		for (const { shotId, shot } of shots) this.#changeShot(shotId, shot);
		if (job) {
			this.jobs = this.jobs.map((one) =>
				one.id === jobId ? { ...one, ...job, revision: one.revision + 1 } : one
			);
			void this.#keep(() => this.#store.changeJob(jobId, job));
		}
		if (slots.length > 0) {
			this.shots = this.shots
				.map((one) => {
					const found = slots.find(({ shotId }) => shotId === one.id);
					return found ? { ...one, slot: changed(one.slot, found.change) } : one;
				})
				.sort(inOrder);
			void this.#keep(() => this.#store.changeSlots(slots));
		}
	}

	async #keep(action: () => Promise<unknown>): Promise<void> {
		this.#pending = [...this.#pending, action];
		await this.retry();
	}
}
