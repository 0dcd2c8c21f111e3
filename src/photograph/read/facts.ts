import ExifReader from 'exifreader';
import { z } from 'zod';
import type { PhotographFacts } from '$core/photograph/lensOf';
import { PRACTICE_MAKER } from '$core/tables/practiceCamera';
import type { PictureKind } from './kinds';

/**
 * What a photograph says of how it was taken. Only the tags listed here are read: not where, not by whom,
 * not with which camera of its kind (GPS, owners, serial numbers).
 */

const TAGS = [
	'Make',
	'Model',
	'LensModel',
	'FocalLength',
	'FocalLengthIn35mmFilm',
	'FNumber',
	'ExposureTime',
	'ISOSpeedRatings',
	'Flash',
	'DateTimeOriginal',
	'SubSecTimeOriginal',
	'OffsetTimeOriginal',
	'SubjectDistance',
	'FocalPlaneXResolution',
	'FocalPlaneResolutionUnit',
	'PixelXDimension',
	'PixelYDimension',
	'Orientation'
];

/** Tags, as the package gives them: a number, a fraction, or text. */
const Rational = z.tuple([z.number(), z.number()]).transform(([over, under]) => over / under);
const numberTag = z
	.object({
		value: z.union([z.number(), Rational, z.tuple([z.number()]).transform(([one]) => one)])
	})
	.transform(({ value }) => (Number.isFinite(value) && value > 0 ? value : undefined))
	.optional()
	.catch(undefined);
const textTag = z
	.object({ description: z.string() })
	.transform(
		({ description }) => description.replace(/\0.*$/s, '').trim().slice(0, 80) || undefined
	)
	.optional()
	.catch(undefined);

const TagsSchema = z.object({
	Make: textTag,
	Model: textTag,
	LensModel: textTag,
	FocalLength: numberTag,
	FocalLengthIn35mmFilm: numberTag,
	FNumber: numberTag,
	ExposureTime: numberTag,
	ISOSpeedRatings: numberTag,
	Flash: numberTag,
	DateTimeOriginal: textTag,
	SubSecTimeOriginal: textTag,
	OffsetTimeOriginal: textTag,
	SubjectDistance: numberTag,
	FocalPlaneXResolution: numberTag,
	FocalPlaneResolutionUnit: numberTag,
	PixelXDimension: numberTag,
	PixelYDimension: numberTag,
	Orientation: numberTag
});

/** Bytes from the start of a file among which its tags are looked for; some have them before anything else. */
const HEAD_BYTES: Partial<Record<PictureKind, number>> = { jpeg: 400_000, wrapped: 400_000 };
const MOST_HEAD_BYTES = 4_000_000;
/** How directories of tags begin, little and big-endian (TIFF 6.0, section 2). */
const DIRECTORIES = [
	[0x49, 0x49, 0x2a, 0],
	[0x4d, 0x4d, 0, 0x2a]
] as const;
const MOST_DIRECTORIES = 8;
/** What a camera writes for a subject farther than it can tell. */
const FARTHEST_M = 500;

/** What is said; nothing at all where nothing can be read. */
export async function readFacts(
	file: Blob,
	kind: PictureKind = 'jpeg'
): Promise<PhotographFacts & { readonly orientation: number }> {
	const tags = await tagsOf(file, kind);
	const distance = tags.SubjectDistance;
	return {
		isPractice: tags.Make === PRACTICE_MAKER,
		bodyName: tags.Model,
		lensName: tags.LensModel,
		focalMm: tags.FocalLength,
		focal35Mm: tags.FocalLengthIn35mmFilm,
		fNumber: tags.FNumber,
		shutterS: tags.ExposureTime,
		iso: tags.ISOSpeedRatings,
		// the first bit of the tag; zero is no number here, and no flash
		isFlashed: ((tags.Flash ?? 0) & 1) === 1,
		subjectM: distance !== undefined && distance < FARTHEST_M ? distance : undefined,
		planePixels: tags.FocalPlaneXResolution,
		planeUnit: tags.FocalPlaneResolutionUnit,
		pixelsAcross: tags.PixelXDimension,
		pixelsDown: tags.PixelYDimension,
		takenAt:
			[tags.DateTimeOriginal, tags.SubSecTimeOriginal].filter(Boolean).join('.') || undefined,
		orientation: tags.Orientation ?? 1
	};
}

async function tagsOf(file: Blob, kind: PictureKind): Promise<z.output<typeof TagsSchema>> {
	const head = await file
		.slice(0, HEAD_BYTES[kind] ?? MOST_HEAD_BYTES)
		.arrayBuffer()
		.catch(() => new ArrayBuffer(0));
	const parts = kind === 'wrapped' ? directoriesIn(head) : [head];
	// of what is said twice the first counts
	return TagsSchema.parse(Object.assign({}, ...parts.map(rawTags).reverse()));
}

function rawTags(part: ArrayBuffer): object {
	try {
		return ExifReader.load(part, { includeTags: { exif: TAGS } });
	} catch {
		return {};
	}
}

/** Directories of tags that lie in the head of a file, each to the end of it. */
function directoriesIn(head: ArrayBuffer): ArrayBuffer[] {
	const bytes = new Uint8Array(head);
	const found: ArrayBuffer[] = [];
	for (let i = 0; i < bytes.length && found.length < MOST_DIRECTORIES; i++) {
		const isOne = DIRECTORIES.some((start) => start.every((byte, k) => bytes[i + k] === byte));
		if (isOne) found.push(head.slice(i));
	}
	return found;
}
