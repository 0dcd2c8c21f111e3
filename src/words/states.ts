import type { State } from '$core/format/plan';

/** A state as a shape: sharp, a little short of it or not in most frames, soft. */
export const STATE_MARKS: Readonly<Record<State, string>> = {
	sharp: '●',
	marginal: '◐',
	soft: '○'
};

export const STATE_WORDS: Readonly<Record<State, string>> = {
	sharp: 'sharp',
	marginal: 'a stop short',
	soft: 'soft'
};

/** How much of the blur that is allowed is used up: "58 % of the blur allowed"; 100 % is the limit. */
export const allowedWords = (ratio: number): string =>
	`${Math.round(100 * ratio)} % of the blur allowed`;
