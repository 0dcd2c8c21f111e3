import { RULES } from '../tables/rules';
import type { MeasuredFrame } from '../format/review';
import type { Body, Shot } from '../format/shot';
import { lensOf } from '../photograph/lensOf';
import { toleranceMm } from '../sharpness/tolerance';
import type { TakenWith } from './whereFocusFell';

/** Pixels of a frame against what the plan is in: lengths on the sensor. */

const longPx = ({ widthPx, heightPx }: Pick<MeasuredFrame, 'widthPx' | 'heightPx'>): number =>
	Math.max(widthPx, heightPx);

/** Less blur than its own pixels make cannot be asked of a picture that was made smaller, nor told in it, px. */
const LEAST_TOLERATED_PX = 2;

/** The largest blur that still counts as sharp, px: by the plan's own standard, or on a whole screen. */
export function tolerancePx(frame: MeasuredFrame, shot: Shot | null): number {
	const { sensor } = shot?.body ?? {};
	const share =
		shot && sensor
			? toleranceMm(shot.sharpness, sensor) / sensor.widthMm
			: RULES.screenTolerancePx / RULES.screenPixelsAcross;
	return Math.max(LEAST_TOLERATED_PX, share * longPx(frame));
}

/** What a frame was taken with, in pixels of it, too. */
export interface FrameLens extends TakenWith {
	readonly focalPx: number;
}

/** The lens of a frame; null where the file does not say it, and the plan does not either. */
export function takenWith(
	frame: MeasuredFrame,
	shot: Shot | null,
	bodies: readonly Body[]
): FrameLens | null {
	const { facts } = frame;
	const found = lensOf(facts, frame, shot ? [...bodies, shot.body] : bodies);
	const focalMm = facts.focalMm ?? shot?.camera.focalMm;
	const fNumber = facts.fNumber;
	if (focalMm === undefined || fNumber === undefined) return null;
	const focalPx = found?.focalPx ?? (shot && (focalMm * longPx(frame)) / shot.body.sensor.widthMm);
	return focalPx ? { focalMm, fNumber, focalPx, pxPerMm: focalPx / focalMm } : null;
}
