import { FIRST_ZERO_OF_J1, jinc } from '../numeric/bessel';
import { WAVELENGTH_MM } from './blur';
import { fieldCurvatureFactor, type FocusedOptic } from './focus';

/**
 * Blur in the object plane (`smearMm` of the plan): diameter of the blur disc projected back to the plane of a thing,
 * (f/N) |1 - D/s'|. Zero on the surface of focus.
 * Source: Merklinger, "The INs and OUTs of Focus", object-field method (from memory).
 *
 * @returns mm in the plane of the thing
 *
 * @example objectPlaneBlurMm(focusAt({ focalMm: 85, fieldCurvature: 0 }, 3), 2, 10, 1) // 99.2: a wall 7 m behind
 */
export function objectPlaneBlurMm(
	focus: FocusedOptic,
	fNumber: number,
	depthM: number,
	cosOffAxis: number
): number {
	const surfaceM = focus.planeM * fieldCurvatureFactor(focus.fieldCurvature, cosOffAxis);
	return (focus.focalMm / fNumber) * Math.abs(1 - depthM / surfaceM);
}

/**
 * What a blur disc leaves of a bar pattern: |2 J1(x)/x|, x = pi smear / (2 bar), nothing from the
 * first zero on. Source: Hopkins, "The frequency response of a defocused optical system", 1955
 * (geometrical limit, from memory).
 *
 * @param smear diameter of the disc in the plane of the bars, mm
 * @param barMm width of one bar, mm
 *
 * @example defocusContrast(10, 10) // 0.722
 */
export function defocusContrast(smear: number, barMm: number): number {
	const x = (Math.PI * smear) / (2 * barMm);
	return x >= FIRST_ZERO_OF_J1 ? 0 : Math.abs(jinc(x));
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
