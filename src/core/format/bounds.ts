import { z } from 'zod';
import { JobFileSchema } from './job';
import { SpreadsSchema } from './odds';
import { ShotSchema } from './shot';

/** The bounds and units of the files, for whoever asks for a number: they stand in the schemas alone. */

export interface NumberBounds {
	readonly low: number;
	readonly high: number;
	/** As in the file; empty for a plain number. */
	readonly unit: string;
	/** A length of the place, which some read in feet and inches; never a focal length or a sensor's side. */
	readonly isLength: boolean;
	readonly isWhole: boolean;
}

const ROOTS = { shot: ShotSchema, job: JobFileSchema, spreads: SpreadsSchema } as const;

/** The schema without what makes it optional, gives it a default, or checks it as a whole. */
function bare(schema: z.core.$ZodType): z.core.$ZodType {
	if (
		schema instanceof z.ZodDefault ||
		schema instanceof z.ZodOptional ||
		schema instanceof z.ZodNullable
	) {
		return bare(schema.unwrap());
	}
	return schema instanceof z.ZodArray ? bare(schema.element) : schema;
}

/** What stands under a key; of alternatives the first that has it. */
function under(schema: z.core.$ZodType, key: string): z.core.$ZodType | undefined {
	const one = bare(schema);
	if (one instanceof z.ZodObject) return (one.shape as z.ZodRawShape)[key];
	if (one instanceof z.ZodTuple) return one.def.items[Number(key)];
	if (one instanceof z.ZodUnion) {
		return one.options.flatMap((option) => under(option, key) ?? [])[0];
	}
	return undefined;
}

const known = new Map<string, NumberBounds>();

/**
 * Bounds and unit of a number of the files, by its path; lists are passed through.
 *
 * @throws when there is no such number
 * @example boundsOf('shot.lens.closestFocusM') // { low: 0.05, high: 10, unit: 'm', isLength: true, … }
 */
export function boundsOf(path: string): NumberBounds {
	const found = known.get(path) ?? lookUp(path);
	known.set(path, found);
	return found;
}

function lookUp(path: string): NumberBounds {
	const [root = '', ...keys] = path.split('.');
	let schema: z.core.$ZodType | undefined = ROOTS[root as keyof typeof ROOTS];
	for (const key of keys) schema = schema && under(schema, key);
	const found = schema && bare(schema);
	// a number, or one of several things it may be
	const alternatives = found instanceof z.ZodUnion ? found.options : [found];
	const number = alternatives.find((one) => one instanceof z.ZodNumber);
	if (!number) throw new Error(`there is no number at ${path}`);
	const { unit = '', isLength = false } = (number.meta() ?? {}) as Partial<NumberBounds>;
	return {
		low: number.minValue ?? -Infinity,
		high: number.maxValue ?? Infinity,
		unit,
		isLength,
		isWhole: number.format === 'safeint'
	};
}
