import type { Body } from '../format/shot';
import { FULL_FRAME_DIAGONAL_MM } from '../optics/crop';
import type { PhotographLens } from './standing';

/** Which lens a photograph was taken with, in pixels of it (section 10 of the model). */

/** What a photograph says of itself; lengths mm, distances m. */
export interface PhotographFacts {
	/** Whether the practice camera took it. */
	readonly isPractice?: boolean | undefined;
	readonly bodyName?: string | undefined;
	readonly lensName?: string | undefined;
	readonly focalMm?: number | undefined;
	readonly focal35Mm?: number | undefined;
	readonly fNumber?: number | undefined;
	readonly shutterS?: number | undefined;
	readonly iso?: number | undefined;
	/** Whether a flash fired. */
	readonly isFlashed?: boolean | undefined;
	/** Of what was focused on. */
	readonly subjectM?: number | undefined;
	/** Pixels of the sensor for each unit of length, and which: 2 inch, 3 cm. */
	readonly planePixels?: number | undefined;
	readonly planeUnit?: number | undefined;
	/** Of the file as it was written, before anybody made it smaller. */
	readonly pixelsAcross?: number | undefined;
	readonly pixelsDown?: number | undefined;
	/** By the clock of the camera: "2026:05:01 15:30:00". */
	readonly takenAt?: string | undefined;
}

/** How it is known. */
type KnownBy = 'kit' | 'sensor' | 'equivalent';

export interface LensFound extends PhotographLens {
	readonly by: KnownBy;
}

/** How well each is known: engraved lengths are round; equivalents are whole millimetres. */
const ENGRAVED_SHARE = 0.015;
const EQUIVALENT_SHARE = 0.02;
const HALF_MM = 0.5;
const UNITS_MM: Readonly<Record<number, number>> = { 2: 25.4, 3: 10 };

export interface PictureSize {
	readonly widthPx: number;
	readonly heightPx: number;
}

/**
 * The lens of a photograph: by its focal length and a body of the kit, else by the sensor's own pixels, else
 * by the equivalent on full frame, as the diagonal (CIPA DC-008, Exif). Null where it says none of these.
 */
export function lensOf(
	facts: PhotographFacts,
	size: PictureSize,
	bodies: readonly Body[]
): LensFound | null {
	const longPx = Math.max(size.widthPx, size.heightPx);
	const { focalMm, focal35Mm, planePixels, planeUnit = 2 } = facts;
	const body = bodies.find(({ name }) => name === facts.bodyName);
	if (focalMm !== undefined && body) {
		const focalPx = (focalMm * longPx) / body.sensor.widthMm;
		return { focalPx, share: ENGRAVED_SHARE, by: 'kit' };
	}
	const unitMm = UNITS_MM[planeUnit];
	if (focalMm !== undefined && planePixels !== undefined && unitMm !== undefined) {
		const writtenPx = Math.max(facts.pixelsAcross ?? 0, facts.pixelsDown ?? 0) || longPx;
		const widthMm = (writtenPx / planePixels) * unitMm;
		// some cameras write what no sensor is
		if (widthMm > LEAST_SENSOR_MM && widthMm < MOST_SENSOR_MM) {
			return { focalPx: (focalMm * longPx) / widthMm, share: ENGRAVED_SHARE, by: 'sensor' };
		}
	}
	if (focal35Mm === undefined) return null;
	return { ...lensOfEquivalent(focal35Mm, size), by: 'equivalent' };
}

const LEAST_SENSOR_MM = 3;
const MOST_SENSOR_MM = 60;

/** The lens that frames like one of so many millimetres on full frame. */
export function lensOfEquivalent(
	focal35Mm: number,
	{ widthPx, heightPx }: PictureSize
): PhotographLens {
	const focalPx = (focal35Mm * Math.hypot(widthPx, heightPx)) / FULL_FRAME_DIAGONAL_MM;
	return { focalPx, share: Math.hypot(EQUIVALENT_SHARE, HALF_MM / focal35Mm) };
}

/** Whether a photograph was cut: its sides are no longer those of the file as it was written. */
export function isCut({ pixelsAcross, pixelsDown }: PhotographFacts, size: PictureSize): boolean {
	if (pixelsAcross === undefined || pixelsDown === undefined) return false;
	const shape = (a: number, b: number) => Math.max(a, b) / Math.min(a, b);
	const ratio = shape(pixelsAcross, pixelsDown) / shape(size.widthPx, size.heightPx);
	return Math.abs(ratio - 1) > CUT_SHARE;
}

const CUT_SHARE = 0.02;
