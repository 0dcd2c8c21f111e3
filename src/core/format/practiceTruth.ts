import { z } from 'zod';
import { LANDMARK_NAMES } from '../tables/landmarks';

/**
 * What is true of practice frames, kept apart from their files: for tests, and for exercises that say
 * afterwards how well something was judged. Places are shares of the frame as held, from the top left.
 */

const Pair = z.strictObject({ x: z.number(), y: z.number() });

/** What is true of a face: what a measurement of its pixels should find. */
const FaceTruthSchema = z.strictObject({
	personId: z.string(),
	isShut: z.boolean(),
	landmarks: z.array(
		z.strictObject({
			landmark: z.enum(LANDMARK_NAMES),
			...Pair.shape,
			depthM: z.number(),
			/** Diameter of the disc from defocus alone, and with diffraction, mm on the sensor. */
			defocusMm: z.number(),
			blurMm: z.number(),
			/** What motion and shake draw it out by, mm to the right and up. */
			streakMm: Pair
		})
	)
});

export const PracticeTruthSchema = z.strictObject({
	format: z.literal('focalis-practice-truth'),
	version: z.literal(1),
	frames: z.array(
		z.strictObject({
			file: z.string(),
			title: z.string(),
			/** As held. */
			widthPx: z.int(),
			heightPx: z.int(),
			/** Sensor's side along the width as held, mm. */
			widthMm: z.number(),
			toleranceMm: z.number(),
			fNumberExact: z.number(),
			shutterS: z.number(),
			iso: z.number(),
			/** Depth in focus on the axis, m; null beyond infinity. */
			focusedM: z.number().nullable(),
			isElsewhere: z.boolean(),
			isSharp: z.boolean(),
			isGood: z.boolean(),
			faces: z.array(FaceTruthSchema)
		})
	)
});

export type FaceTruth = z.output<typeof FaceTruthSchema>;
export type PracticeTruth = z.output<typeof PracticeTruthSchema>;
