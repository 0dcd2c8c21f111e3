/** What kind of file a photograph is, by how its bytes begin; its name says nothing. */

/** `wrapped` is a raw file of which no more is known than that a JPEG lies in it. */
export type PictureKind = 'jpeg' | 'png' | 'webp' | 'heic' | 'tiff' | 'wrapped';

/** Bytes that tell it. */
export const KIND_BYTES = 16;

const HEIC_BRANDS = ['heic', 'heix', 'heim', 'heis', 'hevc', 'mif1', 'msf1', 'avif'];

/** The kind; null for a file that is none of these. */
export function pictureKindOf(head: Uint8Array): PictureKind | null {
	const begins = (...bytes: number[]) => bytes.every((byte, i) => head[i] === byte);
	const text = (from: number, to: number) => String.fromCharCode(...head.subarray(from, to));
	if (begins(0xff, 0xd8, 0xff)) return 'jpeg';
	if (begins(0x89, 0x50, 0x4e, 0x47)) return 'png';
	if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return 'webp';
	if (text(4, 8) === 'ftyp' && HEIC_BRANDS.includes(text(8, 12))) return 'heic';
	// little and big-endian, and what some raw files put in the place of 42
	if (text(0, 2) === 'II' && [0x2a, 0x55, 0x4f, 0x52].includes(head[2] ?? 0)) return 'tiff';
	if (text(0, 2) === 'MM' && head[3] === 0x2a) return 'tiff';
	// raw files that are no TIFF (from memory)
	if (text(4, 12) === 'ftypcrx ' || text(8, 16) === 'CCD-RAW ') return 'wrapped';
	return null;
}
