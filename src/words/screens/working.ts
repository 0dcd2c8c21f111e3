import type { Shown } from './shown';

export const noAnswerText = {
	thereIsNoAnswerFor: (what: Shown, problem: Shown) => `There is no answer for ${what}: ${problem}.`
} as const;
