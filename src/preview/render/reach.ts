import { pupilRadiusM } from '../lens/lensUniforms';
import type { Figure, LensSetting, Window } from '../scene';

/** A ball around a whole figure: half its eye height down, m. */
const HALF_WIDTH_M = 0.5;

/** Whether any part of a figure, blurred as it is, may show in a window of the sensor. */
export function reaches(
	{ head: { origin }, body, eyeHeightM }: Figure,
	setting: LensSetting,
	window: Window
): boolean {
	const halfM = eyeHeightM / 2;
	const centre = {
		x: origin.x - body.up.x * halfM,
		y: origin.y - body.up.y * halfM,
		z: origin.z - body.up.z * halfM
	};
	const radiusM = Math.hypot(halfM + 0.25, HALF_WIDTH_M) + pupilRadiusM(setting);
	if (centre.z < -radiusM) return false;
	// the ball's shadow on the window, never too small: its own depth less its radius
	const nearM = Math.max(centre.z - radiusM, 0.05);
	const perM = setting.focus.imageDistanceMm / nearM;
	const blurMm =
		pupilRadiusM(setting) *
		setting.focus.imageDistanceMm *
		Math.abs(1 / nearM - 1 / setting.focus.planeM);
	const spreads = (at: number, middle: number, half: number) => {
		const low = Math.min(
			(at - radiusM) * perM,
			((at - radiusM) * setting.focus.imageDistanceMm) / (centre.z + radiusM)
		);
		const high = Math.max(
			(at + radiusM) * perM,
			((at + radiusM) * setting.focus.imageDistanceMm) / (centre.z + radiusM)
		);
		return high + blurMm > middle - half && low - blurMm < middle + half;
	};
	return (
		spreads(centre.x, window.x, window.widthMm / 2) &&
		spreads(centre.y, window.y, window.heightMm / 2)
	);
}
