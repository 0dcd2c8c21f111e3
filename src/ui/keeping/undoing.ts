import type { Place } from '../shared/places';
import type { Session } from './session.svelte';

/** Something whose last step can be taken back, and done again. */
export interface Undoing {
	/** What would be taken back, in words; null where it is not said. */
	readonly undoWords: string | null;
	readonly redoWords: string | null;
	readonly canUndo: boolean;
	readonly canRedo: boolean;
	undo(): void;
	redo(): void;
}

/** What is taken back at a place: on the day what was done to it, on the card what was done there. */
export function undoingAt(place: Place | null, session: Session): Undoing {
	if (place === 'day') return session.day;
	return place === 'card' && (session.card.canUndo || session.card.canRedo)
		? session.card
		: session;
}
