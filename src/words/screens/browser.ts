import type { Shown } from './shown';

export const printPageText = {
	cardsToPrint: 'Cards to print'
} as const;

export const savingText = {
	savedAs: (name: Shown) => `Saved as “${name}”.`,
	handedToTheBrowserAs: (name: Shown) => `Handed to the browser as “${name}”.`,
	nothingWasSaved: 'Nothing was saved.'
} as const;
