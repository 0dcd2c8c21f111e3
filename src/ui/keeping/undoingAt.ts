import type { PlaceName } from '../shared/places';
import type { Session } from './session.svelte';
import type { Undoing } from './undoing';

/** What is taken back at a place: on the day what was done to it, on the card, in review and at the bench what was done there. */
export function undoingAt(place: PlaceName | null, session: Session): Undoing {
	if (place === 'day') return session.day;
	if (place === 'review') return session.review;
	if (place === 'bench') return session.bench;
	return place === 'card' && (session.card.canUndo || session.card.canRedo)
		? session.card
		: session;
}
