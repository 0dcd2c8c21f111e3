import type { z } from 'zod';
import { length, number, oneOf, pair, record, text, whole } from './fields';

/** Bodies and lenses, as they stand in a shot and in the kit. */

const SensorSchema = record('the sensor', {
	widthMm: number('the sensor’s long side', 3, 60, 'mm'),
	heightMm: number('the sensor’s short side', 2, 45, 'mm'),
	pixelsAcross: whole('the pixels along the long side', 500, 20000),
	pixelsDown: whole('the pixels along the short side', 500, 20000)
}).refine((sensor) => sensor.heightMm <= sensor.widthMm, {
	path: ['heightMm'],
	message: 'the sensor’s height must not exceed its width: the long side counts as the width'
});

const FocusGridSchema = record('the focus points', {
	columns: whole('the columns of focus points', 1, 64),
	rows: whole('the rows of focus points', 1, 64),
	spanX: number('the width the focus points cover', 0.05, 1),
	spanY: number('the height the focus points cover', 0.05, 1),
	boxX: number('the width of a focus box', 0.002, 0.3),
	boxY: number('the height of a focus box', 0.002, 0.3),
	sensitive: oneOf('which focus points are most sensitive', ['all', 'centre'])
});

/** Focus points on the sensor itself: a fine grid over nearly the whole frame. */
export const ON_SENSOR_GRID: z.infer<typeof FocusGridSchema> = {
	columns: 25,
	rows: 17,
	spanX: 0.95,
	spanY: 0.95,
	boxX: 0.03,
	boxY: 0.045,
	sensitive: 'all'
};

export const BodySchema = record('the body', {
	name: text('the body’s name', 1, 80),
	sensor: SensorSchema,
	focusGrid: FocusGridSchema.default(ON_SENSOR_GRID),
	iso: pair('the ISO range', number('the ISO', 1, 10_000_000))
		.refine(([lowest, highest]) => lowest <= highest, 'the lowest ISO must not exceed the highest')
		.default([100, 12800]),
	syncSpeedS: number('the flash sync speed', 1 / 8000, 1, 's').default(1 / 200),
	fastestShutterS: number('the fastest shutter', 1 / 128_000, 1, 's').default(1 / 8000),
	comfortIso: number('the highest ISO you like', 1, 10_000_000).optional(),
	stabiliserStops: number('the body’s stabiliser', 0, 8, 'stops').default(0)
}).refine(
	({ comfortIso, iso: [lowest, highest] }) =>
		comfortIso === undefined || (comfortIso >= lowest && comfortIso <= highest),
	{
		path: ['comfortIso'],
		message: 'the highest ISO you like must lie within what the body has'
	}
);

const widest = number('the widest f-number', 0.7, 32);

export const LensSchema = record('the lens', {
	name: text('the lens’s name', 1, 80),
	focalMm: pair('the focal length', number('the focal length', 4, 800, 'mm')).refine(
		([short, long]) => short <= long,
		'the short end of the zoom must come first'
	),
	widestFNumber: pair('the widest f-number', widest),
	smallestFNumber: number('the smallest aperture', 0.7, 64),
	closestFocusM: length('the closest focus', 0.05, 10, 'm'),
	fieldBend: number('the bend of the focus surface', -1, 1).default(0),
	stabiliserStops: number('the stabiliser', 0, 8, 'stops').default(0),
	/** Diameter of the picture that it draws, mm; without, it covers any sensor. */
	imageCircleMm: number('the image circle', 5, 120, 'mm').optional(),
	/** Straight blades of the aperture; 0 for a round one. Shapes discs of light in the preview. */
	blades: whole('the aperture’s blades', 0, 20)
		.refine(
			(blades) => blades === 0 || blades >= 3,
			'an aperture has three blades or more, or 0 if round'
		)
		.default(0)
}).refine((lens) => lens.smallestFNumber >= Math.max(...lens.widestFNumber), {
	path: ['smallestFNumber'],
	message: 'the smallest aperture must not be wider than the widest one'
});
