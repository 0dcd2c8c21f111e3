import type { Answering } from '../../workers/port';
import type { QA } from '../../workers/protocol';

interface Known<Q, A> {
	readonly question: Q;
	readonly answer: A;
}

/**
 * The answer of a worker to a question that changes: asked when the question has come to rest, taken
 * back when another one comes, and only ever given for the question it belongs to. A failure is said,
 * and can be tried again. Made while a component is made; ends with it.
 *
 * @example
 * const ways = new Asking(advicePort, 'ways', () => ({ shot, lenses, spreads }));
 * ways.answer // null until it is there
 */
export class Asking<S extends Record<string, QA>, K extends keyof S & string> {
	/** Why there is no answer, in words; empty when all is well. */
	problem = $state('');
	#known = $state.raw<Known<S[K]['question'], S[K]['answer']> | null>(null);
	#tries = $state(0);
	readonly #question: () => S[K]['question'] | null;

	/**
	 * @param question null while nothing is asked; another object for another question
	 * @param restMs   how long the question must stay the same before it is asked
	 */
	constructor(port: Answering<S>, name: K, question: () => S[K]['question'] | null, restMs = 0) {
		this.#question = question;
		$effect(() => {
			void this.#tries;
			const asked = question();
			if (asked === null) return;
			const control = new AbortController();
			const { signal } = control;
			const tell = (answer: S[K]['answer']) => {
				if (!signal.aborted) this.#known = { question: asked, answer };
			};
			const timer = setTimeout(() => {
				port.ask(name, asked, { signal, tell }).then(
					(answer) => {
						tell(answer);
						if (!signal.aborted) this.problem = '';
					},
					(error: unknown) => {
						if (signal.aborted) return;
						this.problem = error instanceof Error ? error.message : String(error);
					}
				);
			}, restMs);
			return () => {
				clearTimeout(timer);
				control.abort(new Error('another question came'));
			};
		});
	}

	/** The answer to the question as it stands, as far as it is known; null while nothing is. */
	get answer(): S[K]['answer'] | null {
		const known = this.#known;
		return known && known.question === this.#question() ? known.answer : null;
	}

	/** Asks the same question once more. */
	again(): void {
		this.problem = '';
		this.#tries += 1;
	}
}
