import { frameIntakeText as say } from '$words/screens/frames';
import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import { isUnsaid, type Judgement, type PointedSpot } from '$core/format/review';
import type { FrameRecord } from '$data/store/database';
import { measuringPorts } from '../../workers/ports';
import type { Measuring } from '../../workers/review.worker';
import { frameId, type FrameShelf } from '$data/store/frameShelf';
import { saidIn } from '$files/in/sidecar';
import type { Taking } from '$words/review';
import type { FacesBefore } from '../../photograph/faces/sight';
import { Following } from './following.svelte';
import { PROBLEM_WORDS } from '../photograph/problems';
import type { IntakeFile } from './intakeFile';
import { beginsLikePicture, sorted } from './pictureFiles';
import { whenIdle } from '../browser/whenIdle';
import { followedIn, putSmallPicture } from './pictures';
import { SaidBefore } from './saidBefore';
import { ChosenSidecars } from './sidecars';

/** Frames are kept in lots: one by one the store would be asked too often, many at once would hold the page up. */
const FRAMES_PER_WRITE = 4;
/** How many files are taken in at once: the browser looks each one up and gives it a place on the page. */
const TAKEN_AT_ONCE = 6;
/** A worker that has measured so many is ended, and another begins: what it no longer uses is given back at once. */
const MOST_BY_ONE = 10;

/**
 * The frames of a job that came home: opened, measured two at a time, kept. It goes on while one is elsewhere. Files
 * are only read; what is held of them here is the name.
 */
export class FrameIntake {
	readonly jobId: string;
	readonly #shelf: FrameShelf;
	readonly #files = new SvelteMap<string, IntakeFile>();
	/** Their ids in the order of their names: sorted when one comes, not whenever one is measured. */
	#order = $state.raw<readonly string[]>([]);
	readonly sidecars = new ChosenSidecars();
	/** What was pointed at, and is looked for in the other frames. */
	readonly following = new Following(followedIn, (id, spotId, spot) =>
		this.#point(id, spotId, spot)
	);
	isPaused = $state(false);
	isMeasuring = $state(false);
	/** What could not be kept, in words; empty when all is. */
	trouble = $state('');
	#control = new AbortController();
	/** Frames whose record the store has not got yet: new ones, and such as were changed. */
	#fresh: string[] = [];
	#changed: string[] = [];
	readonly #said: SaidBefore;

	constructor(shelf: FrameShelf, jobId: string) {
		this.#shelf = shelf;
		this.jobId = jobId;
		this.#said = new SaidBefore(shelf, jobId);
	}

	readonly files = $derived.by((): readonly IntakeFile[] =>
		this.#order.flatMap((id) => this.#files.get(id) ?? [])
	);
	readonly waiting = $derived.by(() =>
		this.files.filter(({ measured, file, problem }) => !measured && file && !problem)
	);
	readonly measuredCount = $derived.by(() => this.files.filter(({ measured }) => measured).length);

	/** Reads what was kept of this job; of what was opened meanwhile it is what counts. */
	async begin(): Promise<void> {
		try {
			await this.#said.read();
			for (const { id, measured, judgement } of await this.#shelf.of(this.jobId)) {
				const file = this.#files.get(id)?.file ?? null;
				this.#files.set(id, { id, name: measured.name, file, measured, judgement, problem: '' });
			}
			for (const one of [...this.#files.values()].filter((file) => isUnsaid(file.judgement))) {
				this.#files.set(one.id, { ...one, judgement: this.#saidOf(one.id) });
			}
			this.#putInOrder();
		} catch {
			this.trouble = say.earlierMeasurementsCannotBeReadThe;
		}
	}

	/**
	 * Takes files in, some at a time so that hundreds do not hold the page up; those that are known are not measured
	 * again.
	 */
	async open(files: readonly File[]): Promise<Taking> {
		const { pictures, sidecars, besideJpegs, others } = sorted(files);
		for (const file of sidecars) this.sidecars.add(file);
		let noPictures = 0;
		const all = [...pictures, ...others];
		for (let i = 0; i < all.length; i += TAKEN_AT_ONCE) {
			if (i > 0) await new Promise<void>((resolve) => whenIdle(resolve));
			for (const [k, file] of all.slice(i, i + TAKEN_AT_ONCE).entries()) {
				if (i + k < pictures.length || (await beginsLikePicture(file))) this.#add(file);
				else noPictures += 1;
			}
			this.#putInOrder();
			if (i === 0 || !this.isPaused) void this.measure();
			void this.following.look();
		}
		const marks = sidecars.length > 0 ? await this.#markBySidecars() : 0;
		return { noPictures, besideJpegs: besideJpegs.length, marks };
	}

	/** Frames of which nothing was said here are marked as their sidecars say; returns how many. */
	async #markBySidecars(): Promise<number> {
		let marks = 0;
		const isSilent = ({ judgement: { mark, isFavourite } }: IntakeFile) =>
			mark === null && !isFavourite;
		for (const one of this.files.filter(isSilent)) {
			const sidecar = this.sidecars.of(one);
			if (!(sidecar instanceof File)) continue;
			const said = await saidIn(sidecar).catch(() => null);
			const now = this.#files.get(one.id);
			// somebody may have said something meanwhile
			if (!said || !now || !isSilent(now)) continue;
			this.#say(one.id, said);
			marks += 1;
		}
		void this.#keep();
		return marks;
	}

	#add(file: File): void {
		const id = this.#idOf(file);
		const known = this.#files.get(id);
		this.#files.set(id, {
			id,
			name: file.name,
			file,
			measured: known?.measured ?? null,
			judgement: known?.judgement ?? this.#saidOf(id),
			problem: ''
		});
	}

	readonly #saidOf = (id: string): Judgement => this.#said.of(id, (one) => this.#files.has(one));

	#putInOrder(): void {
		const files = [...this.#files.values()].toSorted((a, b) => byNumberedName(a.name, b.name));
		this.#order = files.map(({ id }) => id);
	}

	#measuring: Promise<void> | null = null;

	/** Measures what waits, two at a time, until all is or somebody stops it. */
	measure(): Promise<void> {
		this.isPaused = false;
		this.#measuring ??= this.#measureAll().finally(() => {
			this.#measuring = null;
			// what came meanwhile, or what was stopped and begun again
			if (!this.isPaused && this.waiting.length > 0) return this.measure();
			return undefined;
		});
		return this.#measuring;
	}

	async #measureAll(): Promise<void> {
		this.isMeasuring = true;
		this.#control = new AbortController();
		const { signal } = this.#control;
		await Promise.all(
			measuringPorts.map(async (port, i) => {
				// not both at once: for a moment the old and the new one are there
				let done = Math.floor((i * MOST_BY_ONE) / measuringPorts.length);
				let before: FacesBefore | null = null;
				for (let next = this.#take(); next && !signal.aborted; next = this.#take()) {
					if (++done % MOST_BY_ONE === 0) port.stop();
					const { id, name, file } = next;
					try {
						const answer: Measuring = await port.ask('measure', { file, name, before }, { signal });
						if (answer.ok) {
							before = answer.sight;
							putSmallPicture(file, answer.small);
							this.#settle(id, { measured: answer.measured });
						} else this.#settle(id, { problem: PROBLEM_WORDS[answer.problem] });
					} catch (error) {
						this.#taken.delete(id);
						if (signal.aborted) break;
						const why = error instanceof Error ? error.message : String(error);
						this.#settle(id, { problem: say.itCouldNotBeMeasured(why) });
					}
				}
			})
		);
		// what they hold is wanted elsewhere
		for (const port of measuringPorts) port.stop();
		await this.#keep();
		this.isMeasuring = false;
	}

	pause(): void {
		this.isPaused = true;
		this.#control.abort(new Error('paused'));
	}

	/** Forgets what was pointed at. */
	unpoint(spotId: string): void {
		this.following.forget(spotId);
		for (const { id, measured } of this.files) {
			if (measured?.pointed.some((spot) => spot.id === spotId)) this.#point(id, spotId, null);
		}
	}

	/** Adds what was measured of something pointed at, or takes it away. */
	#point(id: string, spotId: string, spot: PointedSpot | null): void {
		const known = this.#files.get(id);
		if (!known?.measured) return;
		const others = known.measured.pointed.filter((one) => one.id !== spotId);
		const pointed = spot ? [...others, spot] : others;
		this.#files.set(id, { ...known, measured: { ...known.measured, pointed } });
		this.#changed.push(id);
		void this.#keep();
	}

	/** Says something of frames. */
	judge(ids: readonly string[], change: Partial<Judgement>): void {
		for (const id of ids) this.#say(id, change);
		void this.#keep();
	}

	#say(id: string, change: Partial<Judgement>): void {
		const known = this.#files.get(id);
		if (!known) return;
		this.#files.set(id, { ...known, judgement: { ...known.judgement, ...change } });
		if (known.measured) this.#changed.push(id);
	}

	/** Takes frames out of the review; the files stay where they are. */
	forget(ids: readonly string[]): void {
		for (const id of ids) this.#files.delete(id);
		this.#putInOrder();
		this.#shelf.forget(ids).catch((error: unknown) => this.#told(error));
	}

	/** Being measured now. */
	readonly #taken = new SvelteSet<string>();

	#take(): { readonly id: string; readonly name: string; readonly file: File } | null {
		if (this.isPaused) return null;
		for (const { id, name, file } of this.waiting) {
			if (!file || this.#taken.has(id)) continue;
			this.#taken.add(id);
			return { id, name, file };
		}
		return null;
	}

	#settle(id: string, result: Partial<Pick<IntakeFile, 'measured' | 'problem'>>): void {
		this.#taken.delete(id);
		const known = this.#files.get(id);
		// what was kept of it was read meanwhile
		if (!known || known.measured) return;
		this.#files.set(id, { ...known, ...result });
		if (!result.measured) return;
		this.#fresh.push(id);
		if (this.#fresh.length >= FRAMES_PER_WRITE) void this.#keep();
		void this.following.look();
	}

	async #keep(): Promise<void> {
		const [fresh, changed] = [this.#fresh, this.#changed];
		this.#fresh = [];
		this.#changed = [];
		try {
			await this.#shelf.add(this.#recordsOf(fresh));
			await this.#shelf.put(this.#recordsOf(changed));
			this.trouble = '';
		} catch (error) {
			this.#fresh.push(...fresh);
			this.#changed.push(...changed);
			this.#told(error);
		}
	}

	#recordsOf(ids: readonly string[]): FrameRecord[] {
		return ids
			.filter((id, i) => ids.indexOf(id) === i)
			.flatMap((id): FrameRecord[] => {
				const one = this.#files.get(id);
				if (!one?.measured) return [];
				const { measured, judgement } = one;
				return [{ id, jobId: this.jobId, measured, judgement }];
			});
	}

	#told(error: unknown): void {
		const why = error instanceof Error ? error.message : String(error);
		this.trouble = say.theMeasurementsAreNotSavedThey(why);
	}

	/** The same file has the same name, size and time. */
	#idOf({ name, size, lastModified }: File): string {
		return frameId(this.jobId, [name, size, lastModified].join('|'));
	}
}

const collator = new Intl.Collator('en', { numeric: true });
const byNumberedName = (a: string, b: string): number => collator.compare(a, b);
