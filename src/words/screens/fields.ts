import type { Shown } from './shown';

export const heightFieldText = {
	suchAs: (heightWords: Shown) => `such as ${heightWords}`,
	to: (heightWords: Shown, heightWords2: Shown) => `${heightWords} to ${heightWords2}`
} as const;

export const numberFieldText = {
	aNumberPlease: 'a number, please',
	to: (n: Shown, n2: Shown, unit: Shown) => `${n} to ${n2}${unit}`
} as const;
