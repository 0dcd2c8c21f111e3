import { decode, encode } from 'fast-png';
import { describe, expect, it } from 'vitest';
import { withTexts } from './pngText';

const png = encode({ width: 3, height: 2, data: new Uint8Array(3 * 2 * 3).fill(90), channels: 3 });

/** The text of an iTXt chunk. Source: PNG specification, third edition, 11.3.3.4. */
function textOf(bytes: Uint8Array, keyword: string): string | null {
	const view = new DataView(bytes.buffer, bytes.byteOffset);
	for (let at = 8; at < bytes.length;) {
		const length = view.getUint32(at);
		const chunk = bytes.subarray(at + 4, at + 8 + length);
		const text = new TextDecoder().decode(chunk);
		if (text.startsWith(`iTXt${keyword}\0`)) return text.split('\0').slice(5).join('\0');
		at += 12 + length;
	}
	return null;
}

describe('texts in a picture', () => {
	it('leave the picture as it was, by another reader that checks every sum', () => {
		const { data, width, height } = decode(withTexts(png, { Title: 'x', Comment: 'y' }), {
			checkCrc: true
		});
		expect([width, height]).toEqual([3, 2]);
		expect([...data]).toEqual([...decode(png).data]);
	});

	it.each(['f/4.5, focused on the left eye', 'Zoë ✿ Ωμέγα שלום 名前 👩🏽‍🎤', 'two\nlines', ''])(
		'are read back as they were: %j',
		(text) => expect(textOf(withTexts(png, { Description: text }), 'Description')).toBe(text)
	);
});
