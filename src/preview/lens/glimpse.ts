import { evenPoint, pupilPoints, type PupilPoint } from './aperture';

/** One look at the scene, of the many that make a picture. */
export interface Glimpse {
	/** The point of the opening that it is seen through. */
	readonly pupil: PupilPoint;
	/** How far the picture is shifted on the sensor, px to the right and up. */
	readonly shiftPx: { readonly x: number; readonly y: number };
	/** When, from the middle of the exposure, s. */
	readonly timeS: number;
	/** Shift of the light by which it is kept, in steps from -0.5 to 0.5. */
	readonly dither: number;
}

/** Steps of dither by the golden ratio: every beginning of them is even. */
export const evenDither = (i: number): number => ((i * 0.618034) % 1) - 0.5;

/** Looks that spread evenly over the opening and the pixel, every beginning of the list too; nothing moves. */
export function stillGlimpses(count: number, blades: number): Glimpse[] {
	return pupilPoints(count, blades).map((pupil, i) => {
		// a sequence of its own, so that place in the pixel and place in the pupil are unrelated
		const [u, v] = evenPoint(i * 5 + 2);
		return { pupil, shiftPx: { x: u - 0.5, y: v - 0.5 }, timeS: 0, dither: evenDither(i) };
	});
}

/** Straight through the middle. */
export const STRAIGHT: Glimpse = {
	pupil: { x: 0, y: 0 },
	shiftPx: { x: 0, y: 0 },
	timeS: 0,
	dither: 0
};
