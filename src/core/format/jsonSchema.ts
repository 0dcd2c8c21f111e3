import { z } from 'zod';
import { OddsRequestSchema, OddsSchema } from './odds';
import { PlanSchema } from './plan';
import { ShotSchema } from './shot';

/** The shot file as JSON Schema: what may be written, so that keys with a default may be missing. */
export const shotJsonSchema = () => z.toJSONSchema(ShotSchema, { io: 'input' });

/** The plan file as JSON Schema. */
export const planJsonSchema = () => z.toJSONSchema(PlanSchema);

/** What is asked for odds, and what comes back, as JSON Schema. */
export const oddsRequestJsonSchema = () => z.toJSONSchema(OddsRequestSchema, { io: 'input' });
export const oddsJsonSchema = () => z.toJSONSchema(OddsSchema);
