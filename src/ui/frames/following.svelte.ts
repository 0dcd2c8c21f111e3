import { followingText as say } from '$words/screens/frames';
import { commonText as common } from '$words/screens/common';
import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import type { PointedSpot } from '$core/format/review';
import type { PointedAt } from '../../photograph/follow';
import type { IntakeFile } from './intakeFile';
import type { followedIn } from './pictures';

/** Something to look for. */
interface Sought {
	readonly pointing: PointedAt;
	/** The frame in which it was pointed at. */
	readonly from: File;
	/** The frames it is looked for in, as they are now. */
	readonly files: () => readonly IntakeFile[];
	readonly looked: SvelteSet<string>;
	readonly control: AbortController;
}

type Found = (fileId: string, spotId: string, spot: PointedSpot | null) => void;

/** What was pointed at in one frame is looked for in the others of its set, also in those that are measured only later. */
export class Following {
	/** What went wrong last, in words; empty when all is well. */
	problem = $state('');
	/** What was pointed at is being measured where it was. */
	isBeginning = $state(false);
	readonly #lookIn: typeof followedIn;
	readonly #found: Found;
	readonly #sought = new SvelteMap<string, Sought>();
	#looking: Promise<void> | null = null;

	/**
	 * @param lookIn looks in one frame
	 * @param found told of every frame what is in it
	 */
	constructor(lookIn: typeof followedIn, found: Found) {
		this.#lookIn = lookIn;
		this.#found = found;
	}

	/** Where to look next, and for what. */
	readonly #next = $derived.by(() => {
		if (this.isBeginning) return null;
		for (const sought of this.#sought.values()) {
			for (const { id, file, measured } of sought.files()) {
				if (file && measured && !sought.looked.has(id)) return { sought, id, file };
			}
		}
		return null;
	});
	readonly isBusy = $derived.by(() => this.isBeginning || this.#next !== null);

	/** Measures what was pointed at, and begins to look for it elsewhere. */
	async begin(
		{ id, file }: IntakeFile,
		pointing: PointedAt,
		files: Sought['files']
	): Promise<void> {
		if (!file) return;
		const control = new AbortController();
		this.#sought.set(pointing.id, {
			pointing,
			from: file,
			files,
			looked: new SvelteSet([id]),
			control
		});
		this.problem = '';
		this.isBeginning = true;
		try {
			const spot = await this.#lookIn(file, pointing, file, control.signal);
			if (!spot?.edges) throw new Error(say.thereIsNothingToMeasureThere);
			if (!control.signal.aborted) this.#found(id, pointing.id, spot);
		} catch (error) {
			this.#fail(error, control.signal);
			this.#sought.delete(pointing.id);
		}
		this.isBeginning = false;
		void this.look();
	}

	/** Looks wherever it has not yet been looked. */
	look(): Promise<void> {
		this.#looking ??= this.#lookEverywhere().finally(() => {
			this.#looking = null;
			// what was begun meanwhile
			return this.#next ? this.look() : undefined;
		});
		return this.#looking;
	}

	async #lookEverywhere(): Promise<void> {
		for (let next = this.#next; next; next = this.#next) {
			const { sought, id, file } = next;
			const { pointing, from, control } = sought;
			try {
				const spot = await this.#lookIn(from, pointing, file, control.signal);
				if (!control.signal.aborted) this.#found(id, pointing.id, spot);
			} catch (error) {
				this.#fail(error, control.signal);
			}
			sought.looked.add(id);
		}
	}

	/** It is no longer looked for. */
	forget(spotId: string): void {
		this.#sought.get(spotId)?.control.abort(new Error(common.givenUp));
		this.#sought.delete(spotId);
		this.problem = '';
	}

	stop(): void {
		for (const id of this.#sought.keys()) this.forget(id);
	}

	#fail(error: unknown, { aborted }: AbortSignal): void {
		if (!aborted) this.problem = error instanceof Error ? error.message : String(error);
	}
}
