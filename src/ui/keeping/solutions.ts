import type { Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import type { Spreads } from '$core/tables/spreads';
import { solve, type Solution } from '$core/study/plan';
import { asksForSomething } from '$core/study/study';
import { whenIdle } from '../browser/whenIdle';

/**
 * Solutions of many shots, worked out one after the other between other work, so that a long list
 * opens and scrolls at once. A shot that did not change is not worked out again.
 */

interface Asked {
	readonly shot: Shot;
	readonly spreads: Spreads;
	readonly take: (solution: Solution | null) => void;
}

const known = new WeakMap<
	Shot,
	{ readonly spreads: Spreads; readonly solution: Solution | null }
>();
const queue = new Set<Asked>();
let isWorking = false;

function work(): void {
	const [next] = queue;
	isWorking = next !== undefined;
	if (!next) return;
	queue.delete(next);
	const { shot, spreads, take } = next;
	const solution = asksForSomething(shot) ? solve(shot, chanceOf(spreads)) : null;
	known.set(shot, { spreads, solution });
	take(solution);
	whenIdle(work);
}

/** Hands over a shot's solution, at once if it is known. Returns how to stop asking. */
export function askSolution(
	shot: Shot,
	spreads: Spreads,
	take: (solution: Solution | null) => void
): () => void {
	const found = known.get(shot);
	if (found?.spreads === spreads) {
		take(found.solution);
		return () => {};
	}
	const asked = { shot, spreads, take };
	queue.add(asked);
	if (!isWorking) {
		isWorking = true;
		whenIdle(work);
	}
	return () => void queue.delete(asked);
}
