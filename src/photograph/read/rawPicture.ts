/**
 * The picture inside a raw file: the largest JPEG that its TIFF directories point to. Of the directories
 * only the tags that tell where a picture lies are read, so that nobody's name and place comes into memory.
 * Tags: TIFF 6.0 (Adobe, 1992), and TIFF technical note 1 for directories within directories.
 */

export interface RawPicture {
	readonly jpeg: Blob;
	/** Orientation as Exif counts it, 1 to 8, where it stands beside the picture, not in it; else 0. */
	readonly orientation: number;
}

const SUB_DIRECTORIES = 0x014a;
const ORIENTATION_TAG = 0x0112;
const COMPRESSION_TAG = 0x0103;
const STRIP_OFFSETS = 0x0111;
const STRIP_LENGTHS = 0x0117;
const JPEG_OFFSET = 0x0201;
const JPEG_LENGTH = 0x0202;
const WANTED = [
	SUB_DIRECTORIES,
	ORIENTATION_TAG,
	COMPRESSION_TAG,
	STRIP_OFFSETS,
	STRIP_LENGTHS,
	JPEG_OFFSET,
	JPEG_LENGTH
];
/** Compressions of strips that are whole JPEGs. */
const JPEG_COMPRESSIONS = [6, 7];
const SHORT_TYPE = 3;
const LONG_TYPE = 4;
const ENTRY_BYTES = 12;
/** A file that points in circles or at millions of things is broken. */
const MOST_DIRECTORIES = 40;
const MOST_ENTRIES = 500;
const MOST_VALUES = 16;
/** Smaller ones are looks for the back of the camera. */
const LEAST_BYTES = 20_000;

type Directory = ReadonlyMap<number, readonly number[]>;

/** @returns null where there is none */
export async function rawPicture(file: Blob): Promise<RawPicture | null> {
	const head = new DataView(await file.slice(0, 8).arrayBuffer());
	if (head.byteLength < 8) return null;
	const isLittle = head.getUint8(0) === 0x49;
	const waiting = [head.getUint32(4, isLittle)];
	const seen = new Set<number>();
	let best: { offset: number; length: number } | null = null;
	let orientation = 1;
	while (waiting.length > 0 && seen.size < MOST_DIRECTORIES) {
		const at = waiting.shift() as number;
		if (at === 0 || at >= file.size || seen.has(at)) continue;
		seen.add(at);
		const { tags, next } = await directoryAt(file, at, isLittle);
		waiting.push(next, ...(tags.get(SUB_DIRECTORIES) ?? []));
		if (seen.size === 1) orientation = tags.get(ORIENTATION_TAG)?.[0] ?? 1;
		const found = jpegOf(tags);
		if (
			found &&
			found.length > (best?.length ?? LEAST_BYTES) &&
			(await isJpeg(file, found.offset))
		) {
			best = found;
		}
	}
	if (!best) return null;
	return { jpeg: file.slice(best.offset, best.offset + best.length, 'image/jpeg'), orientation };
}

function jpegOf(tags: Directory) {
	const first = (tag: number) => tags.get(tag)?.[0];
	const [offset, length] = [first(JPEG_OFFSET), first(JPEG_LENGTH)];
	if (offset !== undefined && length !== undefined) return { offset, length };
	const [strip, stripLength] = [first(STRIP_OFFSETS), first(STRIP_LENGTHS)];
	const isWhole = JPEG_COMPRESSIONS.includes(first(COMPRESSION_TAG) ?? 0);
	if (!isWhole || strip === undefined || stripLength === undefined) return null;
	return { offset: strip, length: stripLength };
}

const isJpeg = async (file: Blob, offset: number): Promise<boolean> => {
	const [a, b] = new Uint8Array(await file.slice(offset, offset + 2).arrayBuffer());
	return a === 0xff && b === 0xd8;
};

async function directoryAt(file: Blob, at: number, isLittle: boolean) {
	const counted = await file.slice(at, at + 2).arrayBuffer();
	if (counted.byteLength < 2) return { tags: new Map<number, number[]>(), next: 0 };
	const count = Math.min(new DataView(counted).getUint16(0, isLittle), MOST_ENTRIES);
	const view = new DataView(
		await file.slice(at + 2, at + 2 + count * ENTRY_BYTES + 4).arrayBuffer()
	);
	const tags = new Map<number, number[]>();
	const whole = Math.min(count, Math.floor(view.byteLength / ENTRY_BYTES));
	for (let i = 0; i < whole; i++) {
		const entry = i * ENTRY_BYTES;
		const tag = view.getUint16(entry, isLittle);
		if (WANTED.includes(tag)) tags.set(tag, await valuesOf(file, view, entry, isLittle));
	}
	const end = count * ENTRY_BYTES;
	const next = view.byteLength >= end + 4 ? view.getUint32(end, isLittle) : 0;
	return { tags, next };
}

/** Whole numbers of an entry: beside its tag where they fit into four bytes, else where it points. */
async function valuesOf(file: Blob, view: DataView, entry: number, isLittle: boolean) {
	const type = view.getUint16(entry + 2, isLittle);
	if (type !== SHORT_TYPE && type !== LONG_TYPE) return [];
	const size = type === SHORT_TYPE ? 2 : 4;
	const count = Math.min(view.getUint32(entry + 4, isLittle), MOST_VALUES);
	const isHere = count * size <= 4;
	const at = view.getUint32(entry + 8, isLittle);
	const values = isHere
		? view
		: new DataView(await file.slice(at, at + count * size).arrayBuffer());
	const from = isHere ? entry + 8 : 0;
	const held = Math.min(count, Math.floor((values.byteLength - from) / size));
	return Array.from({ length: Math.max(0, held) }, (_, i) =>
		size === 2
			? values.getUint16(from + i * size, isLittle)
			: values.getUint32(from + i * size, isLittle)
	);
}
