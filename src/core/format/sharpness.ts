import { z } from 'zod';
import { number, list, record, text, whole } from './fields';

/** How sharp a lens was measured to be, kept with it in the kit. */

/** Most f-numbers of a series. */
const MOST_STOPS = 40;

const perHeight = (label: string) => number(label, 0, 20_000);

export const SharpnessSchema = record('how sharp the lens is', {
	/** The body that it was measured on: on another one the numbers are other numbers. */
	bodyName: text('the name of the body', 1, 80),
	focalMm: number('the focal length', 4, 800, 'mm'),
	/** Day of the measurement, ISO. */
	date: text('the day it was measured', 10, 10),
	frames: whole('the frames it was measured in', 1, 100_000),
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
export type Sharpness = z.output<typeof SharpnessSchema>;

/** What of its best a lens gives at an f-number, in the centre; null where that was not measured. */
export function shareOfBest({ stops }: Sharpness, fNumber: number): number | null {
	const best = Math.max(...stops.map(({ centre }) => centre));
	const known = stops.find((stop) => Math.abs(Math.log2(stop.fNumber / fNumber)) < SAME_STOP);
	return known && best > 0 ? known.centre / best : null;
}

/** Below so much of its best a lens is soft. */
export const SOFT_SHARE = 0.8;

/** f-numbers are engraved round: less than a quarter of a stop apart they are the same. */
const SAME_STOP = 0.12;
