import { z } from 'zod';
import { length, list, number, oneOf, record, text, whole } from './fields';
import { BUILDS } from '../tables/heads';
import { BodySchema, LensSchema } from './gear';
import { LensNotesSchema } from './lensNotes';
import { MeasuredSharpnessSchema } from './sharpness';
import { LIMITS, ShotSchema } from './shot';

/** A day's work as a file: an ordered list of shots, who is there, and the kit. */

export const JOB_LIMITS = {
	title: 120,
	place: 200,
	notes: 4000,
	guestNote: 400,
	guests: 1000,
	shots: 1000,
	kit: 200
} as const;

const LOCAL_TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?$/;

/** Whether a text of the right form names a time there is: not the thirtieth of February. */
function isInCalendar(time: string): boolean {
	const parsed = new Date(`${time.slice(0, 16)}Z`);
	return !Number.isNaN(parsed.getTime()) && parsed.toISOString().startsWith(time.slice(0, 16));
}

/** "2026-09-26T14:30": what the clock on the wall shows; kept to the minute. */
const localTime = (label: string) =>
	text(label, 16, 30)
		.refine((value) => LOCAL_TIME.test(value) && isInCalendar(value), {
			error: `${label} must be a local time such as 2026-09-26T14:30`
		})
		.transform((value) => value.slice(0, 16));

/** "2026-09-26" */
const date = (label: string) =>
	text(label, 10, 10).refine(
		(value) => /^\d{4}-\d{2}-\d{2}$/.test(value) && isInCalendar(`${value}T00:00`),
		{ error: `${label} must be a date such as 2026-09-26` }
	);

/** Whether a time zone is one that this device knows, such as Europe/Lisbon. */
function isKnownZone(timeZone: string): boolean {
	try {
		new Intl.DateTimeFormat('en', { timeZone });
		return true;
	} catch {
		return false;
	}
}

const TimeZone = text('the time zone', 1, 80).refine(isKnownZone, {
	error: 'the time zone is not known here: write it as Europe/Lisbon, or leave it out'
});

const id = (label: string) => text(label, 1, 80);

/** Somebody who is there on the day. People placed in a shot refer to them by name. */
const GuestSchema = record('the person', {
	id: id('the id'),
	name: text('the name', 1, LIMITS.name),
	build: oneOf('the build', BUILDS).default('adult'),
	eyeHeightM: length('the height of the eyes', 0.05, 2.5, 'm').default(1.6),
	glasses: z.boolean({ error: 'glasses must be yes or no' }).default(false),
	note: text('the note', 0, JOB_LIMITS.guestNote).default('')
});

/** What was really used when the shot was taken. */
const TakenSchema = record('what was used', {
	note: text('the note', 0, JOB_LIMITS.guestNote).default(''),
	fNumber: number('the f-number', 0.7, 64).optional(),
	shutterS: number('the shutter', 1 / 100000, 3600, 's').optional(),
	iso: number('the ISO', 1, 10_000_000).optional(),
	focalMm: number('the focal length', 4, 800, 'mm').optional()
});

export const STATUSES = ['planned', 'taken', 'skipped'] as const;

/** What a day says of a shot beside the shot itself. */
export const SLOT_SHAPE = {
	startsAt: localTime('the start'),
	minutes: whole('the minutes', 0, 1440, 'min'),
	status: oneOf('the status', STATUSES),
	/** The start stays when other shots move: the ceremony begins when it begins. */
	isLocked: z.boolean({ error: 'whether the time is locked must be yes or no' }).optional(),
	/** Where on the premises: "stone steps". */
	place: text('the place', 0, JOB_LIMITS.place).default(''),
	taken: TakenSchema.optional()
};

/** What is said of a job beside its shots. */
export const JOB_SHAPE = {
	title: text('the title', 1, JOB_LIMITS.title),
	date: date('the date'),
	place: text('the place', 0, JOB_LIMITS.place).default(''),
	notes: text('the notes', 0, JOB_LIMITS.notes).default(''),
	/** Name of the time zone the times are of, as in the IANA database; the device's when missing. */
	timeZone: TimeZone.optional(),
	people: list('the people of the day', GuestSchema, JOB_LIMITS.guests).default([])
};

export const KitSchema = record('the kit', {
	bodies: list('the bodies', BodySchema.extend({ id: id('the id') }), JOB_LIMITS.kit).default([]),
	lenses: list(
		'the lenses',
		LensSchema.safeExtend({
			id: id('the id'),
			/** Name of the body it is built into; missing for one that can be changed. */
			onlyOn: text('the name of the body', 1, LIMITS.name).optional(),
			/** Missing for one that nobody measured. */
			sharpness: MeasuredSharpnessSchema.optional(),
			notes: LensNotesSchema.optional(),
			/** One does not have it: it is only weighed against others. */
			isWanted: z.literal(true, { error: 'wanted must be yes, or missing' }).optional()
		}),
		JOB_LIMITS.kit
	).default([])
});

export const DayShotSchema = record('the shot of the day', {
	id: id('the id'),
	...SLOT_SHAPE,
	shot: ShotSchema
});

/** Ids that are there twice, as paths and messages. */
export function repeatedIds(list: readonly { readonly id: string }[], key: string) {
	const seen = new Set<string>();
	return list.flatMap((one, i) => {
		const isRepeated = seen.has(one.id);
		seen.add(one.id);
		const message = `“${one.id}” is there twice; each needs an id of its own`;
		return isRepeated ? [{ path: [key, i, 'id'], message }] : [];
	});
}

export const JobFileSchema = record('the job', {
	format: z.literal('focalis-job', { error: () => 'this is not a Focalis job' }),
	version: z.literal(1, { error: () => 'this version of the job file is not known here' }),
	...JOB_SHAPE,
	kit: KitSchema.default({ bodies: [], lenses: [] }),
	shots: list('the shots', DayShotSchema, JOB_LIMITS.shots)
}).superRefine(({ shots, people }, context) => {
	for (const problem of [...repeatedIds(shots, 'shots'), ...repeatedIds(people, 'people')]) {
		context.addIssue({ code: 'custom', ...problem });
	}
});

export type DayShot = z.output<typeof DayShotSchema>;
export type KitOfFile = z.output<typeof KitSchema>;
export type JobFile = z.output<typeof JobFileSchema>;
export type Guest = z.output<typeof GuestSchema>;
export type TakenSettings = z.output<typeof TakenSchema>;
export type Status = (typeof STATUSES)[number];
