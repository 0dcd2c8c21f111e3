import { z } from 'zod';
import { LANDMARK_NAMES } from '../tables/landmarks';

/**
 * Why a plan is as it is, as data: each reason has a code, a topic and its values. Words for it are
 * made elsewhere; in files and answers each carries its `text` besides.
 */

/** Something that a reason speaks of. */
const spot = {
	personId: z.string().optional(),
	thingId: z.string().optional(),
	landmark: z.enum([...LANDMARK_NAMES, 'thing'])
};

function said<const T extends string, const C extends string, S extends z.ZodRawShape>(
	topic: T,
	code: C,
	values: S
) {
	return z.strictObject({ code: z.literal(code), topic: z.literal(topic), ...values });
}

const stops = z.number();
const metres = z.number();

const SHARPNESS = [
	said('sharpness', 'nobody-seen', {}),
	said('sharpness', 'binding', { ...spot, fNumber: z.number() }),
	said('sharpness', 'infeasible', { ...spot, fNumber: z.number(), shortStops: stops }),
	said('sharpness', 'no-margin', { safetyStops: stops }),
	said('sharpness', 'diffraction', { fNumber: z.number() })
] as const;

const FOCUS = [
	said('focus', 'no-focus', {}),
	said('focus', 'too-close', {
		personId: z.string().optional(),
		thingId: z.string().optional(),
		depthM: metres,
		closestFocusM: metres
	}),
	said('focus', 'lean', { leanM: metres.describe('forward positive'), gainStops: stops }),
	said('focus', 'move-point', {
		...spot,
		column: z.int().describe('from 0 at the top left of the body'),
		row: z.int(),
		columns: z.int(),
		rows: z.int(),
		isGiven: z.boolean().describe('whether the body’s own focus points are known'),
		isUpright: z.boolean()
	}),
	said('focus', 'between', {
		...spot,
		leanM: metres.nullable().describe('forward positive; null when too far to lean'),
		planeM: metres
	}),
	said('focus', 'reframe', { ...spot, hasPoint: z.boolean() }),
	said('focus', 'manual', {
		...spot,
		/** A depth in empty air has nothing to focus on. */
		isSpot: z.boolean(),
		hasPoint: z.boolean(),
		canReframe: z.boolean()
	}),
	said('focus', 'reframe-error', {
		errorM: metres.describe('behind the spot'),
		ratio: z.number(),
		worstRatio: z.number(),
		holds: z.boolean()
	}),
	said('focus', 'box', { boxMm: z.number().describe('width of a focus box there, in the scene') }),
	said('focus', 'outer-point', {}),
	said('focus', 'mode-single', {}),
	said('focus', 'mode-continuous', spot),
	said('focus', 'tap', spot),
	said('focus', 'camera-takes', {
		left: z.enum(['area', 'whole-frame']).describe('what it is left to choose in'),
		isLeft: z.boolean().describe('whether the shot leaves it so; else a warning'),
		personId: z.string().optional(),
		thingId: z.string().optional(),
		softIds: z.array(z.string()).describe('people who would not be sharp')
	}),
	said('focus', 'focus-button', {}),
	said('focus', 'focus-on-place', {}),
	said('focus', 'grid', { grid: z.enum(['coarse', 'fine']) }),
	said('focus', 'hunting', { why: z.enum(['dark', 'plain']) })
] as const;

const IN_FRAME = [
	said('people', 'unseen', {
		personId: z.string(),
		why: z.enum(['cut', 'turned', 'hidden']),
		by: z.string().nullable()
	}),
	said('things', 'outside', { thingId: z.string() }),
	said('people', 'stretched', {
		personId: z.string(),
		share: z.number().describe('too wide, away from the middle of the frame')
	})
] as const;

const LIGHT = [
	said('light', 'shutter', {
		shutterS: z.number(),
		why: z.enum(['hands', 'motion', 'group', 'anyone', 'frames', 'fixed']),
		personId: z.string().optional(),
		focalMm: z.number()
	}),
	said('light', 'spoilt', {
		share: z.number().describe('of all frames, by that shutter alone'),
		by: z.enum(['hands', 'people']),
		shutterS: z.number()
	}),
	said('light', 'iso-above-comfort', { iso: z.number(), comfortIso: z.number() }),
	said('light', 'iso-high', { iso: z.number(), shortStops: stops }),
	said('light', 'too-bright', { shutterS: z.number(), shortStops: stops, isFlash: z.boolean() }),
	said('light', 'too-slow', { shutterS: z.number(), shortStops: stops }),
	said('light', 'no-power', { shortStops: stops }),
	said('light', 'sync', { shutterS: z.number() }),
	said('light', 'room-light', { belowStops: stops.describe('the room below the flash') }),
	said('light', 'frozen', {}),
	said('light', 'second-flash', {
		power: z.number().nullable().describe('null where it has not as much'),
		distanceM: metres,
		ratio: z.number().describe('of what both light to what the second lights alone')
	}),
	said('light', 'room-colour', {}),
	said('light', 'group-shutter', { shutterS: z.number() })
] as const;

const HABITS = [
	said('habits', 'drive', { drive: z.enum(['bursts', 'several', 'single']) }),
	said('habits', 'metering', { metering: z.enum(['point', 'frame']) }),
	said('habits', 'exposure-mode', {
		mode: z.enum(['aperture', 'iso-held', 'manual']),
		shutterS: z.number().describe('where the ISO follows, the slowest that is allowed'),
		iso: z.number()
	}),
	said('habits', 'stabiliser', { isOn: z.boolean() }),
	said('habits', 'highlights', {
		thingId: z.string().optional().describe('what may burn out; the sun when missing')
	}),
	said('habits', 'level', {})
] as const;

const CAUTIONS = [
	said('care', 'flash-infant', {}),
	said('care', 'flash-animal', {}),
	said('care', 'flash-people', {}),
	said('care', 'sun', {}),
	said('care', 'raised-camera', {}),
	said('care', 'raised-people', {}),
	said('care', 'support', {}),
	said('care', 'permission', {}),
	said('care', 'permission-people', {})
] as const;

const ReasonSchema = z.discriminatedUnion('code', [
	...SHARPNESS,
	...FOCUS,
	...IN_FRAME,
	...LIGHT,
	...HABITS
]);
const CautionSchema = z.discriminatedUnion('code', [...CAUTIONS]);

export type Reason = z.infer<typeof ReasonSchema>;
export type ReasonOf<C extends Reason['code']> = Extract<Reason, { code: C }>;
export type Caution = z.infer<typeof CautionSchema>;

/** What a reason speaks of: part of a face, or a thing. */
export type SpotRef = z.infer<z.ZodObject<typeof spot>>;

/** Data with its words. */
export type WithText<T> = T & { readonly text: string };

/** The schema of data with its words. */
function told<T extends { code: string }>(union: {
	readonly options: readonly z.ZodObject[];
}): z.ZodType<WithText<T>> {
	const [first, ...rest] = union.options.map((one) =>
		one.extend({ text: z.string().describe('in English, lengths in metres') })
	);
	return z.discriminatedUnion('code', [first as z.ZodObject, ...rest]) as unknown as z.ZodType<
		WithText<T>
	>;
}

export const ToldReasonSchema = told<Reason>(ReasonSchema);
export const ToldCautionSchema = told<Caution>(CautionSchema);
