import { expect, it } from 'vitest';
import { readChosen } from './opening';

/** "title" and "Müller–Łoś" as different spreadsheets write them. */
const utf16 = (text: string): Uint8Array => {
	const letters = [0xfeff, ...Array.from(text, (letter) => letter.charCodeAt(0))];
	return Uint8Array.from(letters.flatMap((code) => [code & 0xff, code >> 8]));
};
const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);

it.each([
	['UTF-8', utf8('title\nMüller–Łoś'), 'Müller–Łoś'],
	['UTF-8 with a mark', utf8('\uFEFFtitle\nMüller–Łoś'), 'Müller–Łoś'],
	['UTF-16', utf16('title\nMüller–Łoś'), 'Müller–Łoś'],
	// published code page, from memory; its dashes are read right by browsers, and not by Node.js 20
	['Windows-1252', Uint8Array.from([...utf8('title\nM'), 0xfc, ...utf8('ller')]), 'Müller']
] as const)('a list in %s is read right', async (_, bytes, title) => {
	const reading = await readChosen(new File([bytes.slice()], 'list.csv', { type: 'text/csv' }));
	expect(reading.ok && reading.opened.kind === 'list' && reading.opened.rows).toEqual([{ title }]);
});
