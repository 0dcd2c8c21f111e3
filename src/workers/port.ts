import { proxy, releaseProxy, wrap, type Remote } from 'comlink';
import type { QA, Service } from './protocol';

/** The page's half of `protocol.ts`: the only way in which the page asks a worker. */

interface Asking<P> {
	/** Takes the question back: the worker stops, the promise rejects with the signal's reason. */
	readonly signal?: AbortSignal;
	/** Is told what is known so far. */
	readonly tell?: (partial: P) => void;
}

/** Whoever answers questions of `S`. */
export interface Answering<S extends Record<string, QA>> {
	/** Never there: it tells the compiler what may be asked. */
	readonly questions?: S;
	/** Asks; rejects when the work fails, or the signal says so. */
	ask<K extends keyof S & string>(
		name: K,
		question: S[K]['question'],
		asking?: Asking<S[K]['partial']>
	): Promise<S[K]['answer']>;
}

interface Running {
	readonly worker: Worker;
	readonly service: Remote<Service>;
	/** Tells everybody who waits that the worker cannot be loaded or died. */
	readonly waiting: Set<(why: Error) => void>;
}

/** A worker that is started when first asked, and anew after it failed. */
export class WorkerPort<S extends Record<string, QA>> implements Answering<S> {
	declare readonly questions?: S;
	readonly #start: () => Worker;
	#running: Running | null = null;
	#tickets = 0;

	/** @param start `() => new Worker(new URL('./some.worker.ts', import.meta.url), { type: 'module' })` */
	constructor(start: () => Worker) {
		this.#start = start;
	}

	/** Asks; rejects when the worker fails, or the signal says so. */
	async ask<K extends keyof S & string>(
		name: K,
		question: S[K]['question'],
		{ signal, tell }: Asking<S[K]['partial']> = {}
	): Promise<S[K]['answer']> {
		signal?.throwIfAborted();
		const running = (this.#running ??= this.#run());
		const ticket = ++this.#tickets;
		const told = proxy((partial: S[K]['partial']) => {
			if (!signal?.aborted) tell?.(partial);
		});
		const answer = running.service.ask(name, question, ticket, told);
		// no race with a promise that lives as long as the worker: that would keep every answer as long
		return new Promise((resolve, reject) => {
			const takeBack = () => {
				// one that has died needs no telling
				if (this.#running === running) void running.service.cancel(ticket);
				reject(signal?.reason as Error);
			};
			running.waiting.add(reject);
			signal?.addEventListener('abort', takeBack);
			const forget = () => {
				running.waiting.delete(reject);
				signal?.removeEventListener('abort', takeBack);
			};
			// what comes of it after it was taken back concerns nobody
			void answer.then(resolve as (answer: unknown) => void, reject).finally(forget);
		});
	}

	/** Ends the worker; the next question starts another. */
	stop(): void {
		const running = this.#running;
		this.#running = null;
		running?.service[releaseProxy]();
		running?.worker.terminate();
	}

	#run(): Running {
		const worker = this.#start();
		const waiting: Running['waiting'] = new Set();
		worker.addEventListener('error', (event) => {
			event.preventDefault();
			this.stop();
			const why = event.message || 'this part of the app could not be loaded';
			for (const reject of waiting) reject(new Error(why));
			waiting.clear();
		});
		return { worker, service: wrap<Service>(worker), waiting };
	}
}
