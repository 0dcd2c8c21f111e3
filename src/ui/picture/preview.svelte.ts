import type { Delivery } from '../../preview/engine';
import type { Subject } from '../../preview/scene';
import type { PreviewPort } from '../../workers/preview';
import { keep } from './reuse';

/** A picture that a part of the screen wants: of what, through which lens, how large. */
export type Wish = Subject;

interface Wanted {
	readonly rank: number;
	readonly wish: Wish;
	readonly take: (delivery: Delivery) => void;
}

/** The pictures of the whole screen: gathers what is wanted and hands out what comes. */
class Preview {
	/** Why there are no pictures here, in words; null while there are, or may be. */
	why = $state<string | null>(null);

	#port: PreviewPort | null = null;
	#starting: Promise<void> | null = null;
	#isOrdering = false;
	#revision = 0;
	readonly #wanted = new Map<string, Wanted>();

	/**
	 * Asks for a picture until told otherwise.
	 *
	 * @param key  names the view: what is wanted under the same name replaces it
	 * @param rank the lowest is drawn first
	 * @param take gets the picture, again and again while it becomes better, and owns the bitmap
	 * @returns stops asking
	 */
	want(key: string, rank: number, wish: Wish, take: (delivery: Delivery) => void): () => void {
		const before = this.#wanted.get(key)?.wish;
		const mine = { rank, wish: before ? keep(before, wish) : wish, take };
		this.#wanted.set(key, mine);
		this.#orderSoon();
		return () => {
			if (this.#wanted.get(key) !== mine) return;
			this.#wanted.delete(key);
			this.#orderSoon();
		};
	}

	/** Whether there are pictures here; `why` says why not. */
	async starts(): Promise<boolean> {
		await this.#start();
		return this.why === null;
	}

	/** Once for everything that changes at a time. */
	#orderSoon(): void {
		if (this.#isOrdering) return;
		this.#isOrdering = true;
		queueMicrotask(() => {
			this.#isOrdering = false;
			if (this.#port) this.#order(this.#port);
			else if (this.#wanted.size > 0) void this.#start();
		});
	}

	#start(): Promise<void> {
		this.#starting ??= this.#startOnce();
		return this.#starting;
	}

	async #startOnce(): Promise<void> {
		const { startPreview } = await import('../../workers/preview');
		const started = await startPreview((delivery) => this.#take(delivery));
		if (!started.ok) {
			this.why = started.why;
			return;
		}
		this.#port = started.port;
		document.addEventListener('visibilitychange', () => started.port.pause(document.hidden));
		started.port.pause(document.hidden);
		this.#order(started.port);
	}

	#order(port: PreviewPort): void {
		this.#revision += 1;
		const all = [...this.#wanted].sort(([, a], [, b]) => a.rank - b.rank);
		const scenes = [...new Set(all.map(([, { wish }]) => wish.scene))];
		port.order({
			scenes,
			revision: this.#revision,
			views: all.map(([key, { wish }]) => ({ ...wish, key, scene: scenes.indexOf(wish.scene) }))
		});
	}

	#take(delivery: Delivery): void {
		const wanted = this.#wanted.get(delivery.key);
		if (wanted) wanted.take(delivery);
		else delivery.bitmap.close();
	}
}

export const preview = new Preview();
