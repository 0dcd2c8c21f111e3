import type { Shot } from '$core/format/shot';
import { canRedo, canUndo, previous, redo, undo } from '$data/history';
import type { Job, ShotRecord, Slot } from '$data/store/database';
import type { Contents, SetAside } from '$data/store/contents';
import { Store, type Conflict, type ErasedCounts } from '$data/store/store';
import { troubleOf, type Trouble } from '$data/store/trouble';
import { CardSteps } from './cardSteps.svelte';
import { DoneSteps } from './doneSteps.svelte';
import { DaySteps } from './daySteps.svelte';
import { Histories } from './histories.svelte';
import { forgetUnsent, unsentOfOthers, saveUnsent } from './unsentWork';
import { Library } from './library.svelte';
import { Outbox } from './outbox.svelte';
import type { Undoing } from './undoing';

/** A store that has not answered for so long is gone on without, ms. */
const SILENT_MS = 4000;

/** The open shot: a cursor over the library, which holds everything. */
export class Session implements Undoing {
	/** False until the store has been read, or has refused. */
	isReady = $state(false);
	/** What was done that is told once, wherever one is now. */
	news = $state<string | null>(null);
	readonly outbox = new Outbox();
	readonly library: Library;
	readonly day: DaySteps;
	readonly card = new CardSteps();
	readonly review = new DoneSteps();
	readonly bench = new DoneSteps();
	/** A step of a shot has no words of its own. */
	readonly undoWords = null;
	readonly redoWords = null;
	readonly #histories: Histories;
	/** The store could not even be opened. */
	#refused = $state<Trouble | null>(null);
	#shotId = $state<string | null>(null);
	/** A job that is open although it has no shot. */
	#emptyJobId = $state<string | null>(null);
	readonly #store: Store;
	#gestures = 0;

	constructor(store = new Store()) {
		this.#store = store;
		this.library = new Library(store, this.outbox);
		this.#histories = new Histories(store, this.library);
		this.day = new DaySteps(this.library, (shotId, shot) =>
			this.#histories.change(shotId, shot, this.newGesture('day'))
		);
	}

	/** Why something is not kept; null while everything is. */
	get trouble(): Trouble | null {
		// what a newer Focalis keeps is said whatever else goes wrong for it
		return this.#refused === 'newer' ? 'newer' : (this.outbox.trouble ?? this.#refused);
	}
	/** Something is not in the store yet. */
	get isSaving(): boolean {
		return this.outbox.isBusy;
	}
	/** Leaving now would lose something: the store refuses it, or an answer of the user is missing. */
	get isAtRisk(): boolean {
		const isAsking = this.#histories.conflicts.size > 0 || this.library.conflicts.length > 0;
		return this.isSaving && (this.trouble !== null || isAsking);
	}
	/** What another window made of the open shot meanwhile. */
	get conflict(): Conflict | null {
		return (this.#shotId !== null && this.#histories.conflicts.get(this.#shotId)) || null;
	}

	/** Begins to follow the store; returns how to stop. Opens a shot as soon as there is one. */
	start(preferredShotId: string | null): () => void {
		let isFirst = true;
		// one that never answers keeps nobody waiting: what it says later is taken over then
		const impatient = setTimeout(() => {
			if (this.isReady) return;
			this.#refused = 'silent';
			this.isReady = true;
		}, SILENT_MS);
		const stop = this.#store.watch(
			(contents) => {
				void this.#follow(contents, isFirst, preferredShotId);
				isFirst = false;
			},
			(error) => {
				this.#refused = troubleOf(error);
				this.isReady = true;
			}
		);
		return () => {
			clearTimeout(impatient);
			stop();
		};
	}

	/** What lies in the store, whatever wrote it, as a text for a file. */
	async rawCopy(): Promise<string> {
		return JSON.stringify(await this.#store.rawCopy());
	}

	/** Puts a record back that had been set aside, mended. @throws Invalid when it is still none */
	async mend({ id, table }: SetAside, record: unknown): Promise<void> {
		if (table === 'erased') return;
		const contents = await this.#store.mend(table, { ...(record as object), id });
		const { library } = this;
		library.setAside = library.setAside.filter((one) => one.id !== id || one.table !== table);
		library.follow(contents, false);
	}

	/** Changes only when another shot is opened, not with every change to it. */
	get shotId(): string | null {
		return this.#shotId;
	}
	readonly #record = $derived.by(() => this.library.shotOf(this.#shotId));
	readonly #history = $derived.by(() => this.#histories.of(this.#shotId));
	get shot(): Shot | null {
		return this.#record?.shot ?? null;
	}
	readonly before = $derived.by(() => this.#history && previous(this.#history));
	/** The place of the open shot in its day. */
	readonly slot = $derived.by((): Slot | null => this.#record?.slot ?? null);
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
		if (this.#shotId) this.#histories.change(this.#shotId, shot, gesture);
	}

	undo(): void {
		if (this.#shotId && this.#history) this.#histories.go(this.#shotId, undo(this.#history));
	}

	redo(): void {
		if (this.#shotId && this.#history) this.#histories.go(this.#shotId, redo(this.#history));
	}

	/** Opens another shot, unless an unsettled conflict of this one stands in the way. */
	async open(shotId: string): Promise<void> {
		if (!(await this.#leave())) return;
		const next = this.library.shotOf(shotId);
		if (next) await this.#open(next);
	}

	/** Saves what is unsaved. False while a conflict of the open shot is unsettled. */
	async #leave(): Promise<boolean> {
		await this.flush();
		return this.conflict === null;
	}

	async #open(record: ShotRecord): Promise<void> {
		await this.#histories.load(record);
		this.#shotId = record.id;
		this.#emptyJobId = null;
	}

	/** Adds a job with its shots and opens one of them, the first if none is named; shown at once, and saved then. */
	async addJob(job: Job, shots: readonly ShotRecord[], shotId?: string): Promise<void> {
		if (!(await this.#leave())) return;
		this.library.add(job, shots);
		const opened = this.library.shotOf(shotId ?? null) ?? this.library.shotsOf(job.id)[0];
		if (opened) await this.#open(opened);
		else {
			this.#shotId = null;
			this.#emptyJobId = job.id;
		}
		await this.flush();
	}

	/** Opens a job at its first shot, or with none. */
	async openJob(jobId: string): Promise<void> {
		const [first] = this.library.shotsOf(jobId);
		if (first) return this.open(first.id);
		if (!(await this.#leave())) return;
		this.#shotId = null;
		this.#emptyJobId = jobId;
	}

	/** Adds a shot to the job its slot names, and opens it. */
	async enter(fresh: ShotRecord): Promise<void> {
		if (!(await this.#leave())) return;
		this.#histories.begin(fresh);
		this.#shotId = fresh.id;
		this.#emptyJobId = null;
		await this.flush();
	}

	/** Erases a job for good, and opens another if there is one. Rejects when the store does not do it; then nothing is gone. */
	async erase(jobId: string): Promise<ErasedCounts> {
		const itsShots = this.library.shots.filter(({ slot }) => slot.jobId === jobId);
		const counts = await this.library.erase(jobId);
		await this.#forget(jobId, itsShots);
		return counts;
	}

	/** Forgets what is unsaved of a job that is erased, and opens another if none is open now. */
	async #forget(jobId: string, itsShots: readonly ShotRecord[]): Promise<void> {
		for (const { id } of itsShots) this.#histories.forget(id);
		this.day.forget(jobId);
		if (this.job && this.job.id !== jobId) return;
		this.#shotId = null;
		this.#emptyJobId = null;
		const other = this.library.jobs.find(({ id }) => id !== jobId);
		if (other) await this.openJob(other.id);
	}

	/** Ends a conflict. Both versions stay in the history, so that undo brings the other one back. */
	async settle(keep: 'mine' | 'theirs'): Promise<void> {
		if (this.#shotId) await this.#histories.settle(this.#shotId, keep, this.newGesture('settle'));
	}

	/** Saves now what is unsaved; also tries again what the store refused. */
	flush(): Promise<void> {
		return this.outbox.flush();
	}

	/** The page is left: what the store will not get in time is put down for the next one. */
	leave(): void {
		const id = saveUnsent(this.library.unsent);
		if (id !== null) this.#takeAway(id);
		void this.flush();
	}

	/** When the store has everything that waits before, what was put down is of no use any more. */
	#takeAway(id: string): void {
		this.outbox.post(id, async () => {
			await this.#store.noteGone(id);
			forgetUnsent(id);
			return 'kept';
		});
	}

	/** What windows that are gone had on their way goes on from here. */
	#takeUp({ erased }: Contents): void {
		for (const [id, left] of unsentOfOthers()) {
			if (!erased.has(id)) {
				this.library.takeUp(left, erased);
				for (const shot of left.shots) {
					if (!erased.has(shot.slot.jobId)) this.#histories.takeUp(shot, this.newGesture('left'));
				}
			}
			this.#takeAway(id);
		}
	}

	/** Takes over what the store says, except for what is being worked on here. */
	async #follow(
		contents: Contents,
		isFirst: boolean,
		preferredShotId: string | null
	): Promise<void> {
		const before = this.#record;
		this.#refused = null;
		this.library.follow(contents, isFirst);
		if (isFirst) this.#takeUp(contents);
		const now = this.#record;
		if (before && !now) await this.#forget(before.slot.jobId, [before]);
		else if (before && now && now.revision > before.revision) await this.#histories.load(now);
		else if (!now && this.#emptyJobId === null) {
			const open = this.library.shots.filter(({ slot }) => !slot.isRemoved);
			const first = open.find(({ id }) => id === preferredShotId) ?? open[0];
			if (first) await this.#open(first);
			else this.#emptyJobId = this.library.jobs.at(-1)?.id ?? null;
		}
		this.isReady = true;
	}
}
