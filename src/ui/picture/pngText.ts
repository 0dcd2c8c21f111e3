/**
 * Puts texts into a PNG, in any script. Source: Portable Network Graphics (PNG) Specification, third
 * edition, 5.3 (chunk layout), 11.3.3.4 (iTXt), annex D (CRC).
 */

const SIGNATURE_BYTES = 8;
/** Length, type and CRC around the data of a chunk. */
const AROUND_BYTES = 12;

const CRC_TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
	let c = n;
	for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
	return c;
});

function crc(bytes: Uint8Array): number {
	let c = 0xffffffff;
	for (const byte of bytes) c = (CRC_TABLE[(c ^ byte) & 0xff] as number) ^ (c >>> 8);
	return (c ^ 0xffffffff) >>> 0;
}

function textChunk(keyword: string, text: string): Uint8Array {
	// keyword, end, not compressed, no method, no language, no translated keyword
	const data = new TextEncoder().encode(`iTXt${keyword}\0\0\0\0\0${text}`);
	const chunk = new Uint8Array(data.length - 4 + AROUND_BYTES);
	const view = new DataView(chunk.buffer);
	view.setUint32(0, data.length - 4);
	chunk.set(data, 4);
	view.setUint32(4 + data.length, crc(data));
	return chunk;
}

/**
 * The same picture with texts by keyword, put right after its header.
 *
 * @param png     a PNG as an encoder made it
 * @param texts   keywords of 1 to 79 Latin letters, such as those of the specification
 */
export function withTexts(png: Uint8Array, texts: Readonly<Record<string, string>>): Uint8Array {
	const headerBytes = new DataView(png.buffer, png.byteOffset).getUint32(SIGNATURE_BYTES);
	const after = SIGNATURE_BYTES + AROUND_BYTES + headerBytes;
	const chunks = Object.entries(texts).map(([keyword, text]) => textChunk(keyword, text));
	const parts = [png.subarray(0, after), ...chunks, png.subarray(after)];
	const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
	let at = 0;
	for (const part of parts) {
		whole.set(part, at);
		at += part.length;
	}
	return whole;
}
