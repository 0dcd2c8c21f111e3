import type { Answered, Asked } from './work';

/** Nobody has time for this now: more than enough is waiting already. */
export class Busy extends Error {}
/** This takes longer than one request may. */
export class TooLong extends Error {}

/** A thread of Node's as far as the pool knows it; tests give a stand-in. */
export interface Thread {
	postMessage(asked: Asked): void;
	on(event: 'message', heard: (answered: Answered) => void): unknown;
	on(event: 'error', heard: (error: Error) => void): unknown;
	/** It keeps no process alive. */
	unref(): unknown;
	terminate(): unknown;
}

export interface PoolLimits {
	/** How many work at a time. */
	readonly threads: number;
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
 * an end. A task whose client has gone, or that takes too long, is given up with the thread that works on it.
 */
export class Pool {
	readonly #start: () => Thread;
	readonly #bounds: PoolLimits;
	#idle: Thread[] = [];
	readonly #working = new Map<Task, Thread>();
	#waiting: Task[] = [];
	readonly #timers = new Map<Task, ReturnType<typeof setTimeout>>();
	/** What each thread's next word means. */
	readonly #heard = new WeakMap<Thread, (answered: Answered | Error) => void>();

	constructor(start: () => Thread, bounds: PoolLimits) {
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

	/** Begins what can be begun: one thread is always left for what is short. */
	#next(): void {
		while (this.#working.size < this.#bounds.threads) {
			const batches = [...this.#working.keys()].filter(({ asked }) => asked.kind === 'batch');
			const hasRoom = batches.length < Math.max(1, this.#bounds.threads - 1);
			const task = this.#waiting.find(({ asked }) => hasRoom || asked.kind !== 'batch');
			if (!task) return;
			this.#waiting = this.#waiting.filter((one) => one !== task);
			this.#begin(task);
		}
	}

	#begin(task: Task): void {
		const thread = this.#idle.pop() ?? this.#engage();
		this.#working.set(task, thread);
		const tooLong = new TooLong('this takes longer than one request may');
		const timer = setTimeout(
			() => this.#giveUp(task, tooLong),
			this.#bounds.mostMs[task.asked.kind]
		);
		this.#timers.set(task, timer);
		this.#heard.set(thread, (answered) => {
			this.#stopClock(task);
			this.#working.delete(task);
			if (answered instanceof Error) {
				void thread.terminate();
				task.reject(answered);
			} else {
				this.#idle.push(thread);
				task.resolve(answered);
			}
			this.#next();
		});
		thread.postMessage(task.asked);
	}

	#stopClock(task: Task): void {
		clearTimeout(this.#timers.get(task));
		this.#timers.delete(task);
	}

	#engage(): Thread {
		const thread = this.#start();
		const hear = (answered: Answered | Error) => {
			// one that died at rest is not asked again
			if (answered instanceof Error) this.#idle = this.#idle.filter((one) => one !== thread);
			const heard = this.#heard.get(thread);
			this.#heard.delete(thread);
			heard?.(answered);
		};
		thread.on('message', hear);
		thread.on('error', hear);
		thread.unref();
		return thread;
	}

	#giveUp(task: Task, why: Error): void {
		const thread = this.#working.get(task);
		const isWaiting = this.#waiting.includes(task);
		if (!thread && !isWaiting) return;
		this.#waiting = this.#waiting.filter((one) => one !== task);
		this.#working.delete(task);
		this.#stopClock(task);
		// what it computes cannot be interrupted: another one is engaged when it is needed
		if (thread) {
			this.#heard.delete(thread);
			void thread.terminate();
		}
		task.reject(why);
		this.#next();
	}
}
