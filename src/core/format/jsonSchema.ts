import { z } from 'zod';
import { lazily } from '../numeric/lazily';
import { OddsRequestSchema, OddsSchema } from './odds';
import { PlanSchema } from './plan';
import { ShotSchema } from './shot';

/** Each takes some milliseconds, and is made when first asked for. */

/** The shot file as JSON Schema: what may be written, so that keys with a default may be missing. */
export const shotJsonSchema = lazily(() => z.toJSONSchema(ShotSchema, { io: 'input' }));

/** The plan file as JSON Schema. */
export const planJsonSchema = lazily(() => z.toJSONSchema(PlanSchema));

/** What is asked for odds, and what comes back, as JSON Schema. */
export const oddsRequestJsonSchema = lazily(() =>
	z.toJSONSchema(OddsRequestSchema, { io: 'input' })
);
export const oddsJsonSchema = lazily(() => z.toJSONSchema(OddsSchema));
