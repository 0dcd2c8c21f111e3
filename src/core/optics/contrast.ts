import { WAVELENGTH_MM } from './blur';
import { bendFactor, type FocusedOptic } from './focus';

/**
 * Diameter of the blur disc projected back to the plane of a thing: smear = (f/N) |1 - D/s'|.
 * Source: Merklinger, "The INs and OUTs of Focus", object-field method (from memory).
 *
 * @returns mm in the plane of the thing
 */
export function smearMm(
	focus: FocusedOptic,
	fNumber: number,
	depthM: number,
	cosOffAxis: number
): number {
	const surfaceM = focus.planeM * bendFactor(focus.fieldBend, cosOffAxis);
	return (focus.focalMm / fNumber) * Math.abs(1 - depthM / surfaceM);
}

/** First zero of J1, where a blurred bar pattern has gone grey. */
const FIRST_ZERO_OF_J1 = 3.8317;

/**
 * 2 J1(x)/x for 0 <= x <= 3.84 by its ascending series, which needs no more than a dozen terms
 * there. Source: Abramowitz and Stegun, 9.1.10. Precision: 1e-12.
 */
function discTransfer(x: number): number {
	const q = -(x * x) / 4;
	let term = 1;
	let sum = 1;
	for (let k = 1; k <= 16; k++) {
		term *= q / (k * (k + 1));
		sum += term;
	}
	return sum;
}

/**
 * What a blur disc leaves of a bar pattern: |2 J1(x)/x|, x = pi smear / (2 bar), nothing from the
 * first zero on. Source: Hopkins, "The frequency response of a defocused optical system", 1955
 * (geometrical limit, from memory).
 *
 * @param smear diameter of the disc in the plane of the bars, mm
 * @param barMm width of one bar, mm
 */
export function defocusContrast(smear: number, barMm: number): number {
	const x = (Math.PI * smear) / (2 * barMm);
	return x >= FIRST_ZERO_OF_J1 ? 0 : Math.abs(discTransfer(x));
}

/**
 * What diffraction leaves of a bar pattern: (2/pi)(acos q - q sqrt(1 - q^2)), q the pattern's
 * frequency over the cut-off. Source: Goodman, Introduction to Fourier Optics (from memory).
 *
 * @param barOnSensorMm width of one bar as imaged, mm
 */
function diffractionContrast(focus: FocusedOptic, fNumber: number, barOnSensorMm: number): number {
	const workingFNumber = (fNumber * focus.imageDistanceMm) / focus.focalMm;
	const q = (WAVELENGTH_MM * workingFNumber) / (2 * barOnSensorMm);
	return q >= 1 ? 0 : (2 / Math.PI) * (Math.acos(q) - q * Math.sqrt(1 - q * q));
}

/**
 * What is left of a bar pattern in the picture: defocus, diffraction and sampling multiplied.
 * Sampling keeps it whole when a bar covers a pixel, and loses it otherwise.
 *
 * @param smear   diameter of the blur disc in the plane of the pattern, mm
 * @param barMm   width of one bar, mm
 * @param pixelMm distance between two pixels, mm
 */
export function patternContrast(
	focus: FocusedOptic,
	fNumber: number,
	depthM: number,
	smear: number,
	barMm: number,
	pixelMm: number
): number {
	const barOnSensorMm = (barMm * focus.imageDistanceMm) / (depthM * 1000);
	if (barOnSensorMm < pixelMm) return 0;
	return defocusContrast(smear, barMm) * diffractionContrast(focus, fNumber, barOnSensorMm);
}
