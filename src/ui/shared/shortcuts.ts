import { shortcutsText as say } from '$words/screens/shared';
import { commonText as common } from '$words/screens/common';
import { PLACES, PLACE_NAMES, type PlaceName } from './places';
import { settings } from './settings.svelte';

/** Single keys that do something wherever one is. Each can be changed, and all can be off. */

interface Shortcut {
	readonly key: string;
	readonly words: string;
}

const TO_PLACES = Object.fromEntries(
	PLACE_NAMES.map((place) => {
		const { key, words } = PLACES[place];
		return [place, { key, words: say.goToThe(words.toLowerCase()) }];
	})
) as Record<PlaceName, Shortcut>;

/** In Review, besides the arrows. */
const OF_REVIEW = {
	keep: { key: 'k', words: say.reviewKeepTheFrame },
	maybe: { key: 'm', words: say.reviewMaybe },
	drop: { key: 'x', words: say.reviewDropIt },
	favourite: { key: 'v', words: say.reviewTheFavourite }
} satisfies Record<string, Shortcut>;

export type ReviewAction = keyof typeof OF_REVIEW;
export const isOfReview = (action: Action): action is ReviewAction => action in OF_REVIEW;

export const ACTIONS = {
	...TO_PLACES,
	previous: { key: '[', words: common.previousShot },
	next: { key: ']', words: common.nextShot },
	files: { key: 'f', words: say.files },
	units: { key: 'u', words: say.metresOrFeet },
	look: { key: 'n', words: say.dayOrNightLook },
	help: { key: '?', words: say.help },
	...OF_REVIEW
} satisfies Record<string, Shortcut>;

export type Action = keyof typeof ACTIONS;
export const ACTION_NAMES = Object.keys(ACTIONS) as Action[];

/** The key of an action; empty when it has none. */
export const shortcutKey = (action: Action): string => settings.keys[action] ?? ACTIONS[action].key;

/** What a key does; null when nothing. */
export const actionOf = (key: string): Action | null =>
	(settings.shortcuts &&
		key !== '' &&
		ACTION_NAMES.find((action) => shortcutKey(action) === key)) ||
	null;

/** Gives an action another key, or none. Returns the action that has the key already, if one has. */
export function setKey(action: Action, key: string): Action | null {
	const holder = ACTION_NAMES.find(
		(one) => one !== action && key !== '' && shortcutKey(one) === key
	);
	if (holder) return holder;
	settings.set({ keys: { ...settings.keys, [action]: key } });
	return null;
}

export const usualKeys = (): void => settings.set({ keys: {} });
