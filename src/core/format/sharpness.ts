import { z } from 'zod';
import { number, list, record, text, whole } from './fields';

/** How sharp a lens was measured to be, kept with it in the kit. */

/** Most f-numbers of a series. */
const MOST_STOPS = 40;

const perHeight = (label: string) => number(label, 0, 20_000);

export const MeasuredSharpnessSchema = record('how sharp the lens is', {
	/** The body that it was measured on: on another one the numbers are other numbers. */
	bodyName: text('the name of the body', 1, 80),
	focalMm: number('the focal length', 4, 800, 'mm'),
	/** Day of the measurement, ISO. */
	date: text('the day it was measured', 10, 10),
	frames: whole('the frames it was measured in', 0, 100_000),
	/** Read somewhere and typed in, instead of measured at one’s own table. */
	isTyped: z.boolean({ error: 'typed in must be yes or no' }).optional(),
	/** From the widest f-number; line pairs per height of the picture, where the response has fallen to a half. */
	stops: list(
		'the f-numbers',
		record('an f-number', {
			fNumber: number('the f-number', 0.7, 64),
			centre: perHeight('the centre'),
			corners: perHeight('the corners').nullable()
		}),
		MOST_STOPS
	)
});
export type MeasuredSharpness = z.output<typeof MeasuredSharpnessSchema>;

/**
 * The share of its best that a lens gives at an f-number, in the centre, interpolated between measured ones; null
 * beyond them, and where too much lies between.
 */
export function shareOfBest({ stops }: MeasuredSharpness, fNumber: number): number | null {
	const best = Math.max(...stops.map(({ centre }) => centre));
	const at = ({ fNumber: one }: { readonly fNumber: number }) => Math.log2(one / fNumber);
	const known = stops.toSorted((a, b) => a.fNumber - b.fNumber);
	const wider = known.findLast((stop) => at(stop) <= SAME_STOP);
	const smaller = known.find((stop) => at(stop) >= -SAME_STOP);
	if (!wider || !smaller || best <= 0) return null;
	const apart = at(smaller) - at(wider);
	if (apart > MOST_APART) return null;
	const part = apart > 0 ? Math.min(1, Math.max(0, -at(wider) / apart)) : 0;
	return (wider.centre + part * (smaller.centre - wider.centre)) / best;
}

/** Below so much of its best a lens is soft. */
export const SOFT_SHARE = 0.8;

/** f-numbers are engraved round: less than a quarter of a stop apart they are the same (powers of two of the f-number). */
const SAME_STOP = 0.12;
/** Between f-numbers farther apart than one and a half stops nothing is told. */
const MOST_APART = 0.75;
