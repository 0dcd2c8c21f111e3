import { colour, type Colour } from '../looks';

/** Colours that a label may name: "black cloth", "the red door". */
const WORDS: Readonly<Record<string, string>> = {
	black: '#1c1a1a',
	white: '#e6e1d6',
	grey: '#8b8a86',
	gray: '#8b8a86',
	red: '#9c3d33',
	green: '#4f7048',
	blue: '#46638a',
	yellow: '#c9a544',
	brown: '#6d4c34',
	pink: '#c98c92',
	brick: '#a06a4c',
	stone: '#8f887d'
};

/** The colour a label names; null when it names none. */
export function tintOf(label: string): Colour | null {
	const word = label
		.toLowerCase()
		.split(/[^a-z]+/)
		.find((one) => Object.hasOwn(WORDS, one));
	return word === undefined ? null : colour(WORDS[word] as string);
}
