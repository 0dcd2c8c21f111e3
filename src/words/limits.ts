import type { Kind, Passed } from '$core/day/limits';
import { nominalFNumber } from '$core/optics/fNumber';
import { isoWords, shutterWords } from './light';
import { fStop } from './numbers';

/** One's own limits as one says them. */

export const KIND_WORDS: Readonly<Record<Kind, string>> = {
	one: 'one person',
	two: 'two people',
	group: 'groups',
	moving: 'people who move',
	flash: 'flash'
};

const PASSED: Readonly<Record<Passed['what'], (passed: Passed) => string>> = {
	slowestS: ({ value, limit }) => `${shutterWords(value)} is slower than ${shutterWords(limit)}`,
	fNumber: ({ value, limit }) =>
		`${fStop(nominalFNumber(value))} instead of ${fStop(nominalFNumber(limit))}`,
	highestIso: ({ value, limit }) => `${isoWords(value)} is above ${isoWords(limit)}`
};

/** "Past your limits for groups: 1/80 is slower than 1/160."; empty where nothing is. */
export function limitsSentence(kind: Kind, passed: readonly Passed[]): string {
	if (passed.length === 0) return '';
	const what = passed.map((one) => PASSED[one.what](one)).join(', ');
	return `Past your limits for ${KIND_WORDS[kind]}: ${what}.`;
}
