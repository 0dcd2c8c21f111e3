import { z } from 'zod';
import { ExerciseRecordSchema, MOST_EXERCISES, type ExerciseRecord } from './exerciseLog';
import { list, record } from './fields';
import {
	DayShotSchema,
	JobFileSchema,
	KitSchema,
	repeatedIds,
	type DayShot,
	type JobFile,
	type KitOfFile
} from './job';
import { SpreadsSchema } from './odds';
import type { Spreads } from '../tables/spreads';
import { MOST_PROBLEMS, problemsOf, type Problem } from './problems';
import { MOST_SAID, SaidOfJobSchema, type SaidOfJob } from './saidOfFrames';
import { isObject, readShot, refuse, type Refusal } from './shotFile';
import type { Shot } from './shot';

/**
 * Reading whatever file of ours somebody opens: a shot, a job, or a backup of everything. Nothing
 * here throws, and the work is bounded whatever the file holds.
 */

/** Most jobs of a backup. */
const MOST_JOBS = 1000;
const LONGEST_LIST = 10_000;
const MOST_KEYS = 1000;
const MAX_NESTING = 16;

/** Everything that is kept on a device, but for the steps that can be undone. */
export interface Backup {
	readonly format: 'focalis-backup';
	readonly version: 1;
	readonly kit: KitOfFile;
	/** One's own hands; missing while they are the assumptions. */
	readonly spreads?: Spreads | undefined;
	/** What was practised; missing while nothing was. */
	readonly exercises?: readonly ExerciseRecord[] | undefined;
	/** What was said of frames that came home; missing while nothing was. */
	readonly said?: readonly SaidOfJob[] | undefined;
	readonly jobs: readonly JobFile[];
}

const BackupShellSchema = record('the backup', {
	format: z.literal('focalis-backup'),
	version: z.literal(1, { error: () => 'this version of the backup is not known here' }),
	kit: KitSchema.default({ bodies: [], lenses: [] }),
	spreads: SpreadsSchema.optional(),
	exercises: list('the exercises', ExerciseRecordSchema, MOST_EXERCISES).default([]),
	said: list('what was said of frames', SaidOfJobSchema, MOST_SAID).default([]),
	jobs: list('the jobs', z.unknown(), MOST_JOBS)
});

export type Opened =
	| { readonly kind: 'shot'; readonly shot: Shot }
	| {
			readonly kind: 'jobs';
			readonly jobs: readonly JobFile[];
			readonly kit: KitOfFile;
			readonly spreads: Spreads | null;
			readonly exercises: readonly ExerciseRecord[];
			readonly said: readonly SaidOfJob[];
	  };

export type Reading = { readonly ok: true; readonly opened: Opened } | Refusal;

/** Reads the text of a file: what it is says its `format`. */
export function readFileText(text: string): Reading {
	let value: unknown;
	try {
		value = JSON.parse(text.replace(/^\uFEFF/, ''));
	} catch {
		return refuse('not-json', 'This file is damaged or is not one of Focalis: it cannot be read.');
	}
	const format = isObject(value) ? value['format'] : undefined;
	if (!isObject(value) || !FORMATS.has(`${format}`)) {
		return refuse('not-a-shot', 'This file is not one of Focalis: no shot, no job, no backup.');
	}
	const excess = excessOf(value);
	if (excess) return refuse('invalid', excess);
	if (format === 'focalis-shot') {
		const reading = readShot(value);
		return reading.ok ? { ok: true, opened: { kind: 'shot', shot: reading.shot } } : reading;
	}
	if (typeof value['version'] === 'number' && value['version'] > 1) {
		return refuse(
			'newer-version',
			'This file was saved by a newer Focalis. Bring this one up to date to open it.'
		);
	}
	return format === 'focalis-job' ? openedJob(value) : openedBackup(value);
}

const FORMATS: ReadonlySet<string> = new Set(['focalis-shot', 'focalis-job', 'focalis-backup']);
const WRONG = 'Something in this file is not right.';

function openedJob(value: Record<string, unknown>): Reading {
	const { job, problems } = readJob(value);
	if (!job) return refuse('invalid', WRONG, problems);
	return {
		ok: true,
		opened: { kind: 'jobs', jobs: [job], kit: job.kit, spreads: null, exercises: [], said: [] }
	};
}

function openedBackup(value: Record<string, unknown>): Reading {
	const shell = BackupShellSchema.safeParse(value);
	if (!shell.success) return refuse('invalid', WRONG, problemsOf(shell.error));
	const jobs: JobFile[] = [];
	for (const [i, raw] of shell.data.jobs.entries()) {
		const { job, problems } = readJob(raw);
		if (!job) {
			const placed = problems.map((one) => ({ ...one, path: `jobs.${i}.${one.path}` }));
			return refuse('invalid', WRONG, placed);
		}
		jobs.push(job);
	}
	const { kit, spreads = null, exercises, said } = shell.data;
	return { ok: true, opened: { kind: 'jobs', jobs, kit, spreads, exercises, said } };
}

/** Validates a job, shot by shot, so that it can stop when enough is wrong. */
function readJob(value: unknown): { readonly job: JobFile | null; readonly problems: Problem[] } {
	const raw = isObject(value) ? value['shots'] : undefined;
	const rawShots = Array.isArray(raw) ? (raw as unknown[]) : null;
	const shell = JobFileSchema.safeParse(
		isObject(value) && rawShots ? { ...value, shots: [] } : value
	);
	if (!shell.success) return { job: null, problems: problemsOf(shell.error) };
	const shots: DayShot[] = [];
	const problems: Problem[] = [];
	for (const [i, one] of (rawShots ?? []).entries()) {
		const result = DayShotSchema.safeParse(one);
		if (result.success) shots.push(result.data);
		else {
			const found = problemsOf(result.error);
			problems.push(...found.map(({ path, message }) => ({ path: `shots.${i}.${path}`, message })));
		}
		if (problems.length >= MOST_PROBLEMS) break;
	}
	for (const { path, message } of repeatedIds(shots, 'shots')) {
		problems.push({ path: path.join('.'), message });
	}
	if (problems.length > 0) return { job: null, problems: problems.slice(0, MOST_PROBLEMS) };
	return { job: { ...shell.data, shots }, problems };
}

/** What is out of all proportion in a parsed file; null when nothing is. Looks no deeper than it must. */
function excessOf(value: unknown): string | null {
	const open: { readonly value: unknown; readonly depth: number }[] = [{ value, depth: 0 }];
	for (let next = open.pop(); next; next = open.pop()) {
		const { value: one, depth } = next;
		if (typeof one !== 'object' || one === null) continue;
		if (depth > MAX_NESTING) return 'This file is nested deeper than any file of Focalis.';
		const isList = Array.isArray(one);
		const parts: unknown[] = isList ? one : Object.values(one);
		const most = isList ? LONGEST_LIST : MOST_KEYS;
		if (parts.length > most) {
			return `A list in this file has ${parts.length.toLocaleString('en')} entries; Focalis takes at most ${most.toLocaleString('en')}.`;
		}
		for (const part of parts) open.push({ value: part, depth: depth + 1 });
	}
	return null;
}

/** The text of a job's file. */
export const writeJobText = (job: JobFile): string => JSON.stringify(job) + '\n';

/** The text of a backup, a job a piece: what writes it can let others have a turn in between. */
export function* backupPieces({ jobs, ...rest }: Backup): Generator<string> {
	yield `${JSON.stringify(rest).slice(0, -1)},"jobs":[`;
	for (const [i, job] of jobs.entries()) yield (i > 0 ? ',' : '') + JSON.stringify(job);
	yield ']}\n';
}
