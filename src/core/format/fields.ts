import { z } from 'zod';

/**
 * The building blocks of the file schemas: fields whose messages are in a photographer's words.
 * A label names the field as one would say it ("the tilt"), a unit as one would read it ("degrees").
 * There are hundreds of them at every start: checks are added at once, and units registered, since each step of a chain
 * makes another copy.
 */

const missing = (label: string) => `${label} is missing`;

/** A finite number within bounds, both included. */
export function number(label: string, low: number, high: number, unit = '') {
	const range = `${label} must lie between ${low} and ${high}${unit && ` ${unit}`}`;
	return z
		.number({
			error: (issue) => (issue.input === undefined ? missing(label) : `${label} must be a number`)
		})
		.check(z.gte(low, range), z.lte(high, range))
		.register(z.globalRegistry, unit ? { unit } : {});
}

/** A length of the place, which some read in feet and inches. */
export function length(label: string, low: number, high: number, unit: 'm' | 'cm' | 'mm') {
	return number(label, low, high, unit).register(z.globalRegistry, { unit, isLength: true });
}

/** A whole number within bounds, both included. */
export function whole(label: string, low: number, high: number, unit = '') {
	return number(label, low, high, unit)
		.int(`${label} must be a whole number`)
		.register(z.globalRegistry, unit ? { unit } : {});
}

/** Text of a bounded length. */
export function text(label: string, least: number, most: number) {
	return z
		.string({
			error: (issue) => (issue.input === undefined ? missing(label) : `${label} must be text`)
		})
		.check(
			z.minLength(least, `${label} must not be empty`),
			z.maxLength(most, `${label} may be at most ${most} characters long`)
		);
}

/** One of a few words. */
export function oneOf<const T extends readonly [string, ...string[]]>(label: string, words: T) {
	return z.enum(words, {
		error: (issue) =>
			issue.input === undefined ? missing(label) : `${label} must be one of: ${words.join(', ')}`
	});
}

const LONGEST_KEY = 60;

/** An object that refuses keys it does not know. */
export function record<T extends z.ZodRawShape>(label: string, shape: T) {
	return z.strictObject(shape, {
		error: (issue) => {
			if (issue.code === 'unrecognized_keys') {
				const [key = ''] = issue.keys as string[];
				return `${label} has something unknown here: “${key.slice(0, LONGEST_KEY)}”`;
			}
			return issue.input === undefined ? missing(label) : `${label} must be a group of settings`;
		}
	});
}

/** A list of bounded length. */
export function list<T extends z.ZodType>(label: string, item: T, most: number) {
	return z
		.array(item, {
			error: (issue) => (issue.input === undefined ? missing(label) : `${label} must be a list`)
		})
		.max(most, `${label} may hold at most ${most}`);
}

/** A pair of numbers, such as the two ends of a zoom. */
export function pair(label: string, item: ReturnType<typeof number>) {
	return z.tuple([item, item], {
		error: (issue) =>
			issue.input === undefined ? missing(label) : `${label} must be a list of two numbers`
	});
}

/** A point of the world, metres. */
export function point(label: string) {
	const axis = (name: string) => length(`${label}: ${name}`, -500, 500, 'm');
	return record(label, { x: axis('x'), y: axis('y'), z: axis('z') });
}
