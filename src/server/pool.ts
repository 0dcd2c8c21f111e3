import type { Answered, Asked } from './work';

/** Nobody has time for this now: more than enough is waiting already. */
export class Busy extends Error {}
/** This takes longer than one request may. */
export class TooLong extends Error {}

/** Somebody who works, as far as the pool knows: a thread of Node's, or a stand-in in tests. */
export interface Hand {
	postMessage(asked: Asked): void;
	on(event: 'message', heard: (answered: Answered) => void): unknown;
	on(event: 'error', heard: (error: Error) => void): unknown;
	/** It keeps no process alive. */
	unref(): unknown;
	terminate(): unknown;
}

export interface Bounds {
	/** How many work at a time. */
	readonly hands: number;
	/** How many may wait, and how many bytes of them. */
	readonly mostWaiting: number;
	readonly mostWaitingBytes: number;
	/** How long one may take, ms. */
	readonly mostMs: Readonly<Record<Asked['kind'], number>>;
}

interface Task {
	readonly asked: Asked;
	readonly resolve: (answered: Answered) => void;
	readonly reject: (error: Error) => void;
}

/**
 * Works requests out beside the server's own thread, so many at a time; the others wait in a queue that has
 * an end. A task whose client has gone, or that takes too long, is given up with the hand that works on it.
 */
export class Pool {
	readonly #start: () => Hand;
	readonly #bounds: Bounds;
	#idle: Hand[] = [];
	readonly #working = new Map<Task, Hand>();
	#waiting: Task[] = [];
	readonly #timers = new Map<Task, ReturnType<typeof setTimeout>>();
	/** What each hand's next word means. */
	readonly #heard = new WeakMap<Hand, (answered: Answered | Error) => void>();

	constructor(start: () => Hand, bounds: Bounds) {
		this.#start = start;
		this.#bounds = bounds;
	}

	/**
	 * @param signal aborts when the client has gone
	 * @throws Busy, TooLong, or the signal's reason
	 */
	run(asked: Asked, signal?: AbortSignal): Promise<Answered> {
		signal?.throwIfAborted();
		const { mostWaiting, mostWaitingBytes } = this.#bounds;
		const bytes = this.#waiting.reduce((sum, one) => sum + one.asked.bytes.length, 0);
		if (
			this.#waiting.length >= mostWaiting ||
			(this.#waiting.length > 0 && bytes + asked.bytes.length > mostWaitingBytes)
		) {
			return Promise.reject(new Busy('too much is waiting already'));
		}
		return new Promise((resolve, reject) => {
			const task: Task = { asked, resolve, reject };
			signal?.addEventListener('abort', () => this.#giveUp(task, signal.reason as Error), {
				once: true
			});
			this.#waiting.push(task);
			this.#next();
		});
	}

	/** Begins what can be begun: one hand is always left for what is short. */
	#next(): void {
		while (this.#working.size < this.#bounds.hands) {
			const batches = [...this.#working.keys()].filter(({ asked }) => asked.kind === 'batch');
			const hasRoom = batches.length < Math.max(1, this.#bounds.hands - 1);
			const task = this.#waiting.find(({ asked }) => hasRoom || asked.kind !== 'batch');
			if (!task) return;
			this.#waiting = this.#waiting.filter((one) => one !== task);
			this.#begin(task);
		}
	}

	#begin(task: Task): void {
		const hand = this.#idle.pop() ?? this.#engage();
		this.#working.set(task, hand);
		const tooLong = new TooLong('this takes longer than one request may');
		const timer = setTimeout(
			() => this.#giveUp(task, tooLong),
			this.#bounds.mostMs[task.asked.kind]
		);
		this.#timers.set(task, timer);
		this.#heard.set(hand, (answered) => {
			this.#stopClock(task);
			this.#working.delete(task);
			if (answered instanceof Error) {
				void hand.terminate();
				task.reject(answered);
			} else {
				this.#idle.push(hand);
				task.resolve(answered);
			}
			this.#next();
		});
		hand.postMessage(task.asked);
	}

	#stopClock(task: Task): void {
		clearTimeout(this.#timers.get(task));
		this.#timers.delete(task);
	}

	#engage(): Hand {
		const hand = this.#start();
		const hear = (answered: Answered | Error) => {
			// one that died at rest is not asked again
			if (answered instanceof Error) this.#idle = this.#idle.filter((one) => one !== hand);
			const heard = this.#heard.get(hand);
			this.#heard.delete(hand);
			heard?.(answered);
		};
		hand.on('message', hear);
		hand.on('error', hear);
		hand.unref();
		return hand;
	}

	#giveUp(task: Task, why: Error): void {
		const hand = this.#working.get(task);
		const isWaiting = this.#waiting.includes(task);
		if (!hand && !isWaiting) return;
		this.#waiting = this.#waiting.filter((one) => one !== task);
		this.#working.delete(task);
		this.#stopClock(task);
		// what it computes cannot be interrupted: another one is engaged when it is needed
		if (hand) {
			this.#heard.delete(hand);
			void hand.terminate();
		}
		task.reject(why);
		this.#next();
	}
}
