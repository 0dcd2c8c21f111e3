import type { Difference } from '$core/advice/turnedOut';
import type { Undoing } from './undoing';

/** Something that was done on a card. */
export interface CardStep {
	readonly words: string;
	/** Changes of the same gesture share a step. */
	readonly gesture: string;
	readonly back: () => void;
	readonly again: () => void;
}

/** What turned out different, of the shot it was said of. */
export interface TurnedOut {
	readonly shotId: string | null;
	readonly as: Difference;
}

export const NOTHING_DIFFERENT: TurnedOut = { shotId: null, as: {} };

/** What was done on cards, in order, whatever it was done to; also what is only said to be different. */
export class CardSteps implements Undoing {
	/** Kept apart from the shot until accepted. */
	different = $state.raw<TurnedOut>(NOTHING_DIFFERENT);
	#done = $state.raw<readonly CardStep[]>([]);
	#undone = $state.raw<readonly CardStep[]>([]);

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
	did(step: CardStep): void {
		const last = this.#done.at(-1);
		const isSame = last?.gesture === step.gesture;
		const kept = isSame ? this.#done.slice(0, -1) : this.#done;
		this.#done = [...kept, isSame ? { ...step, back: last.back } : step];
		this.#undone = [];
	}

	/** Says what turned out different, as a step. */
	differ(next: TurnedOut, words: string, gesture: string): void {
		const before = this.different;
		this.different = next;
		this.did({
			words,
			gesture,
			back: () => (this.different = before),
			again: () => (this.different = next)
		});
	}

	undo(): void {
		const step = this.#done.at(-1);
		if (!step) return;
		this.#done = this.#done.slice(0, -1);
		this.#undone = [...this.#undone, step];
		step.back();
	}

	redo(): void {
		const step = this.#undone.at(-1);
		if (!step) return;
		this.#undone = this.#undone.slice(0, -1);
		this.#done = [...this.#done, step];
		step.again();
	}
}
