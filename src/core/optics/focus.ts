import { imageDistanceMm } from '../geometry/thinLens';
import { vergence } from './vergence';

/** A lens set to a focal length, with the bend of its surface of focus. */
export interface Optic {
	readonly focalMm: number;
	/** 0: the surface of focus is a flat plane; 1: a shell around the camera. */
	readonly fieldCurvature: number;
}

/** A lens focused: `planeM` is the focused depth on the axis. */
export interface FocusedOptic extends Optic {
	readonly planeM: number;
	readonly imageDistanceMm: number;
}

/**
 * Focuses a lens on a depth on its axis, m.
 *
 * @example focusAt({ focalMm: 50, fieldCurvature: 0 }, 1).imageDistanceMm // 52.63
 */
export function focusAt({ focalMm, fieldCurvature }: Optic, planeM: number): FocusedOptic {
	return { focalMm, fieldCurvature, planeM, imageDistanceMm: imageDistanceMm(focalMm, planeM) };
}

/**
 * Field curvature, how the surface of focus bends: its depth in a direction `a` off the axis is
 * s' = s (1 - k (1 - cos a)), k the curvature (`fieldBend` in the files): 0 a flat plane, 1 a shell
 * around the camera. Source: the first-order (spherical) form of field curvature, as a share of the depth.
 *
 * @returns s'/s
 */
export function fieldCurvatureFactor(fieldCurvature: number, cosOffAxis: number): number {
	return 1 - fieldCurvature * (1 - cosOffAxis);
}

/** Depth on the axis, m, that puts the surface of focus through a point off the axis. */
export function planeThrough(optic: Optic, depthM: number, cosOffAxis: number): number {
	return depthM / fieldCurvatureFactor(optic.fieldCurvature, cosOffAxis);
}

/**
 * The vergence that a lens is focused on when its image lies at a distance: 1/s = 1/f - 1/v.
 *
 * @returns 1/m
 */
export const vergenceOfImage = (focalMm: number, imageMm: number): number =>
	1000 * (1 / focalMm - 1 / imageMm);

/**
 * Distance from focus in vergence: |1/D - 1/s'|, 1/m. Zero on the surface of focus.
 *
 * @param depthM     depth of the point, m
 * @param cosOffAxis cosine of its angle off the axis
 */
export function vergenceError(focus: FocusedOptic, depthM: number, cosOffAxis: number): number {
	const surfaceM = focus.planeM * fieldCurvatureFactor(focus.fieldCurvature, cosOffAxis);
	return Math.abs(vergence(depthM) - vergence(surfaceM));
}

/**
 * A lens whose image lies at a distance behind it, mm, wherever that is in focus: behind infinity, too,
 * where the depth is negative.
 */
export function focusedAt({ focalMm, fieldCurvature }: Optic, imageMm: number): FocusedOptic {
	const planeM = 1 / vergenceOfImage(focalMm, imageMm);
	return { focalMm, fieldCurvature, planeM, imageDistanceMm: imageMm };
}
