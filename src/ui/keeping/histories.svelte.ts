/* eslint-disable svelte/prefer-svelte-reactivity -- maps here are replaced whole, or nobody watches them */
import isEqual from 'fast-deep-equal';
import type { Shot } from '$core/format/shot';
import type { ShotRecord } from '$data/store/database';
import { present, withStep, startHistory, type History } from '$data/history';
import type { Conflict, Store } from '$data/store/store';
import type { Library } from './library.svelte';
import type { Sent } from './outbox.svelte';

/** The history of a shot, and from which step on the store does not hold it yet. */
interface Kept {
	readonly history: History;
	readonly unsavedFrom: number;
}

const keyOf = (shotId: string) => `shots ${shotId}`;

/**
 * The steps of shots that were opened or changed here. A shot that is changed without being open (from
 * the day) gets its history from the store before it is saved.
 */
export class Histories {
	/** Shots that another window saved first, and what it has. */
	conflicts = $state.raw<ReadonlyMap<string, Conflict>>(new Map());
	#kept = $state.raw<ReadonlyMap<string, Kept>>(new Map());
	readonly #store: Store;
	readonly #library: Library;

	constructor(store: Store, library: Library) {
		this.#store = store;
		this.#library = library;
	}

	of(shotId: string | null): History | null {
		return (shotId !== null && this.#kept.get(shotId)?.history) || null;
	}

	/** Something of a shot is not in the store yet. */
	isUnsaved(shotId: string): boolean {
		return this.#library.outbox.has(keyOf(shotId));
	}

	/** Reads the history of a shot that is to be opened, unless it is known. */
	async load(stored: ShotRecord): Promise<void> {
		if (this.#kept.has(stored.id) && this.isUnsaved(stored.id)) return;
		const history = await this.#read(stored);
		// changed here meanwhile: that stands
		if (this.isUnsaved(stored.id)) return;
		// of the others only what is unsaved need be remembered
		const others = [...this.#kept].filter(([id]) => this.isUnsaved(id));
		this.#kept = new Map([...others, [stored.id, { history, unsavedFrom: Infinity }]]);
	}

	/** The history as the store holds it, or a new one when it cannot be read. */
	async #read(stored: ShotRecord): Promise<History> {
		try {
			return await this.#store.readHistory(stored);
		} catch {
			return startHistory(stored.shot, stored.cursor);
		}
	}

	/** Begins the history of a new shot, and saves it. */
	begin(fresh: ShotRecord): void {
		this.#library.showShot(fresh);
		this.#move(fresh.id, startHistory(fresh.shot), 0);
	}

	/** Changes a shot as a step of its history. All changes with the same gesture are one step. */
	change(shotId: string, shot: Shot, gesture: string): void {
		const history = this.of(shotId);
		if (history) {
			const next = withStep(history, shot, gesture);
			this.#move(shotId, next, next.cursor);
			return;
		}
		const stored = this.#library.shotOf(shotId);
		if (!stored) return;
		this.#library.showShot({ ...stored, shot });
		this.#library.outbox.post(keyOf(shotId), async () => {
			const before = this.of(shotId) ?? (await this.#read(stored));
			const latest = this.#library.shotOf(shotId)?.shot ?? shot;
			if (!this.of(shotId)) {
				const next = withStep(before, latest, gesture);
				this.#set(shotId, { history: next, unsavedFrom: next.cursor });
			}
			return this.#send(shotId);
		});
	}

	/** Takes up a shot that a window which is gone had on its way: as another step of its history. */
	takeUp(left: ShotRecord, gesture: string): void {
		const known = this.#library.shotOf(left.id);
		if (!known) this.begin({ ...left, revision: 0 });
		// what was put down as text has no keys without a value
		else if (!isEqual(JSON.parse(JSON.stringify(known.shot)), left.shot))
			this.change(left.id, left.shot, gesture);
	}

	/** Goes to another step of a history: undo, redo. */
	go(shotId: string, history: History): void {
		this.#move(shotId, history, history.cursor);
	}

	/** Ends a conflict. Both versions stay in the history, so that undo brings the other one back. */
	async settle(shotId: string, keep: 'mine' | 'theirs', gesture: string): Promise<void> {
		const conflict = this.conflicts.get(shotId);
		const history = this.of(shotId);
		const mine = this.#library.shotOf(shotId);
		if (!conflict || !history || !mine) return;
		const { theirs } = conflict;
		this.#endConflict(shotId);
		if (!theirs) {
			this.#library.showShot({ ...mine, revision: 0 });
			this.#move(shotId, history, history.first);
		} else {
			const withMine = withStep(await this.#read(theirs), mine.shot, `${gesture} mine`);
			const both =
				keep === 'mine' ? withMine : withStep(withMine, theirs.shot, `${gesture} theirs`);
			this.#library.showShot(theirs);
			this.#move(shotId, both, theirs.cursor + 1);
		}
		this.#library.outbox.release(keyOf(shotId));
		await this.#library.outbox.flush();
	}

	/** Forgets what is unsaved of a shot that is erased. */
	forget(shotId: string): void {
		this.#library.outbox.drop(keyOf(shotId));
		this.#endConflict(shotId);
		this.#kept = new Map([...this.#kept].filter(([id]) => id !== shotId));
	}

	#move(shotId: string, history: History, changedFrom: number): void {
		const known = this.#library.shotOf(shotId);
		const before = this.#kept.get(shotId);
		if (!known || before?.history === history) return;
		const unsavedFrom = Math.min(before?.unsavedFrom ?? Infinity, changedFrom);
		this.#set(shotId, { history, unsavedFrom });
		this.#library.showShot({ ...known, shot: present(history) });
		this.#library.outbox.post(keyOf(shotId), () => this.#send(shotId));
	}

	async #send(shotId: string): Promise<Sent> {
		const kept = this.#kept.get(shotId);
		const shown = this.#library.shotOf(shotId);
		if (!kept || !shown || kept.unsavedFrom === Infinity) return 'kept';
		const { history, unsavedFrom } = kept;
		const job = this.#library.jobs.find(({ id }) => id === shown.slot.jobId) ?? null;
		const saved = { ...shown, shot: present(history), cursor: history.cursor };
		const result = await this.#store.save(saved, history, unsavedFrom, job);
		if (result.outcome === 'conflict') {
			this.conflicts = new Map([...this.conflicts, [shotId, { theirs: result.theirs }]]);
			return 'held';
		}
		const now = this.#kept.get(shotId);
		if (now === kept) this.#set(shotId, { history, unsavedFrom: Infinity });
		const latest = this.#library.shotOf(shotId);
		if (latest) {
			const { revision } = result;
			this.#library.showShot({ ...latest, revision, cursor: history.cursor });
		}
		return 'kept';
	}

	#endConflict(shotId: string): void {
		this.conflicts = new Map([...this.conflicts].filter(([id]) => id !== shotId));
	}

	#set(shotId: string, kept: Kept): void {
		this.#kept = new Map([...this.#kept, [shotId, kept]]);
	}
}
