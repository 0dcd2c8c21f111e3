import { placesText as say } from '$words/screens/shared';
import { commonText as common } from '$words/screens/common';

/**
 * The places of the work, in its order: what they are called, the key that goes there, and what must
 * be open. Their screens stand in `ui/screens.ts`. Adding a place means an entry in each.
 */
export const PLACES = {
	day: { words: say.day, key: 'd', needs: 'job' },
	plan: { words: say.plan, key: 'p', needs: 'shot' },
	card: { words: common.card, key: 'c', needs: 'nothing' },
	review: { words: say.review, key: 'r', needs: 'nothing' },
	bench: { words: common.bench, key: 'b', needs: 'nothing' }
} as const satisfies Readonly<Record<string, PlaceFacts>>;

interface PlaceFacts {
	readonly words: string;
	readonly key: string;
	readonly needs: 'nothing' | 'job' | 'shot';
}

export type PlaceName = keyof typeof PLACES;
export const PLACE_NAMES = Object.keys(PLACES) as [PlaceName, ...PlaceName[]];

export const isPlace = (name: string): name is PlaceName => name in PLACES;

/** Whether a place has what it needs. */
export function isOpen(
	place: PlaceName,
	open: { readonly job: boolean; readonly shot: boolean }
): boolean {
	const { needs } = PLACES[place];
	return needs === 'nothing' || open[needs];
}
