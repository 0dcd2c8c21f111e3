/* eslint-disable svelte/prefer-svelte-reactivity -- maps here are replaced whole, or nobody watches them */
import type { z } from 'zod';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import { byPosition, inOrder, type Contents, type SetAside } from '$data/store/contents';
import {
	JobSchema,
	type Job,
	type KitBody,
	type KitLens,
	type MySpreads,
	type ShotRecord,
	type Slot
} from '$data/store/database';
import { PRESET_KIT, type KitContents, type MeasuredFrames } from '$data/kitContents';
import { merged } from '$data/store/merge';
import { PART_SCHEMAS, type PartConflict, type PartsOf } from '$data/store/parts';
import type { ErasedCounts, Store } from '$data/store/store';
import { Invalid, validated } from '$data/store/valid';
import { mergedWithStore } from './followed';
import type { UnsentWork, UnsentPart } from './unsentWork';
import { Outbox, type Sent } from './outbox.svelte';

const keyOf = (kind: string, id: string) => `${kind} ${id}`;

/**
 * The jobs, shots and kit of this device as the screens show them: the only copy in memory. Changes go
 * through the outbox, a record at a time, part by part.
 */
export class Library {
	jobs = $state.raw<readonly Job[]>([]);
	shots = $state.raw<readonly ShotRecord[]>([]);
	#bodies = $state.raw<readonly KitBody[]>(PRESET_KIT.bodies);
	#lenses = $state.raw<readonly KitLens[]>(PRESET_KIT.lenses);
	/** Null until somebody measures their own. */
	#spreads = $state.raw<MySpreads | null>(null);
	/** Counts changes of photographs that were kept. */
	photographs = $state(0);
	setAside = $state.raw<readonly SetAside[]>([]);
	/** What waits for the user to say what shall stand. */
	conflicts = $state.raw<readonly PartConflict[]>([]);
	readonly outbox: Outbox;
	readonly #store: Store;
	/** What each changed record was when it was changed here first, by its letter. */
	readonly #bases = new Map<string, Omit<UnsentPart, 'mine'>>();
	/** Jobs and shots that were added and are on their way, by their letters. */
	readonly #added = new Map<string, { readonly job: Job; readonly shots: readonly ShotRecord[] }>();

	constructor(store: Store, outbox: Outbox) {
		this.#store = store;
		this.outbox = outbox;
	}

	readonly kit = $derived.by((): KitContents => ({
		bodies: this.#bodies,
		lenses: this.#lenses,
		spreads: this.#spreads?.spreads ?? ASSUMED,
		measured: this.#spreads?.measured ?? {}
	}));

	/** The shots of a job, in order of time. */
	shotsOf(jobId: string | null): readonly ShotRecord[] {
		return this.shots.filter(({ slot }) => slot.jobId === jobId && !slot.isRemoved);
	}

	shotOf(shotId: string | null): ShotRecord | null {
		return this.shots.find(({ id }) => id === shotId) ?? null;
	}

	/** Takes over what the store says, except for records that are on their way to it. */
	follow(contents: Contents, isFirst: boolean): void {
		const isOurs = (kind: string, id: string) => this.outbox.has(keyOf(kind, id));
		const known = {
			jobs: this.jobs,
			shots: this.shots,
			bodies: this.#bodies,
			lenses: this.#lenses
		};
		const now = mergedWithStore(known, contents, isOurs, isFirst);
		this.setAside = [...this.setAside, ...contents.setAside];
		[this.jobs, this.shots] = [now.jobs, now.shots];
		[this.#bodies, this.#lenses] = [now.bodies, now.lenses];
		const [spreads] = contents.spreads;
		const isNewer = spreads && spreads.revision >= (this.#spreads?.revision ?? 0);
		if (isNewer && !isOurs('spreads', 'mine')) this.#spreads = spreads;
	}

	/** Shows a shot in the place of the one with its id; its place in the day stays the known one. */
	showShot(record: ShotRecord): void {
		const known = this.shotOf(record.id);
		this.shots = known
			? this.shots.map((one) => (one === known ? { ...record, slot: known.slot } : one))
			: [...this.shots, record].sort(inOrder);
	}

	/** Adds shots to a job, and the job if it is new. */
	add(job: Job, shots: readonly ShotRecord[]): void {
		validated(JobSchema, job);
		if (!this.jobs.some(({ id }) => id === job.id)) this.jobs = [...this.jobs, job];
		this.shots = [...this.shots, ...shots].sort(inOrder);
		const key = `added ${job.id} ${shots[0]?.id ?? ''}`;
		this.#added.set(key, { job, shots });
		this.outbox.post(key, async () => {
			await this.#store.addJob(job, shots);
			this.#added.delete(key);
			return 'kept';
		});
	}

	/** Changes what is said of a job. @throws Invalid when that cannot be; then nothing is changed */
	changeJob(id: string, change: Partial<Job>): void {
		const job = this.jobs.find((one) => one.id === id);
		if (job) this.#change('jobs', id, { ...job, ...change });
	}

	/** Changes a shot's place in its day. @throws Invalid when that cannot be; then nothing is changed */
	changeSlot(shotId: string, change: Partial<Slot>): void {
		const slot = this.shotOf(shotId)?.slot;
		if (slot) this.#change('slots', shotId, { ...slot, ...change });
	}

	/** Adds an entry of the kit, or changes the one with its id. @throws Invalid when it is none */
	putKit(entry: Omit<KitBody, 'revision'> | Omit<KitLens, 'revision'>): void {
		if ('body' in entry) this.#change('bodies', entry.id, { revision: 0, ...entry });
		else this.#change('lenses', entry.id, { revision: 0, ...entry });
	}

	takeOutOfKit(entry: KitBody | KitLens): void {
		this.#change('body' in entry ? 'bodies' : 'lenses', entry.id, null);
	}

	/** Changes one's own spreads; null goes back to the assumptions. */
	putSpreads(spreads: Spreads | null, measured: MeasuredFrames = {}): void {
		this.#change('spreads', 'mine', { id: 'mine', revision: 0, spreads, measured });
	}

	/** Makes a change; one that cannot be is said, and changes nothing. Tells whether it was made. */
	attempt(change: () => void): boolean {
		try {
			change();
			this.outbox.refusal = null;
			return true;
		} catch (error) {
			if (!(error instanceof Invalid)) throw error;
			this.outbox.refusal = error.message;
			return false;
		}
	}

	/** All that is on its way, as it stands. */
	get unsent(): UnsentWork {
		const parts = [...this.#bases]
			.filter(([key]) => this.outbox.has(key))
			.map(([, one]) => ({ ...one, mine: this.#find(one.kind, one.id) }));
		const shots = this.shots.filter(({ id }) => this.outbox.has(keyOf('shots', id)));
		return { parts, added: [...this.#added.values()], shots };
	}

	/** Takes up changes that a window which is gone had on their way. */
	takeUp({ parts, added }: Pick<UnsentWork, 'parts' | 'added'>, erased: ReadonlySet<string>): void {
		for (const { job, shots } of added) {
			const missing = shots.filter(({ id }) => !this.shotOf(id));
			if (!erased.has(job.id)) this.add(job, missing);
		}
		for (const { kind, id, base, mine } of parts) {
			const key = keyOf(kind, id);
			// what is gone stays away
			if ((kind === 'jobs' || kind === 'slots') && !this.#find(kind, id)) continue;
			this.#bases.set(key, { kind, id, base });
			this.#show(kind, id, mine);
			this.outbox.post(key, () => this.#send(kind, id));
		}
	}

	/** Ends a conflict. What only one of the windows changed is taken either way. */
	async settle({ key, kind, id, theirs }: PartConflict, keep: 'mine' | 'theirs'): Promise<void> {
		const base = this.#bases.get(key)?.base ?? null;
		const mine = this.#find(kind, id);
		this.conflicts = this.conflicts.filter((one) => one.key !== key);
		this.#bases.set(key, { kind, id, base: theirs });
		if (keep === 'theirs') {
			this.#show(
				kind,
				id,
				theirs && mine ? (merged<unknown>(base, theirs, mine).value as never) : theirs
			);
		} else if (theirs && mine) {
			this.#show(kind, id, merged<unknown>(base, mine, theirs).value as never);
		}
		this.outbox.release(key);
		await this.outbox.flush();
	}

	/** Erases a job for good. Rejects when the store does not do it; then nothing is gone. */
	async erase(jobId: string): Promise<ErasedCounts> {
		await this.outbox.flush();
		const counts = await this.#store.eraseJob(jobId);
		this.outbox.drop(keyOf('jobs', jobId));
		for (const { id } of this.shots.filter(({ slot }) => slot.jobId === jobId)) {
			this.outbox.drop(keyOf('slots', id));
		}
		this.jobs = this.jobs.filter(({ id }) => id !== jobId);
		this.shots = this.shots.filter(({ slot }) => slot.jobId !== jobId);
		return counts;
	}

	/** Keeps the photograph of a shot, or forgets it. Rejects when the store does not do it. */
	async keepPhotograph(shotId: string, jpeg: Blob | null): Promise<void> {
		await this.#store.keepPhotograph(shotId, jpeg);
		this.photographs += 1;
	}

	/** The photograph that was kept with a shot; null where there is none. */
	photograph(shotId: string): Promise<Blob | null> {
		return this.#store.photograph(shotId);
	}

	/** What is only put down and looked up: frames that came home, a log of exercises. */
	get shelves(): Pick<Store, 'frames' | 'exercises' | 'folders'> {
		return this.#store;
	}

	#change<K extends keyof PartsOf>(kind: K, id: string, next: PartsOf[K] | null): void {
		const schema = PART_SCHEMAS[kind] as unknown as z.ZodType<PartsOf[K]>;
		const known = this.#find(kind, id);
		const valid =
			next && validated(schema, { ...next, revision: known?.revision ?? next.revision });
		const key = keyOf(kind, id);
		if (!this.#bases.has(key)) this.#bases.set(key, { kind, id, base: known });
		this.#show(kind, id, valid);
		this.outbox.post(key, () => this.#send(kind, id));
	}

	async #send<K extends keyof PartsOf>(kind: K, id: string): Promise<Sent> {
		const key = keyOf(kind, id);
		const base = (this.#bases.get(key)?.base ?? null) as PartsOf[K] | null;
		const mine = this.#find(kind, id);
		if (!base && !mine) return 'kept';
		const result = await this.#store.saveParts(kind, id, base, mine);
		if (result.outcome === 'conflict') {
			const { theirs } = result;
			this.conflicts = [
				...this.conflicts.filter((one) => one.key !== key),
				{ key, kind, id, theirs }
			];
			return 'held';
		}
		const { record } = result;
		const now = this.#find(kind, id);
		if (now === mine) {
			this.#bases.delete(key);
			this.#show(kind, id, record);
		} else {
			// changed again meanwhile: what was saved is what the next save starts from
			this.#bases.set(key, { kind, id, base: record });
			if (now && record) {
				const { value } = merged<unknown>(mine, now, record);
				this.#show(kind, id, { ...(value as PartsOf[K]), revision: record.revision });
			}
		}
		return 'kept';
	}

	#find<K extends keyof PartsOf>(kind: K, id: string): PartsOf[K] | null {
		const found = {
			jobs: () => this.jobs.find((one) => one.id === id),
			slots: () => this.shotOf(id)?.slot,
			bodies: () => this.#bodies.find((one) => one.id === id),
			lenses: () => this.#lenses.find((one) => one.id === id),
			spreads: () => this.#spreads
		}[kind]();
		return (found ?? null) as PartsOf[K] | null;
	}

	/** Shows a record as it is now; null takes it off the screen. */
	#show<K extends keyof PartsOf>(kind: K, id: string, record: PartsOf[K] | null): void {
		const put = <T extends { readonly id: string }>(list: readonly T[], one: T | null): T[] => {
			if (!one) return list.filter((other) => other.id !== id);
			const isKnown = list.some((other) => other.id === id);
			return isKnown ? list.map((other) => (other.id === id ? one : other)) : [...list, one];
		};
		switch (kind) {
			case 'jobs':
				this.jobs = put(this.jobs, record as Job | null);
				break;
			case 'slots':
				this.shots = this.shots
					.flatMap((one) => (one.id !== id ? one : record ? { ...one, slot: record as Slot } : []))
					.sort(inOrder);
				break;
			case 'bodies':
				this.#bodies = put(this.#bodies, record as KitBody | null).sort(byPosition);
				break;
			case 'lenses':
				this.#lenses = put(this.#lenses, record as KitLens | null).sort(byPosition);
				break;
			case 'spreads':
				this.#spreads = record as MySpreads | null;
		}
	}
}
