import type { Shot } from '$core/format/shot';
import type { ShotRecord } from '$data/store/database';
import { composed, sameKeys, takenBack, type DayChange, type DayStep } from './dayChange';
import type { Library } from './library.svelte';
import type { Undoing } from './undoing';

/** Steps of days that can be undone. */
const MOST_STEPS = 200;

/** Changes of a day, and taking them back. Undo takes back what this window did, never what another did. */
export class DaySteps implements Undoing {
	#done = $state.raw<readonly DayStep[]>([]);
	#undone = $state.raw<readonly DayStep[]>([]);
	readonly #library: Library;
	readonly #changeShot: (shotId: string, shot: Shot) => void;

	/** @param changeShot changes a shot as a step of its own history */
	constructor(library: Library, changeShot: (shotId: string, shot: Shot) => void) {
		this.#library = library;
		this.#changeShot = changeShot;
	}

	/** What would be undone, in words; null when nothing would. */
	get undoWords(): string | null {
		return this.#done.at(-1)?.words ?? null;
	}
	get redoWords(): string | null {
		return this.#undone.at(-1)?.words ?? null;
	}

	/** Changes a day in one step that can be undone. What cannot be is said, and changes nothing. */
	change(
		words: string,
		jobId: string,
		after: DayChange,
		gesture: string = crypto.randomUUID()
	): void {
		const before = this.#presentOf(jobId, after);
		if (!this.#apply(jobId, after)) return;
		const last = this.#done.at(-1);
		const isSame = last?.gesture === gesture;
		const step = isSame
			? { ...last, after: composed(last.after, after), before: composed(before, last.before) }
			: { words, jobId, gesture, before, after };
		this.#done = [...(isSame ? this.#done.slice(0, -1) : this.#done), step].slice(-MOST_STEPS);
		this.#undone = [];
	}

	/** Notes that shots were added to a job, so that undo takes them out again. */
	noteAdded(words: string, records: readonly ShotRecord[]): void {
		const [first] = records;
		if (!first) return;
		const slots = (isRemoved: boolean) => ({
			slots: records.map(({ id }) => ({ shotId: id, change: { isRemoved } }))
		});
		const { jobId } = first.slot;
		const step = { words, jobId, gesture: first.id, before: slots(true), after: slots(false) };
		this.#done = [...this.#done, step].slice(-MOST_STEPS);
		this.#undone = [];
	}

	get canUndo(): boolean {
		return this.#done.length > 0;
	}
	get canRedo(): boolean {
		return this.#undone.length > 0;
	}

	/** Takes back the last step, or the one of a gesture, if it stands. */
	undo(gesture = this.#done.at(-1)?.gesture): void {
		const step = this.#done.find((one) => one.gesture === gesture);
		if (!step) return;
		this.#goBack(step.jobId, step.after, step.before);
		this.#done = this.#done.filter((one) => one !== step);
		this.#undone = [...this.#undone, step];
	}

	redo(gesture = this.#undone.at(-1)?.gesture): void {
		const step = this.#undone.findLast((one) => one.gesture === gesture);
		if (!step) return;
		this.#goBack(step.jobId, step.before, step.after);
		this.#undone = this.#undone.filter((one) => one !== step);
		this.#done = [...this.#done, step];
	}

	/** Forgets the steps of a job that is erased. */
	forget(jobId: string): void {
		const isOther = (step: DayStep) => step.jobId !== jobId;
		this.#done = this.#done.filter(isOther);
		this.#undone = this.#undone.filter(isOther);
	}

	/** What a change would overwrite. */
	#presentOf(jobId: string, { job, slots = [], shots = [] }: DayChange): DayChange {
		const present = this.#library.jobs.find(({ id }) => id === jobId);
		return {
			...(job && present ? { job: sameKeys(job, present) } : {}),
			slots: slots.flatMap(({ shotId, change }) => {
				const record = this.#library.shotOf(shotId);
				return record ? [{ shotId, change: sameKeys(change, record.slot) }] : [];
			}),
			shots: shots.flatMap(({ shotId }) => {
				const record = this.#library.shotOf(shotId);
				return record ? [{ shotId, shot: record.shot }] : [];
			})
		};
	}

	/** Takes one state of what a step names back to another, leaving what others changed. */
	#goBack(jobId: string, from: DayChange, to: DayChange): void {
		const present = this.#library.jobs.find(({ id }) => id === jobId);
		this.#apply(jobId, {
			...(from.job && to.job && present ? { job: takenBack(from.job, to.job, present) } : {}),
			slots: (to.slots ?? []).flatMap(({ shotId, change }) => {
				const was = from.slots?.find((one) => one.shotId === shotId)?.change ?? {};
				const record = this.#library.shotOf(shotId);
				return record ? [{ shotId, change: takenBack(was, change, record.slot) }] : [];
			}),
			shots: to.shots ?? []
		});
	}

	/** @returns false when it cannot be so; then nothing is changed */
	#apply(jobId: string, { job, slots = [], shots = [] }: DayChange): boolean {
		const isMade = this.#library.attempt(() => {
			if (job) this.#library.changeJob(jobId, job);
			for (const { shotId, change } of slots) this.#library.changeSlot(shotId, change);
		});
		if (isMade) for (const { shotId, shot } of shots) this.#changeShot(shotId, shot);
		return isMade;
	}
}
