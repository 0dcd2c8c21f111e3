import type { State } from '$core/format/plan';

/** A state as a shape: sharp, a little short of it or not in most frames, soft. */
export const STATE_MARKS: Readonly<Record<State, string>> = {
	sharp: '●',
	marginal: '◐',
	soft: '○'
};
