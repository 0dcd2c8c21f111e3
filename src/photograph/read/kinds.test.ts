import { expect, it } from 'vitest';
import { pictureKindOf } from './kinds';

const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

it.each([
	['\xff\xd8\xff\xe1', 'jpeg'],
	['\x89PNG\r\n\x1a\n', 'png'],
	['RIFF\x10\0\0\0WEBPVP8 ', 'webp'],
	['RIFF\x10\0\0\0WAVEfmt ', null],
	['\0\0\0\x18ftypheic', 'heic'],
	['\0\0\0\x18ftypmp42', null],
	['\0\0\0\x18ftypcrx \0\0\0\x01', 'wrapped'],
	['AMAKEROFCCD-RAW ', 'wrapped'],
	['II*\0\x08\0\0\0', 'tiff'],
	['MM\0*\0\0\0\x08', 'tiff'],
	['IIU\0\x08\0\0\0', 'tiff'],
	['GIF89a', null],
	['{"format":"focalis-shot"}', null],
	['', null]
] as const)('%j is %s', (head, kind) => {
	expect(pictureKindOf(bytes(head))).toBe(kind);
});
