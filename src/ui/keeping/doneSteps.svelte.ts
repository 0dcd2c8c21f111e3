import type { Undoing } from './undoing';

/** Something that was done. */
export interface DoneStep {
	readonly words: string;
	/** Changes of the same gesture share a step. */
	readonly gesture: string;
	readonly back: () => void;
	readonly again: () => void;
}

/** What was done at a place, in order, whatever it was done to; each knows how it is taken back. */
export class DoneSteps implements Undoing {
	#done = $state.raw<readonly DoneStep[]>([]);
	#undone = $state.raw<readonly DoneStep[]>([]);
	/** How often something was done here, taken back or done again. */
	changes = $state(0);

	get undoWords(): string | null {
		return this.#done.at(-1)?.words ?? null;
	}
	get redoWords(): string | null {
		return this.#undone.at(-1)?.words ?? null;
	}
	get canUndo(): boolean {
		return this.#done.length > 0;
	}
	get canRedo(): boolean {
		return this.#undone.length > 0;
	}

	/** Notes what was just done. */
	did(step: DoneStep): void {
		const last = this.#done.at(-1);
		const isSame = last?.gesture === step.gesture;
		const kept = isSame ? this.#done.slice(0, -1) : this.#done;
		this.#done = [...kept, isSame ? { ...step, back: last.back } : step];
		this.#undone = [];
		this.changes += 1;
	}

	undo(): void {
		const step = this.#done.at(-1);
		if (!step) return;
		this.#done = this.#done.slice(0, -1);
		this.#undone = [...this.#undone, step];
		this.changes += 1;
		step.back();
	}

	redo(): void {
		const step = this.#undone.at(-1);
		if (!step) return;
		this.#undone = this.#undone.slice(0, -1);
		this.#done = [...this.#done, step];
		this.changes += 1;
		step.again();
	}
}
