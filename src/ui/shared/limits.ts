import { limitKindOf, pastLimits } from '$core/day/limits';
import type { Solution } from '$core/study/plan';
import { limitsSentence } from '$words/limits';
import { settings } from './settings.svelte';

/** Where a plan goes past one's own limits, as a sentence; empty where it does not. */
export function pastMyLimits({ plan, study: { shot } }: Solution): string {
	const kind = limitKindOf(shot);
	return limitsSentence(kind, pastLimits(plan, settings.limits[kind] ?? {}));
}
