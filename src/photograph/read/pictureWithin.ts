import type { RawPicture } from './rawPicture';

/**
 * The picture inside a raw file whose layout is not known: a JPEG tells itself where it begins and ends. Of several, and
 * cameras put in small ones too, the one with the most pixels. Segments and markers: ITU-T T.81 (JPEG), annex B.
 */

const SOI = 0xd8;
const EOI = 0xd9;
const SOS = 0xda;
/** Baseline, extended, progressive: what browsers open. The sensor's own numbers may lie there as another kind of JPEG. */
const OPENED = [0xc0, 0xc1, 0xc2];
/** It lies before the sensor's own numbers. */
const WITHIN_BYTES = 64_000_000;
/** Smaller ones are looks for the back of the camera. */
const LEAST_PIXELS = 100_000;
/** A file that was made to be looked through without end is given up after so many steps. */
const MOST_STEPS = 4_000_000;

/** @returns null where there is none */
export async function pictureWithin(file: Blob): Promise<RawPicture | null> {
	const bytes = new Uint8Array(await file.slice(0, WITHIN_BYTES).arrayBuffer());
	const patience = { steps: MOST_STEPS };
	let best = { from: 0, to: 0, pixels: LEAST_PIXELS };
	for (let from = bytes.indexOf(0xff); from >= 0; from = bytes.indexOf(0xff, from + 1)) {
		const found = jpegAt(bytes, from, patience);
		if (!found) continue;
		if (found.pixels > best.pixels) best = { from, ...found };
		from = found.to - 1;
	}
	if (best.to === 0) return null;
	return { jpeg: file.slice(best.from, best.to, 'image/jpeg'), orientation: 0 };
}

/** A whole JPEG that begins there: where it ends, and how many pixels it has. */
function jpegAt(
	bytes: Uint8Array,
	from: number,
	patience: { steps: number }
): { to: number; pixels: number } | null {
	const byte = (at: number) => bytes[at] ?? 0;
	const two = (at: number) => 256 * byte(at) + byte(at + 1);
	if (byte(from + 1) !== SOI) return null;
	let at = from + 2;
	let pixels = 0;
	// one segment after the other, up to the first scan
	for (let marker = 0; marker !== SOS;) {
		marker = byte(at + 1);
		const length = two(at + 2);
		const isSegment = byte(at) === 0xff && marker >= 0xc0 && length >= 2;
		if (!isSegment || patience.steps-- <= 0) return null;
		if (OPENED.includes(marker)) pixels = two(at + 5) * two(at + 7);
		at += 2 + length;
	}
	if (pixels === 0) return null;
	// within scans 0xff is never followed by the marker of the end
	for (at = bytes.indexOf(0xff, at); at >= 0; at = bytes.indexOf(0xff, at + 1)) {
		if (byte(at + 1) === EOI) return { to: at + 2, pixels };
		if (patience.steps-- <= 0) return null;
	}
	return null;
}
