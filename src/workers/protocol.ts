import { expose, type Endpoint } from 'comlink';

/**
 * How a worker answers. It is asked by name; while it works it may tell what it knows so far, and it
 * stops when the question is taken back. The page's half is in `port.ts`.
 */

/** What a question that takes long is handed. */
interface Work<P> {
	/** Tells what is known so far. */
	readonly tell: (partial: P) => void;
	/** Lets other messages in, at most every few milliseconds. @throws when nobody waits any more */
	readonly breathe: () => Promise<void>;
}

/** A question by name: what is asked, what is told meanwhile, what is answered. */
export interface QA {
	readonly question: unknown;
	readonly partial: unknown;
	readonly answer: unknown;
}

/** The answers of a worker to the questions of `S`. */
export type Answers<S extends Record<string, QA>> = {
	readonly [K in keyof S]: (
		question: S[K]['question'],
		work: Work<S[K]['partial']>
	) => S[K]['answer'] | Promise<S[K]['answer']>;
};

/** What goes over the wire. */
export interface Service {
	ask(
		name: string,
		question: unknown,
		ticket: number,
		tell: (partial: unknown) => void | Promise<void>
	): Promise<unknown>;
	/** Nobody waits for this one any more. */
	cancel(ticket: number): void;
}

/** The name of what is thrown in a worker whose question was taken back. */
const TAKEN_BACK = 'taken back';
/** Work between two looks for other messages, ms: a timer costs some of its own. */
const SLICE_MS = 16;

/** Makes this worker answer, or whatever stands at the other end. */
export function serve<S extends Record<string, QA>>(answers: Answers<S>, at?: Endpoint): void {
	const open = new Set<number>();
	const service: Service = {
		async ask(name, question, ticket, tellPage) {
			const answer = answers[name as keyof S];
			if (!answer) throw new Error(`this worker does not know “${name}”`);
			open.add(ticket);
			let rested = performance.now();
			const breathe = async () => {
				if (performance.now() - rested < SLICE_MS) return;
				await new Promise((resolve) => setTimeout(resolve, 0));
				if (!open.has(ticket)) throw new Error(TAKEN_BACK);
				rested = performance.now();
			};
			let heard: void | Promise<void> = undefined;
			const tell = (partial: unknown) => {
				heard = tellPage(partial);
			};
			try {
				const found = await answer(question, { tell, breathe });
				// what is told goes another way and may come later: progress after the end would look like work
				await heard;
				return found;
			} finally {
				open.delete(ticket);
			}
		},
		cancel(ticket) {
			open.delete(ticket);
		}
	};
	expose(service, at);
}
