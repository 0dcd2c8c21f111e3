import ExifReader from 'exifreader';
import * as piexif from 'piexif-ts';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { readFacts } from './facts';

/** A JPEG of one grey pixel, as bytes in a string. */
const GREY = atob(
	'/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAACf/EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AVN//2Q=='
);

/** What a camera writes, and what is nobody's business; written by another package. */
function jpegWith(exif: piexif.IExif): Blob {
	const written = piexif.insert(piexif.dump(exif), GREY);
	return new Blob([Uint8Array.from(written, (letter) => letter.charCodeAt(0))]);
}
const { ImageIFD, ExifIFD, GPSIFD } = piexif.TagValues;

const TOLD: piexif.IExif = {
	'0th': {
		[ImageIFD.Model]: 'Practice body',
		[ImageIFD.Orientation]: 6,
		[ImageIFD.Artist]: 'Somebody Private',
		[ImageIFD.Copyright]: 'Somebody Private'
	},
	Exif: {
		[ExifIFD.FocalLength]: [50, 1],
		[ExifIFD.FocalLengthIn35mmFilm]: 75,
		[ExifIFD.FNumber]: [28, 10],
		[ExifIFD.SubjectDistance]: [425, 100],
		[ExifIFD.DateTimeOriginal]: '2026:05:01 15:30:00',
		[ExifIFD.BodySerialNumber]: 'SERIAL-1',
		[ExifIFD.CameraOwnerName]: 'Somebody Private',
		[ExifIFD.LensSerialNumber]: 'SERIAL-2'
	},
	GPS: {
		[GPSIFD.GPSLatitudeRef]: 'N',
		[GPSIFD.GPSLatitude]: [
			[48, 1],
			[12, 1],
			[0, 1]
		]
	}
};

describe('what a photograph says of itself', () => {
	afterEach(() => vi.restoreAllMocks());

	it('its lens, its settings, when, and how far the focus was', async () => {
		expect(await readFacts(jpegWith(TOLD))).toMatchObject({
			isPractice: false,
			bodyName: 'Practice body',
			focalMm: 50,
			focal35Mm: 75,
			fNumber: 2.8,
			subjectM: 4.25,
			takenAt: '2026:05:01 15:30:00',
			orientation: 6
		});
	});

	it('not where, not by whom, not with which camera of its kind: that is never read', async () => {
		const load = vi.spyOn(ExifReader, 'load');
		await readFacts(jpegWith(TOLD));
		const read = JSON.stringify(load.mock.results[0]?.value);
		expect(read).toContain('Practice body');
		expect(read).not.toMatch(/GPS|Serial|SERIAL|Owner|Artist|Private/);
	});

	it('nothing where nothing is written, or what is written makes no sense', async () => {
		expect((await readFacts(new Blob(['no picture']))).focalMm).toBeUndefined();
		const odd = jpegWith({
			Exif: { [ExifIFD.FocalLength]: [50, 0], [ExifIFD.SubjectDistance]: [0xffffffff, 1] }
		});
		const facts = await readFacts(odd);
		expect(facts.focalMm).toBeUndefined();
		expect(facts.subjectM).toBeUndefined();
		expect(facts.orientation).toBe(1);
	});
});
