import { reviewKeysText as say } from '$words/screens/review/place';
import { actionOf, isOfReview, type ReviewAction } from '../shared/shortcuts';
import type { ReviewView } from './view/review.svelte';

/** Keys in Review: all frames are judged with one hand. */

const ARROWS: Readonly<Record<string, (view: ReviewView) => void>> = {
	ArrowRight: (view) => view.step(1),
	ArrowLeft: (view) => view.step(-1),
	' ': (view) => view.step(1),
	ArrowDown: (view) => view.stepPerson(1),
	ArrowUp: (view) => view.stepPerson(-1)
};

const ACTS: Readonly<Record<ReviewAction, (view: ReviewView) => void>> = {
	keep: (view) => view.mark('keep'),
	maybe: (view) => view.mark('maybe'),
	drop: (view) => view.mark('drop'),
	favourite: (view) => view.favour()
};

/** What a key does here; null when nothing. */
export function actOf(key: string): ((view: ReviewView) => void) | null {
	const action = actionOf(key);
	return ARROWS[key] ?? (action && isOfReview(action) ? ACTS[action] : null);
}

const MINUTE_MS = 60_000;

/** "The camera's clock is 2 h 5 min ahead." Empty where it is right to half a minute. */
export function clockWords(clockMs: number): string {
	const minutes = Math.round(Math.abs(clockMs) / MINUTE_MS);
	if (minutes === 0) return '';
	const hours = Math.floor(minutes / 60);
	const parts = [hours > 0 && `${hours} h`, minutes % 60 > 0 && say.min(minutes % 60)].filter(
		Boolean
	);
	return say.theCamerasClockIsGoingBy(parts.join(' '), clockMs > 0 ? 'ahead' : 'behind');
}
