import type { MoveMade } from '../format/advice';
import type { Shot } from '../format/shot';

/** Something that can be changed about a shot, by as much as is needed. */
export interface Move {
	readonly code: MoveMade['code'];
	/** The most there is of it; 1 for what is done or not. */
	readonly most: number;
	/** Sizes are rounded up to this; null for what is done or not. */
	readonly step: number | null;
	readonly apply: (size: number) => Shot;
	/** What was done, as data. */
	readonly made: (size: number) => MoveMade;
	/** How much trouble it is, in steps of one's own feet. */
	readonly effort: (size: number) => number;
}

export const doneOrNot = { most: 1, step: null } as const;
