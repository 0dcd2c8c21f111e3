import * as piexif from 'piexif-ts';
import { TagValues } from 'piexif-ts';
import { nominalIso, nominalShutter } from '$core/light/dials';
import { nominalFNumber } from '$core/optics/fNumber';
import { cropFactor } from '$core/optics/crop';
import type { Shot } from '$core/format/shot';
import type { CameraSettings } from '$core/study/settings';
import { PRACTICE_MAKER } from '$core/tables/practiceCamera';
import type { PreviewSize } from '../preview/scene';

/** What a camera writes beside its pixels. Tags and codes: CIPA DC-008, Exif 2.32. */

export interface FrameFacts {
	readonly shot: Shot;
	readonly settings: CameraSettings;
	/** Whether the shutter was set by hand, so that it followed nothing. */
	readonly isShutterSet: boolean;
	/** Depth that the lens is focused on, m; infinite or negative where it is beyond infinity. */
	readonly focusedM: number;
	/** As held. */
	readonly size: PreviewSize;
	/** The local time of the release, ms as if it were UTC, and how far the place is ahead of UTC, minutes. */
	readonly localMs: number;
	readonly offsetMinutes: number;
}

/** Codes of Exif. */
const UNIT_INCH = 2;
const UNIT_CM = 3;
const MANUAL = 1;
const APERTURE_PRIORITY = 3;
const WHOLE_FRAME = 5;
const FLASH_FIRED = 0x09;
const FLASH_OFF = 0x10;
const SRGB = 1;
const CENTRED = 1;
const STANDARD_OUTPUT_SENSITIVITY = 1;
const MOST_SHORT = 65535;
/** Rows of the sensor run up the frame of an upright camera: its grip is above. */
const UPRIGHT = 8;
const LEVEL = 1;
const INFINITELY_FAR = [0xffffffff, 1] as const;

type Rational = readonly [number, number];
const rational = (value: number, per: number): Rational => [Math.round(value * per), per];
const ofSeconds = (seconds: number): Rational =>
	seconds < 0.3 ? [1, Math.round(1 / seconds)] : rational(seconds, 10);
/**
 * Text as bytes, ended by a zero, or by two so that what follows begins at an even place. Names may have
 * letters that Exif's text has not: they go in as UTF-8, which readers expect.
 */
function ascii(text: string): string {
	const bytes = String.fromCharCode(...new TextEncoder().encode(text));
	return bytes.length % 2 === 0 ? `${bytes}\0` : bytes;
}

/** The Exif segment of a frame, as a string of bytes. */
export function exifOf({
	shot,
	settings,
	isShutterSet,
	focusedM,
	size,
	localMs,
	offsetMinutes
}: FrameFacts): string {
	const { body, lens, camera } = shot;
	const time = new Date(localMs).toISOString();
	const date = `${time.slice(0, 10).replaceAll('-', ':')} ${time.slice(11, 19)}`;
	const subSeconds = ascii(time.slice(20, 23));
	const offset = ascii(offsetText(offsetMinutes));
	const isUpright = camera.orientation === 'portrait';
	const [across, down] = isUpright ? [size.heightPx, size.widthPx] : [size.widthPx, size.heightPx];
	const perCm = (pixels: number, mm: number) => rational((10 * pixels) / mm, 1000);
	const iso = Math.min(MOST_SHORT, nominalIso(settings.iso));
	const tag = TagValues.ExifIFD;
	const image = TagValues.ImageIFD;
	return endedProperly(
		piexif.dump({
			'0th': {
				[image.Make]: ascii(PRACTICE_MAKER),
				[image.Model]: ascii(body.name),
				[image.Orientation]: isUpright ? UPRIGHT : LEVEL,
				[image.XResolution]: [300, 1],
				[image.YResolution]: [300, 1],
				[image.ResolutionUnit]: UNIT_INCH,
				[image.DateTime]: date,
				[image.YCbCrPositioning]: CENTRED
			},
			Exif: {
				[tag.ExposureTime]: ofSeconds(nominalShutter(settings.shutterS)),
				[tag.FNumber]: rational(nominalFNumber(settings.fNumber), 10),
				[tag.ExposureProgram]:
					settings.flashPower !== null || isShutterSet ? MANUAL : APERTURE_PRIORITY,
				[tag.ISOSpeedRatings]: iso,
				[tag.SensitivityType]: STANDARD_OUTPUT_SENSITIVITY,
				[tag.StandardOutputSensitivity]: iso,
				[tag.ExifVersion]: '0232',
				[tag.DateTimeOriginal]: date,
				[tag.DateTimeDigitized]: date,
				[tag.OffsetTime]: offset,
				[tag.OffsetTimeOriginal]: offset,
				[tag.OffsetTimeDigitized]: offset,
				[tag.SubSecTime]: subSeconds,
				[tag.SubSecTimeOriginal]: subSeconds,
				[tag.SubSecTimeDigitized]: subSeconds,
				[tag.ComponentsConfiguration]: '\x01\x02\x03\x00',
				[tag.SubjectDistance]:
					focusedM > 0 && focusedM < 1000 ? rational(focusedM, 100) : INFINITELY_FAR,
				[tag.MeteringMode]: WHOLE_FRAME,
				[tag.Flash]: settings.flashPower === null ? FLASH_OFF : FLASH_FIRED,
				[tag.FocalLength]: rational(camera.focalMm, 10),
				[tag.FocalLengthIn35mmFilm]: Math.round(camera.focalMm * cropFactor(body.sensor)),
				[tag.FlashpixVersion]: '0100',
				[tag.ColorSpace]: SRGB,
				[tag.PixelXDimension]: across,
				[tag.PixelYDimension]: down,
				[tag.FocalPlaneXResolution]: perCm(across, body.sensor.widthMm),
				[tag.FocalPlaneYResolution]: perCm(down, body.sensor.heightMm),
				[tag.FocalPlaneResolutionUnit]: UNIT_CM,
				[tag.LensSpecification]: [
					rational(lens.focalMm[0], 10),
					rational(lens.focalMm[1], 10),
					rational(nominalFNumber(lens.widestFNumber[0]), 10),
					rational(nominalFNumber(lens.widestFNumber[1]), 10)
				],
				[tag.LensModel]: ascii(lens.name)
			}
		})
	);
}

/** Where the TIFF part begins, after its name in the segment; its first directory begins 8 bytes on. */
const TIFF_AT = 6;
const FIRST_DIRECTORY = 8;
const ENTRY_BYTES = 12;
const EXIF_DIRECTORY = 34665;
/** Bytes of a value by TIFF's types: byte, ASCII, short, long, rational, …, undefined. */
const TYPE_BYTES = [0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8] as const;

/**
 * The package leaves out the four zeroes that end the Exif directory (TIFF 6.0, section 2), which readers
 * warn of: puts them in, and the values after them four bytes on.
 */
function endedProperly(segment: string): string {
	const bytes = Uint8Array.from(segment, (letter) => letter.charCodeAt(0));
	const tiff = new DataView(bytes.buffer, TIFF_AT);
	const entriesOf = (directory: number) =>
		Array.from({ length: tiff.getUint16(directory) }, (_, i) => directory + 2 + i * ENTRY_BYTES);
	const pointer = entriesOf(FIRST_DIRECTORY).find((at) => tiff.getUint16(at) === EXIF_DIRECTORY);
	if (pointer === undefined) return segment;
	const entries = entriesOf(tiff.getUint32(pointer + 8));
	for (const at of entries) {
		const length = (TYPE_BYTES[tiff.getUint16(at + 2)] ?? 0) * tiff.getUint32(at + 4);
		if (length > 4) tiff.setUint32(at + 8, tiff.getUint32(at + 8) + 4);
	}
	const end = TIFF_AT + (entries.at(-1) ?? 0) + ENTRY_BYTES;
	const text = String.fromCharCode(...bytes);
	return `${text.slice(0, end)}\0\0\0\0${text.slice(end)}`;
}

/** As Exif has it: "+02:00". */
function offsetText(minutes: number): string {
	const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
	const away = Math.abs(minutes);
	return `${minutes < 0 ? '-' : '+'}${two(away / 60)}:${two(away % 60)}`;
}

/** Everything of a JPEG before its pixels lies within this. */
const HEAD_BYTES = 4096;

/** A JPEG with an Exif segment in the place of whatever stood before its tables. */
export async function withExif(jpeg: Blob, exif: string): Promise<Blob> {
	const head = new Uint8Array(await jpeg.slice(0, HEAD_BYTES).arrayBuffer());
	const inserted = piexif.insert(exif, String.fromCharCode(...head));
	const bytes = Uint8Array.from(inserted, (letter) => letter.charCodeAt(0));
	return new Blob([bytes, jpeg.slice(HEAD_BYTES)], { type: 'image/jpeg' });
}
