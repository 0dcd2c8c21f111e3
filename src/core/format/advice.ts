import { z } from 'zod';
import type { WithText } from './reasons';

/** What to change about a shot, as data: one move or two, how much of each, and what comes of it. */

const move = <const C extends string, S extends z.ZodRawShape>(code: C, values: S) =>
	z.strictObject({ code: z.literal(code), ...values });

const personId = z.string();
const thingId = z.string().describe('of a thing, or `shot.background`');

const MoveSchema = z.discriminatedUnion('code', [
	move('step-back', { byM: z.number() }),
	move('step-back-and-lengthen', { byM: z.number(), focalMm: z.number() }),
	move('raise-camera', { byM: z.number() }),
	move('close-rows', { byM: z.number().describe('the back row, towards the front') }),
	move('line-up', {
		byM: z.number().describe('the most that anybody moves'),
		rows: z.int(),
		isBent: z.boolean().describe('to the bent surface of focus of the lens')
	}),
	move('turn-head', { personId, byDeg: z.number().describe('towards the camera') }),
	move('off-background', { byM: z.number(), thingId }),
	move('bring-nearer', { byM: z.number().describe('to the people'), thingId }),
	move('near-lens', { byM: z.number(), thingId }),
	move('hang-higher', { byM: z.number(), thingId }),
	move('larger', { detailMm: z.number().describe('its detail then'), thingId }),
	move('f-number', { isWider: z.boolean() }),
	move('other-lens', {
		lens: z.string(),
		focalMm: z.number().nullable().describe('null for a lens that does not zoom'),
		backM: z.number().describe('forward negative')
	}),
	move('softer-need', { personId }),
	move('give-up-thing', { thingId }),
	move('hold', { support: z.enum(['braced', 'kneeling', 'monopod', 'tripod']) }),
	move('faster-shutter', { shutterS: z.number(), iso: z.number().describe('that it takes') }),
	move('more-light', { stops: z.number() }),
	move('flash', { distanceM: z.number().describe('from the flash to the people') }),
	move('focus-by', { focusBy: z.enum(['point', 'eye-found', 'hand-magnified']) }),
	move('third-more', {}),
	move('near-eye', { personId }),
	move('give-up', { personIds: z.array(personId), need: z.enum(['soft', 'free']) })
]);

const thingIds = z.array(z.string()).describe('things that were missed');

/** What a change brings. */
const GainSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('holds-everyone') }),
	z.strictObject({ kind: z.literal('background-comes'), thingIds }),
	z.strictObject({ kind: z.literal('background-gone'), thingIds }),
	z.strictObject({ kind: z.literal('stops'), stops: z.number() }),
	z.strictObject({ kind: z.literal('frames') })
]);

const AdviceSchema = z.strictObject({
	code: z.enum([...MoveSchema.options.map(({ shape }) => shape.code.value), 'pair']),
	moves: z.array(MoveSchema).min(1).describe('done one after the other'),
	gain: GainSchema,
	fNumber: z.number().describe('of the plan that results, as engraved'),
	fNumberExact: z.number(),
	feasible: z.boolean(),
	intentsMet: z.int(),
	gainStops: z.number().describe('by which the f-number needed falls'),
	goodShare: z.number().describe('of the frames: sharp, with open eyes'),
	gainFrames: z.number().describe('good ones more in a hundred; fewer negative')
});

/** A move as it was made. */
export type MoveMade = z.infer<typeof MoveSchema>;
export type MoveMadeOf<C extends MoveMade['code']> = Extract<MoveMade, { code: C }>;
export type AdviceData = z.infer<typeof AdviceSchema>;

export const ToldAdviceSchema: z.ZodType<WithText<AdviceData>> = AdviceSchema.extend({
	text: z.string().describe('in English, lengths in metres')
});
