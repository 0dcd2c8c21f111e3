import type { CameraPoint } from '../geometry/camera';
import { vergenceError, type FocusedOptic } from './focus';

/** Green light, mm. */
export const WAVELENGTH_MM = 0.00055;

/**
 * Diameter of the blur disc on the sensor from defocus alone: c = (f/N) v |1/D - 1/s'| / 1000.
 * Source: similar triangles behind a thin lens; in this form in Ray, Applied Photographic Optics,
 * depth of field (from memory).
 *
 * @param errorPerM distance from focus in vergence, 1/m
 * @returns mm
 *
 * @example defocusMm({ focalMm: 50, imageDistanceMm: 52.63 }, 2, 1 / 1 - 1 / 2) // 0.658: 2 m, focused on 1 m
 */
export function defocusMm(
	{ focalMm, imageDistanceMm }: Pick<FocusedOptic, 'focalMm' | 'imageDistanceMm'>,
	fNumber: number,
	errorPerM: number
): number {
	return ((focalMm / fNumber) * imageDistanceMm * errorPerM) / 1000;
}

/** The same of a point, at its depth and angle off the axis. */
export const defocusAt = (
	focus: FocusedOptic,
	fNumber: number,
	{ depthM, cosOffAxis }: Pick<CameraPoint, 'depthM' | 'cosOffAxis'>
): number => defocusMm(focus, fNumber, vergenceError(focus, depthM, cosOffAxis));

/**
 * The vergence error, 1/m, that makes a blur disc of a given diameter: `defocusMm` turned round.
 */
export function vergenceErrorOf(focus: FocusedOptic, fNumber: number, discMm: number): number {
	return (discMm * 1000 * fNumber) / (focus.focalMm * focus.imageDistanceMm);
}

/**
 * Diffraction as the defocus disc that halves the contrast of the same detail:
 * g = 1.745 x wavelength x N x v / f. A disc of diameter c halves it at 0.7051 / c, diffraction at
 * 0.404 / (wavelength x N). Source: Goodman, Introduction to Fourier Optics, incoherent transfer
 * functions (from memory).
 *
 * @returns mm on the sensor
 *
 * @example diffractionMm(focusAt({ focalMm: 50, fieldCurvature: 0 }, 1), 16) // 0.0162
 */
export function diffractionMm(focus: FocusedOptic, fNumber: number): number {
	return (1.745 * WAVELENGTH_MM * fNumber * focus.imageDistanceMm) / focus.focalMm;
}

/**
 * Defocus and diffraction together, root-sum-square. Source: Conrad, "Depth of Field in Depth"
 * (from memory).
 *
 * @example combinedBlurMm(0.03, 0.04) // 0.05
 */
export function combinedBlurMm(defocus: number, diffraction: number): number {
	return Math.hypot(defocus, diffraction);
}
