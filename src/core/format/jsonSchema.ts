import { z } from 'zod';
import { PlanSchema } from './plan';
import { ShotSchema } from './shot';

/** The shot file as JSON Schema: what may be written, so that keys with a default may be missing. */
export const shotJsonSchema = () => z.toJSONSchema(ShotSchema, { io: 'input' });

/** The plan file as JSON Schema. */
export const planJsonSchema = () => z.toJSONSchema(PlanSchema);
