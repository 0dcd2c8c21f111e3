import type { Component } from 'svelte';
import type { PlaceName } from './shared/places';
import type { Session } from './keeping/session.svelte';

/** What every screen is handed. */
export interface ScreenProps {
	readonly session: Session;
	readonly ongo: (place: PlaceName) => void;
	readonly onfiles: () => void;
}

/** The screen of each place, loaded when one first goes there. */
export const SCREENS: Readonly<
	Record<PlaceName, () => Promise<{ default: Component<ScreenProps> }>>
> = {
	day: () => import('./day/DayScreen.svelte'),
	plan: () => import('./plan/PlanScreen.svelte'),
	card: () => import('./card/CardPlace.svelte'),
	review: () => import('./review/ReviewPlace.svelte'),
	bench: () => import('./bench/BenchScreen.svelte')
};
