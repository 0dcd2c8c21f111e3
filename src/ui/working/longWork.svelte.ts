/** Work that takes long, of which one piece at a time is done: how far it is, why it stopped, and stopping it. */
export class LongWork {
	/** How much is done, 0 to 1; null while nothing is being done. */
	share = $state<number | null>(null);
	/** Why it stopped, in words; empty when all is well. */
	problem = $state('');
	#control: AbortController | null = null;

	get isBusy(): boolean {
		return this.share !== null;
	}

	/** Does a piece of work; one that is under way is given up. What goes wrong is said, unless it was given up. */
	async run(work: (signal: AbortSignal) => Promise<void>): Promise<void> {
		this.stop();
		const control = new AbortController();
		this.#control = control;
		this.problem = '';
		this.share = 0;
		try {
			await work(control.signal);
		} catch (error) {
			if (!control.signal.aborted) {
				this.problem = error instanceof Error ? error.message : String(error);
			}
		} finally {
			if (this.#control === control) this.share = null;
		}
	}

	stop(): void {
		this.#control?.abort(new Error('given up'));
		this.share = null;
	}
}
