/**
 * The answer to a question that changes faster than it can be answered: one question is worked on at
 * a time, then the newest. An answer is only ever given for the question it belongs to.
 */
export class Answer<Q extends object, A> {
	#current = $state.raw<{ readonly question: Q; readonly answer: A } | null>(null);
	/** Why there is no answer, in words; empty when all is well. */
	problem = $state('');
	#next: Q | null = null;
	#isBusy = false;
	readonly #work: (question: Q) => Promise<A>;

	constructor(work: (question: Q) => Promise<A>) {
		this.#work = work;
	}

	/** The answer to this very question; null while it is not there. */
	to(question: Q | null): A | null {
		return question !== null && this.#current?.question === question ? this.#current.answer : null;
	}

	/** Asks; a question that has not been begun when the next one comes is dropped. */
	ask(question: Q): void {
		this.#next = question;
		if (!this.#isBusy) void this.#run();
	}

	async #run(): Promise<void> {
		this.#isBusy = true;
		while (this.#next) {
			const question = this.#next;
			this.#next = null;
			try {
				const answer = await this.#work(question);
				this.problem = '';
				this.#current = { question, answer };
			} catch (error) {
				this.problem = error instanceof Error ? error.message : String(error);
			}
		}
		this.#isBusy = false;
	}
}
