import type { Lens, Sensor } from '../format/shot';

/** Diagonal of a 36 x 24 mm frame, mm. */
export const FULL_FRAME_DIAGONAL_MM = 43.2666;

/**
 * How many times smaller than full frame a sensor is, by its diagonal: 43.2666 / d.
 * @example cropFactor({ widthMm: 23.5, heightMm: 15.6, … }) // 1.53
 */
export function cropFactor({ widthMm, heightMm }: Pick<Sensor, 'widthMm' | 'heightMm'>): number {
	return FULL_FRAME_DIAGONAL_MM / Math.hypot(widthMm, heightMm);
}

/** A corner may lie so much outside the image circle: sensors of a kind differ by a little. */
const A_HAIR = 1.03;

/** Whether the picture of a lens reaches the corners of a sensor. */
export function covers(
	{ imageCircleMm = Infinity }: Pick<Lens, 'imageCircleMm'>,
	{ widthMm, heightMm }: Pick<Sensor, 'widthMm' | 'heightMm'>
): boolean {
	return Math.hypot(widthMm, heightMm) <= imageCircleMm * A_HAIR;
}
