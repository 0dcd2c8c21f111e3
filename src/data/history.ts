import type { Shot } from '$core/format/shot';

/**
 * Undo and redo by whole gestures. A history is a run of numbered steps and a cursor on the present
 * one; it is never empty. Everything a drag does belongs to one gesture and so to one step.
 */

export interface Step {
	/** Changes of the same gesture share a step. */
	readonly gesture: string;
	readonly shot: Shot;
}

export interface History {
	readonly steps: readonly Step[];
	/** Number of the first step kept. */
	readonly first: number;
	/** Number of the present step. */
	readonly cursor: number;
}

/** Steps kept of one shot. */
const MOST_STEPS = 120;

export function startHistory(shot: Shot, first = 0): History {
	return { steps: [{ gesture: '', shot }], first, cursor: first };
}

export function present({ steps, first, cursor }: History): Shot {
	return (steps[cursor - first] as Step).shot;
}

export const canUndo = ({ first, cursor }: History): boolean => cursor > first;
export const canRedo = ({ steps, first, cursor }: History): boolean =>
	cursor < first + steps.length - 1;

export function undo(history: History): History {
	return canUndo(history) ? { ...history, cursor: history.cursor - 1 } : history;
}

export function redo(history: History): History {
	return canRedo(history) ? { ...history, cursor: history.cursor + 1 } : history;
}

/** The shot before its last change; null when there was none. */
export const previous = (history: History): Shot | null =>
	canUndo(history) ? present(undo(history)) : null;

/** Adds a change: it joins the present step when the gesture is the same, else it makes a new one. */
export function withStep(history: History, shot: Shot, gesture: string): History {
	const kept = history.steps.slice(0, history.cursor - history.first + 1);
	if (kept.at(-1)?.gesture === gesture) {
		return { ...history, steps: [...kept.slice(0, -1), { gesture, shot }] };
	}
	const steps = [...kept, { gesture, shot }];
	const surplus = Math.max(0, steps.length - MOST_STEPS);
	return {
		steps: steps.slice(surplus),
		first: history.first + surplus,
		cursor: history.cursor + 1
	};
}
