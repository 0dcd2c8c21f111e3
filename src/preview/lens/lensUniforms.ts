import { Vector2, Vector4, type IUniform } from 'three';
import type { LensSetting, PreviewSize, Window } from '../scene';
import type { Glimpse } from './glimpse';

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
	/** Of the exposure, from its middle, s. */
	readonly uTimeS = { value: 0 };
	readonly uDepths = { value: new Vector2(NEAR_M, FAR_M) };

	/** Sets focus and window; `look` then says from where and when. */
	set({ focus }: LensSetting, { x, y, widthMm, heightMm }: Window): void {
		const { imageDistanceMm, planeM, fieldCurvature } = focus;
		this.uSurface.value.set(1 / planeM, fieldCurvature);
		this.uWindow.value.set(
			(2 * imageDistanceMm) / widthMm,
			(2 * imageDistanceMm) / heightMm,
			(-2 * x) / widthMm,
			(-2 * y) / heightMm
		);
	}

	/**
	 * Looks once.
	 *
	 * @param radiusM half the diameter f/N of the opening
	 * @param size    of the picture, px
	 */
	look({ pupil, shiftPx, timeS, dither }: Glimpse, radiusM: number, size: PreviewSize): void {
		this.uPupil.value.set(pupil.x * radiusM, pupil.y * radiusM);
		this.uJitter.value.set((2 * shiftPx.x) / size.widthPx, (2 * shiftPx.y) / size.heightPx);
		this.uTimeS.value = timeS;
		this.uDither.value = dither;
	}

	get all(): Record<string, IUniform> {
		const { uPupil, uSurface, uWindow, uJitter, uTimeS, uDither, uDepths } = this;
		return { uPupil, uSurface, uWindow, uJitter, uTimeS, uDither, uDepths };
	}
}

/** Half the diameter of the entrance pupil f/N, m. */
export const pupilRadiusM = ({ focus, fNumber }: LensSetting): number =>
	focus.focalMm / fNumber / 2000;
