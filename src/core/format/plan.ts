import { z } from 'zod';
import { LANDMARK_NAMES } from '../tables/landmarks';
import { ToldAdviceSchema } from './advice';
import { ToldCautionSchema, ToldReasonSchema, type Caution, type Reason } from './reasons';
import { TECHNIQUES } from './shot';

/**
 * The plan file, version 1: what a shot's plan says. Lengths in the unit of their name; null where
 * there is nothing to say or no limit. `advice` is there where it was asked for: it takes longer.
 */

const State = z.enum(['sharp', 'marginal', 'soft']);

/**
 * What is wrong with an exposure:
 * - `iso-above-comfort` more ISO than the photographer likes (marked only)
 * - `iso-high` the ISO needed is over the body's highest, or at the highest half the frames are lost
 * - `too-bright` the shutter needed is faster than the fastest, or the flash too strong at its least
 * - `too-slow` with the ISO held, the shutter is slower than hands and people allow
 * - `no-power` the flash cannot give that much
 * - `sync` people or hands ask for a shutter faster than the flash allows
 * - `room-light` the light of the room shows beside the flash (marked only)
 */
const LIGHT_FLAGS = [
	'iso-above-comfort',
	'iso-high',
	'too-bright',
	'too-slow',
	'no-power',
	'sync',
	'room-light'
] as const;
export type LightFlag = (typeof LIGHT_FLAGS)[number];
const LightFlagSchema = z.enum(LIGHT_FLAGS);

const ExposureSchema = z.strictObject({
	shutterS: z.number(),
	iso: z.number(),
	flashPower: z.number().nullable().describe('share of full power; null without flash'),
	flags: z.array(LightFlagSchema)
});

const FocusSchema = z.strictObject({
	kind: z
		.enum(['eye', 'landmark', 'thing', 'depth', 'plane'])
		.describe('plane: between; person or thing and landmark say what to lock on'),
	personId: z.string().nullable(),
	thingId: z.string().nullable(),
	eye: z.enum(['left', 'right']).nullable().describe('the person’s own left or right'),
	landmark: z.enum(LANDMARK_NAMES).nullable(),
	where: z.string().describe('in words: “middle row, third from left”'),
	depthM: z.number(),
	planeM: z.number().describe('the focused depth on the optical axis'),
	distanceM: z.number(),
	fromSensorM: z.number().describe('as the lens’s distance scale counts it: from the sensor mark'),
	frame: z.strictObject({ x: z.number(), y: z.number() }).describe('from the top-left corner'),
	point: z
		.strictObject({ column: z.int(), row: z.int() })
		.nullable()
		.describe('nearest focus point, from 0 at the top left of the body; null if none reaches'),
	technique: z.enum([...TECHNIQUES, 'lean']),
	leanM: z.number().nullable().describe('after locking on, forward positive'),
	reframeErrorM: z.number().describe('how far behind the spot locking and reframing would focus')
});

const TargetSchema = z.strictObject({
	personId: z.string().optional(),
	thingId: z.string().optional(),
	landmark: z.enum([...LANDMARK_NAMES, 'thing']),
	depthM: z.number(),
	defocusMm: z.number(),
	blurMm: z.number(),
	ratio: z.number(),
	state: State
});

const ThingSchema = z.strictObject({
	id: z.string(),
	depthM: z.number(),
	smearMm: z.number().nullable(),
	contrast: z.number().nullable(),
	hiddenShare: z
		.number()
		.nullable()
		.describe('of its part in the frame, by who and what stands before it'),
	state: z.enum(['readable', 'recognisable', 'dissolved', 'outside']),
	intent: z.enum(['sharp', 'readable', 'recognisable', 'dissolved', 'any']),
	met: z.boolean().nullable()
});

const RungSchema = z.strictObject({
	fNumber: z.number(),
	fNumberExact: z.number(),
	worstRatio: z.number(),
	focusPersonId: z.string().nullable(),
	sharpPeople: z.int(),
	people: z.int(),
	thingsMet: z.int(),
	things: z.int(),
	diffraction: z.boolean(),
	shutterS: z.number().nullable().describe('null while nothing is known of the light'),
	iso: z.number().nullable(),
	flags: z.array(LightFlagSchema),
	feasible: z.boolean(),
	sharpShare: z.number().nullable().describe('share of frames sharp, blinks left aside')
});

const FreePlaneSchema = z.strictObject({
	depthM: z.number(),
	fNumberExact: z.number().nullable(),
	gainStops: z.number().nullable(),
	leanM: z.number().describe('forward positive')
});

const SchoolSchema = z.strictObject({
	school: z.enum(['front-row', 'middle-row', 'third-in', 'nearest-eye', 'computed-plane']),
	depthM: z.number(),
	fNumberExact: z.number().nullable()
});

const SlackSchema = z.strictObject({
	cameraForwardM: z.number().nullable(),
	cameraBackM: z.number().nullable(),
	people: z.array(
		z.strictObject({
			personId: z.string(),
			forwardM: z.number().nullable().describe('towards the camera'),
			backM: z.number().nullable()
		})
	)
});

const UnseenSchema = z.strictObject({
	personId: z.string(),
	why: z.enum(['cut', 'turned', 'hidden']),
	by: z.string().nullable().describe('id of the person or thing in the way')
});

export const PlanSchema = z.strictObject({
	format: z.literal('focalis-plan'),
	version: z.literal(1),
	toleranceMm: z.number(),
	feasible: z.boolean(),
	fNumber: z.number().nullable().describe('as engraved'),
	fNumberExact: z.number().nullable(),
	focus: FocusSchema.nullable(),
	worstRatio: z.number().nullable(),
	targets: z.array(TargetSchema),
	things: z.array(ThingSchema),
	ladder: z.array(RungSchema),
	free: FreePlaneSchema.nullable(),
	schools: z.array(SchoolSchema),
	slack: SlackSchema.nullable(),
	exposure: ExposureSchema.nullable().describe('null while nothing is known of the light'),
	unseen: z.array(UnseenSchema),
	reasons: z.array(ToldReasonSchema),
	advice: z.array(ToldAdviceSchema).optional(),
	cautions: z.array(ToldCautionSchema)
});

/** A plan as it is written and answered: with its words. */
export type PlanFile = z.infer<typeof PlanSchema>;
export type Focus = Omit<z.infer<typeof FocusSchema>, 'where'>;
/** A plan as it is worked out: without words. Where somebody stands follows from the rows. */
export type Plan = Omit<PlanFile, 'focus' | 'reasons' | 'advice' | 'cautions'> & {
	readonly focus: Focus | null;
	readonly reasons: readonly Reason[];
	readonly cautions: readonly Caution[];
};
export type TargetResult = z.infer<typeof TargetSchema>;
export type ThingResult = z.infer<typeof ThingSchema>;
export type Rung = z.infer<typeof RungSchema>;
export type FreePlane = z.infer<typeof FreePlaneSchema>;
export type School = z.infer<typeof SchoolSchema>;
export type Slack = z.infer<typeof SlackSchema>;
export type Unseen = z.infer<typeof UnseenSchema>;
export type State = z.infer<typeof State>;
