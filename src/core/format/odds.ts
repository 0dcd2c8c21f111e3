import { z } from 'zod';
import { SPREADS, type Spreads } from '../tables/spreads';
import { number, record, text, whole } from './fields';
import { problemsOf, type Problem } from './problems';
import { ShotSchema } from './shot';
import { LANDMARK_NAMES } from '../tables/landmarks';

/** Asking for odds, and what comes back. */

export const CAUSES = [
	'depth',
	'camera',
	'focusing',
	'reframing',
	'people',
	'motion',
	'shake',
	'wrong-place',
	'blinking'
] as const;
/** What spoilt a frame; `depth` when it would have failed without any accident. */
export type Cause = (typeof CAUSES)[number];

/** Most frames of one request: with the most people a second or two of work. */
const MOST_FRAMES = 20_000;

/** Most lenses that have a bias of their own. */
const MOST_LENSES = 200;

const LensBiasSchema = z
	.record(
		text('the name of a lens', 1, 80),
		record('the bias of a lens', {
			biasMm: number(
				'how far a lens focuses in front',
				SPREADS.biasMm.low,
				SPREADS.biasMm.high,
				'mm'
			),
			frames: whole('the frames it was measured in', 1, 100_000)
		})
	)
	.refine((lenses) => Object.keys(lenses).length <= MOST_LENSES, {
		message: `at most ${MOST_LENSES} lenses have a bias of their own`
	});

/** Every spread within its bounds; what is left out stays as assumed. */
export const SpreadsSchema = record('the spreads', {
	...Object.fromEntries(
		Object.entries(SPREADS).map(([key, { of, initial, low, high, meaning, unit }]) => {
			const value = number(`“${meaning}”`, low, high, unit);
			// how far somebody sways is a length of the place; what is off at the sensor is not
			const isLength = unit.startsWith('mm') && of !== 'focusing';
			return [key, (isLength ? value.meta({ unit, isLength }) : value).default(initial)];
		})
	),
	lensBias: LensBiasSchema.optional()
}) as unknown as z.ZodType<Spreads, Partial<Spreads>>;

export const OddsRequestSchema = record('the request', {
	shot: ShotSchema,
	frames: whole('the number of frames', 1, MOST_FRAMES).default(2000),
	seed: whole('the seed', 0, 4294967295).default(1),
	spreads: SpreadsSchema.optional()
});

export type OddsRequest = z.output<typeof OddsRequestSchema>;

const share = {
	share: z.number(),
	low: z.number().describe('lower end of the 95% interval'),
	high: z.number()
};

export const OddsSchema = z.strictObject({
	format: z.literal('focalis-odds'),
	version: z.literal(1),
	fNumber: z.number(),
	fNumberExact: z.number(),
	seed: z.int(),
	frames: z.int(),
	...share,
	sharpShare: z.number().describe('share of frames sharp, blinks left aside'),
	toTake: z.int().nullable().describe('frames for 95% certainty of one keeper; null for none'),
	people: z.array(z.strictObject({ personId: z.string(), ...share })),
	causes: z.array(z.strictObject({ cause: z.enum(CAUSES), share: z.number() })),
	hardest: z
		.strictObject({
			personId: z.string().nullable(),
			thingId: z.string().nullable(),
			landmark: z.enum([...LANDMARK_NAMES, 'thing']),
			missed: z.number()
		})
		.nullable()
});

export type OddsReading =
	| { readonly ok: true; readonly request: OddsRequest }
	| { readonly ok: false; readonly problems: readonly Problem[] };

export function readOddsRequest(value: unknown): OddsReading {
	const result = OddsRequestSchema.safeParse(value);
	if (result.success) return { ok: true, request: result.data };
	return { ok: false, problems: problemsOf(result.error) };
}
