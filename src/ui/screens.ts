import type { Component } from 'svelte';
import type { PlaceName } from './shared/places';
import type { ScreenProps } from './keeping/screenProps';

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
