import type { Difference } from '$core/advice/turnedOut';
import { DoneSteps } from './doneSteps.svelte';

/** What turned out different, of the shot it was said of. */
export interface TurnedOut {
	readonly shotId: string | null;
	readonly as: Difference;
}

export const NOTHING_DIFFERENT: TurnedOut = { shotId: null, as: {} };

/** What was done on cards, in order, whatever it was done to; also what is only said to be different. */
export class CardSteps extends DoneSteps {
	/** Kept apart from the shot until accepted. */
	different = $state.raw<TurnedOut>(NOTHING_DIFFERENT);

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
}
