import type { LensSetting, PreviewScene, Subject, Window } from './scene';
import type { Picture } from './render/picture';
import { Studio } from './render/studio';
import { settledSamples, worthTaking } from './lens/samples';

/** A view that is wanted: which scene, through which lens, how large. */
interface View extends Omit<Subject, 'scene'> {
	/** Names the view from one wish to the next. */
	readonly key: string;
	/** Number of the scene in the order. */
	readonly scene: number;
	readonly setting: LensSetting;
	readonly window: Window;
}

/** Everything that is wanted at a time, the most urgent view first. */
export interface Order {
	readonly scenes: readonly PreviewScene[];
	readonly views: readonly View[];
	/** Which state of the shot this belongs to. */
	readonly revision: number;
}

/** A picture of a view, as far as it has come. */
export interface Delivery {
	readonly key: string;
	readonly revision: number;
	readonly bitmap: ImageBitmap;
	readonly samples: number;
	/** How much of the way to a settled picture it has come, 0 to 1. */
	readonly share: number;
	readonly isSettled: boolean;
}

/** How the engine's canvas hands out what it shows. */
export type Grab = () => ImageBitmap | Promise<ImageBitmap>;

/** A first picture takes as many samples as fit into this, ms, but not more than these. */
const FIRST_MS = 40;
const FIRST_SAMPLES = 8;
/** Work that is told to the card at once, ms; what is more urgent waits for two of these at most. */
const BATCH_MS = 25;
/** A picture is shown again when it has so many times the samples. */
const WORTH_SHOWING = 4;
/** No sample is taken to be faster than this: clocks are coarse. */
const LEAST_MS = 0.05;
/** Faster than this for a sample, ms, is worth refining beyond the settled picture. */
const FAST_MS = 6;

/** While one order follows another, pictures become better only after nothing new was wanted for this long, ms. */
const REST_MS = 120;
/** Whoever moves something orders more often than this, ms. */
const MOVING_MS = 50;

/** Samples that the card was told to draw. */
interface Batch {
	readonly size: number;
	readonly done: Promise<void>;
}

interface Work {
	readonly key: string;
	readonly subject: Subject;
	/** Equal for equal subjects. */
	readonly signature: string;
	revision: number;
	/** Samples after which its picture may stand. */
	readonly settled: number;
	picture: Picture | null;
	/** Samples of the picture that was delivered last; 0 before the first. */
	delivered: number;
	/** Measured time of a sample, ms. */
	sampleMs: number;
}

/**
 * Draws whatever is wanted, a slice at a time: each view quickly first, then all of them better and
 * better, until there is something worth showing or something else is more urgent. A new order replaces
 * the one before; what stays the same goes on.
 */
export class Engine {
	#studio: Studio;
	readonly #grab: Grab;
	readonly #deliver: (delivery: Delivery) => void;
	#works: Work[] = [];
	/** The one a slice is at work on. */
	#current: Work | null = null;
	#orderedAt = -Infinity;
	/** The last order followed soon on the one before: something is moved. */
	#isFollowing = false;
	#isPaused = false;
	/** The graphics context is gone, for now. */
	#isLost = false;
	#isWorking = false;

	constructor(
		canvas: HTMLCanvasElement | OffscreenCanvas,
		grab: Grab,
		deliver: (delivery: Delivery) => void
	) {
		this.#studio = new Studio(canvas);
		this.#grab = grab;
		this.#deliver = deliver;
		canvas.addEventListener('webglcontextlost', (event) => {
			event.preventDefault();
			this.#isLost = true;
		});
		canvas.addEventListener('webglcontextrestored', () => {
			this.#studio = new Studio(canvas);
			this.#works = this.#works.map((work) => ({ ...work, picture: null, delivered: 0 }));
			this.#isLost = false;
			void this.#run();
		});
	}

	/** Takes a new order. */
	order({ scenes, views, revision }: Order): void {
		const now = performance.now();
		this.#isFollowing = now < this.#orderedAt + REST_MS;
		this.#orderedAt = now;
		const texts = scenes.map((scene) => JSON.stringify(scene));
		const before = new Map(this.#works.map((work) => [work.key, work]));
		this.#works = views.map((view) => {
			const { key, scene, ...rest } = view;
			const signature = `${JSON.stringify(rest)} ${texts[scene]}`;
			const known = before.get(key);
			if (known?.signature === signature) {
				before.delete(key);
				known.revision = revision;
				return known;
			}
			const subject = { ...rest, scene: scenes[scene] as PreviewScene };
			const sampleMs = known?.sampleMs ?? Infinity;
			const settled = settledSamples(subject);
			return { key, subject, signature, revision, settled, picture: null, delivered: 0, sampleMs };
		});
		for (const work of before.values()) {
			if (work !== this.#current) work.picture?.dispose();
		}
		void this.#run();
	}

	/** Nothing is being drawn. */
	get isIdle(): boolean {
		return !this.#isWorking;
	}

	/** Stops for as long as nobody is looking. */
	pause(isPaused: boolean): void {
		this.#isPaused = isPaused;
		void this.#run();
	}

	async #run(): Promise<void> {
		if (this.#isWorking) return;
		this.#isWorking = true;
		for (let work = this.#next(); work; work = this.#next()) {
			const restMs = this.#isFollowing ? this.#orderedAt + REST_MS - performance.now() : 0;
			if (work.delivered > 0 && restMs > 0) await new Promise((done) => setTimeout(done, restMs));
			else await this.#work(work);
		}
		this.#isWorking = false;
	}

	/** While something is moved, so that first pictures are overtaken, the page gets as much time as they take. */
	async #leaveTime(startedAt: number): Promise<void> {
		const until = 2 * performance.now() - startedAt;
		const isMoving = () => performance.now() < this.#orderedAt + MOVING_MS;
		while (this.#orderedAt > startedAt && isMoving() && performance.now() < until) {
			await new Promise((done) => setTimeout(done, MOVING_MS / 4));
		}
	}

	/** A slice of work; what goes wrong with a view is told, and does not stop the others. */
	async #work(work: Work): Promise<void> {
		this.#current = work;
		const isFirst = work.delivered === 0;
		const startedAt = performance.now();
		try {
			await this.#slice(work);
		} catch (error) {
			this.#works = this.#works.filter((one) => one !== work);
			reportError(error);
		}
		this.#current = null;
		if (!this.#works.includes(work)) work.picture?.dispose();
		if (isFirst) await this.#leaveTime(startedAt);
	}

	/** Views without a picture first, in their order; then the one that has come least far. */
	#next(): Work | undefined {
		if (this.#isPaused || this.#isLost) return undefined;
		const first = this.#works.find(({ delivered }) => delivered === 0);
		if (first) return first;
		return this.#works
			.filter((work) => work.delivered < goalOf(work))
			.sort((a, b) => a.delivered - b.delivered)[0];
	}

	async #slice(work: Work): Promise<void> {
		const isFirst = work.delivered === 0;
		if (work.picture?.isRough) {
			work.picture.dispose();
			work.picture = null;
		}
		work.picture ??= this.#studio.begin(work.subject, { inHaste: isFirst });
		const { picture } = work;
		const goal = isFirst
			? FIRST_SAMPLES
			: Math.min(nextGoalOf(work), WORTH_SHOWING * work.delivered);
		const startedAt = performance.now();
		const goesOn = (inMs: number) =>
			isFirst ? performance.now() + inMs < startedAt + FIRST_MS : this.#next() === work;
		let drawn = 0;
		let batch = this.#addBatch(work, picture, goal);
		while (batch) {
			// the next ones are told before these are done, so that the card need not wait
			let next = goesOn(batch.size * work.sampleMs) ? this.#addBatch(work, picture, goal) : null;
			await batch.done;
			drawn += batch.size;
			work.sampleMs = Math.max(LEAST_MS, (performance.now() - startedAt) / drawn);
			if (!next && goesOn(work.sampleMs)) next = this.#addBatch(work, picture, goal);
			batch = next;
		}

		// a picture that was overtaken meanwhile is gone, but a first one is still worth seeing
		const isWanted = this.#works.includes(work);
		if (isFirst || (isWanted && picture.count >= goal)) await this.#hand(work, picture);
	}

	/** Tells the card to draw as many samples as it does at once by the last ones, at least one. */
	#addBatch(work: Work, picture: Picture, goal: number): Batch | null {
		const size = Math.min(goal - picture.count, Math.max(1, Math.floor(BATCH_MS / work.sampleMs)));
		if (size <= 0) return null;
		for (let i = 0; i < size; i++) picture.addSample();
		return { size, done: this.#studio.finish() };
	}

	async #hand(work: Work, picture: Picture): Promise<void> {
		picture.develop();
		const bitmap = await this.#grab();
		// what a lost context hands out is blank
		if (this.#isLost) return bitmap.close();
		const share = picture.isRough ? 0 : Math.min(1, picture.count / work.settled);
		// a rough one counts as just begun, so that the fine one follows
		work.delivered = picture.isRough ? 1 : picture.count;
		const { key, revision } = work;
		const isSettled = share === 1;
		this.#deliver({ key, revision, bitmap, samples: picture.count, share, isSettled });
	}
}

/** Settles exactly where a picture may stand, whatever the card, and only then becomes finer. */
const nextGoalOf = (work: Work): number =>
	work.delivered < work.settled ? work.settled : goalOf(work);

const goalOf = ({ sampleMs, settled }: Work): number =>
	sampleMs < FAST_MS ? worthTaking(settled) : settled;
