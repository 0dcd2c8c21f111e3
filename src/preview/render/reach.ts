import { pupilRadiusM } from '../lens/lensUniforms';
import type { Figure, Subject } from '../scene';
import { along } from '$core/geometry/vector';

/**
 * On which sides of a window a point lies outside, whichever point of the pupil it is seen from: a
 * sum of 1 left, 2 right, 4 below, 8 above, 16 behind the lens. What has all its corners outside on
 * one side cannot be in the window: the distance from a side is a concave function of the place.
 */
export type Outside = (x: number, y: number, z: number) => number;

export function outsideOf({
	setting,
	window,
	streakMm = 0
}: Pick<Subject, 'setting' | 'window' | 'streakMm'>): Outside {
	const { imageDistanceMm: v, planeM, fieldCurvature } = setting.focus;
	const radiusM = pupilRadiusM(setting);
	const [left, right] = [window.x - window.widthMm / 2, window.x + window.widthMm / 2];
	const [low, high] = [window.y - window.heightMm / 2, window.y + window.heightMm / 2];
	return (x, y, z) => {
		// blur, streaks and a pixel of room, in mm of the image times depth
		const room =
			radiusM * v * (Math.abs(z / planeM - 1) + Math.abs(fieldCurvature * z) / planeM) +
			(0.01 * window.widthMm + streakMm) * Math.abs(z);
		return (
			(x * v + room < left * z ? 1 : 0) +
			(x * v - room > right * z ? 2 : 0) +
			(y * v + room < low * z ? 4 : 0) +
			(y * v - room > high * z ? 8 : 0) +
			(z < 0 ? 16 : 0)
		);
	};
}

const HALF_WIDTH_M = 0.55;
const ABOVE_M = 0.35;

/** Whether any part of a figure may show in a window. */
export function reaches({ head, body, eyeHeightM }: Figure, outside: Outside): boolean {
	let common = 31;
	for (const up of [ABOVE_M, -eyeHeightM]) {
		for (const left of [HALF_WIDTH_M, -HALF_WIDTH_M]) {
			for (const out of [HALF_WIDTH_M, -HALF_WIDTH_M]) {
				const at = along(along(along(head.origin, body.up, up), body.left, left), body.out, out);
				common &= outside(at.x, at.y, at.z);
			}
		}
	}
	return common === 0;
}
