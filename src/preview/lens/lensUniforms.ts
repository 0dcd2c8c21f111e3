import { Vector2, Vector4, type IUniform } from 'three';
import type { LensSetting, Window } from '../scene';
import type { PupilPoint } from './aperture';

/** Nearest and farthest depth drawn, m. */
const NEAR_M = 0.06;
const FAR_M = 700;

/** What `LENS_GLSL` reads; one set is shared by everything that is drawn through the lens. */
export class LensUniforms {
	readonly uPupil = { value: new Vector2() };
	readonly uSurface = { value: new Vector2() };
	readonly uWindow = { value: new Vector4() };
	readonly uJitter = { value: new Vector2() };
	readonly uDither = { value: 0 };
	readonly uDepths = { value: new Vector2(NEAR_M, FAR_M) };

	/** Sets focus and window; `throughPoint` then chooses the point of the pupil. */
	set({ focus }: LensSetting, { x, y, widthMm, heightMm }: Window): void {
		const { imageDistanceMm, planeM, fieldBend } = focus;
		this.uSurface.value.set(1 / planeM, fieldBend);
		this.uWindow.value.set(
			(2 * imageDistanceMm) / widthMm,
			(2 * imageDistanceMm) / heightMm,
			(-2 * x) / widthMm,
			(-2 * y) / heightMm
		);
	}

	/**
	 * Chooses the point of the pupil that the scene is seen from.
	 *
	 * @param radiusM half the diameter f/N of the opening
	 * @param jitter  shift of the picture, in its half width and half height
	 * @param dither  shift of its light, in steps
	 */
	throughPoint(
		point: PupilPoint,
		radiusM: number,
		jitter: readonly [number, number],
		dither = 0
	): void {
		this.uPupil.value.set(point.x * radiusM, point.y * radiusM);
		this.uJitter.value.set(...jitter);
		this.uDither.value = dither;
	}

	get all(): Record<string, IUniform> {
		const { uPupil, uSurface, uWindow, uJitter, uDither, uDepths } = this;
		return { uPupil, uSurface, uWindow, uJitter, uDither, uDepths };
	}
}

/** Half the diameter of the entrance pupil f/N, m. */
export const pupilRadiusM = ({ focus, fNumber }: LensSetting): number =>
	focus.focalMm / fNumber / 2000;
