import { z } from 'zod';
import { BUILDS } from '../tables/heads';
import { LANDMARK_NAMES } from '../tables/landmarks';
import { length, list, number, oneOf, point, record, text, whole } from './fields';
import { BodySchema, LensSchema } from './gear';

/** The shot file, version 1: the one definition of every name, unit and bound in it. */

const NEEDS = ['key', 'sharp', 'soft', 'free'] as const;
const KEEPS = ['near-eye', 'both-eyes', 'face'] as const;
const MOTIONS = ['still', 'restless', 'walking'] as const;
const INTENTS = ['sharp', 'readable', 'recognisable', 'dissolved', 'any'] as const;
/** Places that the picture can show; without one it is a plain floor under a pale sky. */
export const PLACE_KINDS = ['arcade', 'steps', 'quay', 'hall', 'window'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

const LOOKS = ['bars', 'lights', 'foliage', 'wall', 'window', 'object', 'crowd'] as const;
const SUPPORTS = ['handheld', 'braced', 'kneeling', 'monopod', 'tripod'] as const;
export const TECHNIQUES = ['move-point', 'reframe', 'manual'] as const;
export const FOCUS_BY = [
	'point',
	'eye-found',
	'area',
	'whole-frame',
	'hand-magnified',
	'hand-finder'
] as const;

/** Bounds that more than the schema needs to know. */
export const LIMITS = {
	people: 80,
	things: 40,
	title: 120,
	notes: 4000,
	name: 80,
	positionM: 500
} as const;

const Id = text('the id', 1, 80);

const CameraSchema = record('the camera', {
	position: point('the camera’s position'),
	panDeg: number('the pan', -180, 180, 'degrees').default(0),
	tiltDeg: number('the tilt', -85, 85, 'degrees').default(0),
	orientation: oneOf('the way the camera is held', ['landscape', 'portrait']).default('landscape'),
	focalMm: number('the focal length used', 4, 800, 'mm'),
	support: oneOf('the support', SUPPORTS).default('handheld')
});

const PersonSchema = record('this person', {
	id: Id,
	name: text('the name', 1, LIMITS.name),
	build: oneOf('the build', BUILDS).default('adult'),
	eyeMidpoint: point('the place of the eyes'),
	turnDeg: number('the turn of the head', -180, 180, 'degrees').default(0),
	nodDeg: number('the nod', -60, 60, 'degrees').default(0),
	leanDeg: number('the lean of the head', -60, 60, 'degrees').default(0),
	row: whole('the row', -1000, 1000).optional(),
	need: oneOf('how sharp this person must be', NEEDS).default('sharp'),
	keep: oneOf('what to keep sharp of this person', KEEPS).default('both-eyes'),
	motion: oneOf('how this person moves', MOTIONS).default('still'),
	/** How far off the depth may be: its spread. */
	depthSigmaM: length('how far off the distance may be', 0, 5, 'm').default(0)
});

const ThingSchema = record('this thing', {
	id: Id,
	label: text('the label', 1, 80),
	position: point('the thing’s place'),
	widthM: length('the width', 0.001, 500, 'm').default(1),
	heightM: length('the height', 0.001, 500, 'm').default(1),
	detailMm: length('the size of the detail that matters', 0.5, 5000, 'mm'),
	intent: oneOf('what this thing should become', INTENTS).default('any'),
	look: oneOf('the look of this thing', LOOKS).default('bars')
});

/** The background as a whole, without a thing of it being placed. */
const BackgroundSchema = record('the background', {
	intent: oneOf('what the background should become', ['readable', 'recognisable', 'dissolved']),
	behindM: length('how far behind them the background is', 0.1, 500, 'm').default(5),
	detailMm: length('the size of the detail that matters', 0.5, 5000, 'mm').default(50)
});

const PlaceSchema = record('the place', {
	clearBehindCameraM: length('the room behind the camera', 0, 200, 'm').optional(),
	highestCameraM: length('the highest the camera can go', 0.2, 6, 'm').optional(),
	kind: oneOf('the kind of place', PLACE_KINDS)
		.optional()
		.describe('what the picture shows around them; it changes no number')
});

const simpleStandard = <T extends string>(standard: T) =>
	record('the sharpness standard', { standard: z.literal(standard) });

const SharpnessSchema = z.discriminatedUnion(
	'standard',
	[
		simpleStandard('album'),
		simpleStandard('screen'),
		simpleStandard('pixel'),
		record('the sharpness standard', {
			standard: z.literal('print'),
			printWidthCm: length('the width of the print', 5, 500, 'cm'),
			viewingDistanceCm: length('the viewing distance', 10, 1000, 'cm')
		})
	],
	{ error: () => 'what counts as sharp must be one of: album, screen, pixel, print' }
);

const LightSchema = z.discriminatedUnion(
	'mode',
	[
		record('the light', { mode: z.literal('ambient'), ev100: number('the EV', -20, 30) }),
		record('the light', {
			mode: z.literal('flash'),
			guideNumberM: length('the guide number', 0.5, 500, 'm'),
			distanceM: length('the distance of the flash', 0.05, 500, 'm'),
			ambientEv100: number('the EV of the room', -20, 30),
			leastPower: number('the flash’s least power', 1 / 1024, 1).default(1 / 128),
			/** By a softbox, by bouncing, by a gel. */
			lossStops: number('what the flash loses on its way', 0, 8, 'stops').optional(),
			/** A second flash of the same kind, so many times weaker on the people. */
			second: record('the second flash', {
				ratio: number('how many times weaker it is', 1, 32),
				distanceM: length('the distance of the second flash', 0.05, 500, 'm')
			}).optional()
		})
	],
	{ error: () => 'the light must be ambient or flash' }
);

/** Where the sun stands, seen from the stage. */
const SunSchema = record('the sun', {
	aroundDeg: number('the direction of the sun', -180, 180, 'degrees').describe(
		'0 where the stage’s depth runs, positive to the right'
	),
	altitudeDeg: number('the height of the sun', -90, 90, 'degrees')
});

const FocusChoiceSchema = z.union(
	[
		record('the focus', {
			personId: Id,
			landmark: oneOf('the part of the face', LANDMARK_NAMES).optional()
		}),
		record('the focus', { thingId: Id }),
		record('the focus', { depthM: length('the focus depth', 0.01, 1000, 'm') })
	],
	{ error: () => 'the focus must name a person, a thing or a depth, and nothing else' }
);

/** More frames are not put together by hand. */
const MOST_STITCHED = 200;

const WideViewSchema = record('the wide view', {
	acrossDeg: number('the view across', 5, 360, 'degrees'),
	downDeg: number('the view up and down', 5, 180, 'degrees'),
	overlap: number('the overlap', 0.1, 0.7).default(1 / 3),
	mostFrames: whole('the most frames', 2, MOST_STITCHED).default(20)
});

const ChoicesSchema = record('the choices', {
	focus: FocusChoiceSchema.optional(),
	fNumberExact: number('the f-number', 0.5, 90).optional(),
	safetyStops: number('the margin', 0, 2, 'stops').default(1 / 3),
	shutterRule: z
		.union([z.literal(1), z.literal(2), z.literal('computed')], {
			error: () => 'the shutter rule must be 1, 2 or computed'
		})
		.default(1),
	/** A shutter that is fixed; the ISO follows. */
	shutterS: number('the shutter', 1 / 32_000, 30, 's').optional(),
	/** How the pick is made. */
	pickBy: oneOf('how the pick is made', ['widest', 'odds'])
		.default('widest')
		.describe(
			'widest: the widest f-number that holds everyone with the margin; odds: the widest that is sharp in nearly as many frames as the best'
		),
	/** How nearly, by odds; without it the more people, the surer. */
	sureness: number('how sure', 0.5, 0.99).optional(),
	focusBy: oneOf('who chooses the focus point', FOCUS_BY).default('point'),
	/** What the ISO does: rises from the lowest, or stays at a value. Without: rises, but not with flash. */
	isoRule: z
		.union([z.literal('rises'), number('the ISO', 1, 10_000_000)], {
			error: () => 'the ISO must be a number, or “rises”'
		})
		.optional(),
	/** How a face off the focus points is reached, where more than one way holds. */
	technique: oneOf('the way to focus', TECHNIQUES).optional(),
	/** Taken as many frames, put together afterwards: a view wider than the lens. Without: as one. */
	wide: WideViewSchema.optional()
});

const NO_CHOICES: z.infer<typeof ChoicesSchema> = {
	safetyStops: 1 / 3,
	shutterRule: 1,
	pickBy: 'widest',
	focusBy: 'point'
};

export const ShotSchema = record('the shot', {
	format: z.literal('focalis-shot', { error: () => 'this is not a Focalis shot' }),
	version: z.literal(1, { error: () => 'this version of the shot file is not known here' }),
	title: text('the title', 1, LIMITS.title),
	notes: text('the notes', 0, LIMITS.notes).default(''),
	body: BodySchema,
	lens: LensSchema,
	camera: CameraSchema,
	people: list('the people', PersonSchema, LIMITS.people).default([]),
	things: list('the things', ThingSchema, LIMITS.things).default([]),
	background: BackgroundSchema.optional(),
	place: PlaceSchema.optional(),
	sharpness: SharpnessSchema.default({ standard: 'screen' }),
	light: LightSchema.optional(),
	sun: SunSchema.optional(),
	choices: ChoicesSchema.default(NO_CHOICES)
})
	.refine(({ camera, lens }) => within(camera.focalMm, lens.focalMm), {
		path: ['camera', 'focalMm'],
		message: 'the focal length used must lie within the lens’s own range'
	})
	.superRefine(({ body, choices: { shutterS, isoRule } }, context) => {
		if (shutterS !== undefined && shutterS < body.fastestShutterS * (1 - 1e-9)) {
			const message = 'the shutter must not be faster than the body’s fastest';
			context.addIssue({ code: 'custom', path: ['choices', 'shutterS'], message });
		}
		const [lowest, highest] = body.iso;
		if (typeof isoRule === 'number' && (isoRule < lowest || isoRule > highest)) {
			const message = `the ISO must lie between the body’s ${lowest} and ${highest}`;
			context.addIssue({ code: 'custom', path: ['choices', 'isoRule'], message });
		}
	})
	.superRefine(({ people, things, choices }, context) => {
		const seen = new Set<string>();
		const claim = (id: string, path: (string | number)[]) => {
			if (seen.has(id)) {
				const message = `two people or things share the id “${id}”; each needs its own`;
				context.addIssue({ code: 'custom', path, message });
			}
			seen.add(id);
		};
		people.forEach((person, i) => claim(person.id, ['people', i, 'id']));
		things.forEach((thing, i) => claim(thing.id, ['things', i, 'id']));

		const focus = choices.focus;
		if (focus && 'personId' in focus && !people.some(({ id }) => id === focus.personId)) {
			const message = `nobody in this shot has the id “${focus.personId}” to focus on`;
			context.addIssue({ code: 'custom', path: ['choices', 'focus', 'personId'], message });
		}
		if (focus && 'thingId' in focus && !things.some(({ id }) => id === focus.thingId)) {
			const message = `nothing in this shot has the id “${focus.thingId}” to focus on`;
			context.addIssue({ code: 'custom', path: ['choices', 'focus', 'thingId'], message });
		}
	});

/** A hair of slack, for focal lengths that went through a slider. */
function within(value: number, [low, high]: readonly [number, number]): boolean {
	return value >= low - 1e-9 && value <= high + 1e-9;
}

/** A shot as the program holds it: every default filled in. */
export type Shot = z.output<typeof ShotSchema>;
/** A shot as it may be written: what has a default may be missing. */
export type ShotInput = z.input<typeof ShotSchema>;
export type Sensor = Shot['body']['sensor'];
export type Body = Shot['body'];
export type Lens = Shot['lens'];
export type Camera = Shot['camera'];
export type Person = Shot['people'][number];
export type Thing = Shot['things'][number];
export type Background = NonNullable<Shot['background']>;
export type SharpnessStandard = Shot['sharpness'];
export type Need = Person['need'];
export type Keep = Person['keep'];
export type FocusChoice = NonNullable<Shot['choices']['focus']>;
