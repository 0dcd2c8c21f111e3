import { z } from 'zod';
import { LANDMARK_NAMES } from '../tables/landmarks';

/** What was measured of a photograph that came home: kept in the browser instead of the picture. */

const finite = z.number();
const share = z.number().min(0).max(1);

const SpreadSchema = z.strictObject({ xx: finite, yy: finite, xy: finite });
/** There are thousands of them: numbers in one piece take a quarter of the room, and go from thread to thread at once. */
const PowerSchema = z
	.union([z.instanceof(Float32Array), z.array(finite).transform((list) => Float32Array.from(list))])
	.refine((power) => power.length <= 400 && power.every(Number.isFinite));
const SpectrumSchema = z.strictObject({
	power: PowerSchema,
	noise: finite.positive(),
	scale: finite.positive(),
	sidePx: z.int().positive()
});

/** A place that was measured; px from the top left of the picture. */
const SpotSchema = z.strictObject({
	x: finite,
	y: finite,
	/** By its edges alone; null where they tell nothing. */
	edges: SpreadSchema.nullable(),
	spectrum: SpectrumSchema.nullable()
});

const EyeSchema = z.strictObject({
	...SpotSchema.shape,
	/** Height over width of the lids' opening. */
	openness: finite
});

const FaceSchema = z.strictObject({
	/** Distance of the eyes, px. */
	eyesPx: finite.positive(),
	/** Width of the iris, px. */
	irisPx: finite,
	/** From ear to ear or so, px. */
	widthPx: finite.positive(),
	/** px from the middle of the picture, to the right and up. */
	landmarks: z
		.array(
			z.strictObject({ landmark: z.enum(LANDMARK_NAMES), x: finite, y: finite, sigmaPx: finite })
		)
		.readonly(),
	turn: z.strictObject({ deg: finite, sigmaDeg: finite }).optional(),
	left: EyeSchema,
	right: EyeSchema,
	nose: SpotSchema,
	hair: SpotSchema,
	/** Share of the face that is as bright as can be. */
	clipped: share
});

/** Something pointed at: where, half of what was looked at, and how like the one pointed at, 0 to 1. */
const PointedSchema = z.strictObject({
	...SpotSchema.shape,
	id: z.string().max(80),
	/** Id in the plan, where it is the eye of somebody whose face is not found. */
	personId: z.string().max(80).optional(),
	/** How like is what its lids leave open: of shut ones little. */
	openLikeness: finite.optional(),
	reachPx: finite.positive(),
	likeness: finite
});

const FactsSchema = z.strictObject({
	isPractice: z.boolean().optional(),
	bodyName: z.string().optional(),
	lensName: z.string().optional(),
	focalMm: finite.optional(),
	focal35Mm: finite.optional(),
	fNumber: finite.optional(),
	shutterS: finite.optional(),
	iso: finite.optional(),
	isFlashed: z.boolean().optional(),
	subjectM: finite.optional(),
	planePixels: finite.optional(),
	planeUnit: finite.optional(),
	pixelsAcross: finite.optional(),
	pixelsDown: finite.optional(),
	takenAt: z.string().optional()
});

export const MeasuredFrameSchema = z.strictObject({
	name: z.string().max(300),
	/** By the clock of the camera, ms as if it were UTC; null where the file does not say. */
	localMs: finite.nullable(),
	facts: FactsSchema,
	widthPx: z.int().positive(),
	heightPx: z.int().positive(),
	/** Share of the whole that is as bright as can be. */
	clipped: share,
	faces: z.array(FaceSchema).max(200).readonly(),
	pointed: z.array(PointedSchema).max(20).readonly()
});

export type MeasuredFrame = z.output<typeof MeasuredFrameSchema>;
export type MeasuredFace = MeasuredFrame['faces'][number];
export type MeasuredSpot = z.output<typeof SpotSchema>;
export type PointedSpot = z.output<typeof PointedSchema>;

export const MARKS = ['keep', 'maybe', 'drop'] as const;
export type Mark = (typeof MARKS)[number];

/** What somebody said of a frame. */
export const JudgementSchema = z.strictObject({
	mark: z.enum(MARKS).nullable(),
	/** The one of its shot that is shown large. */
	isFavourite: z.boolean(),
	note: z.string().max(400),
	/** The shot it was put to by hand: an id, "none" for one apart; null while it goes by itself. */
	shotId: z.string().max(80).nullable()
});
export type Judgement = z.output<typeof JudgementSchema>;
export const UNJUDGED: Judgement = { mark: null, isFavourite: false, note: '', shotId: null };
/** Whether nothing was said of a frame. */
export const isUnsaid = ({ mark, isFavourite, note, shotId }: Judgement): boolean =>
	mark === null && !isFavourite && note === '' && shotId === null;
/** A frame that was put apart from all shots by hand. */
export const APART = 'none';
