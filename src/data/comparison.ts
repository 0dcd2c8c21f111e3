import type { ExerciseRecord } from '$core/format/exerciseLog';
import type { DayShot, JobFile, KitOfFile } from '$core/format/job';
import type { SaidOfJob } from '$core/format/saidOfFrames';
import type { Spreads } from '$core/tables/spreads';
import { frameId, NO_JOB } from './store/frameShelf';
import type { Job, KitBody, KitLens, ShotRecord } from './store/database';
import { bodyOfFile, dayShotOf, lensOfFile } from './jobFile';
import type { KitContents } from './kitContents';

/** What a file would bring: what of it is new here, the same, or different. */

/** What is done with something of the file. */
export type ImportDecision = 'take' | 'both' | 'replace' | 'skip';

/** A day without its shots. */
type SaidOfDay = Pick<JobFile, 'title' | 'date' | 'place' | 'notes' | 'timeZone' | 'people'>;

type Subject =
	| { readonly kind: 'day'; readonly file: SaidOfDay }
	/** `mineId`: of the same shot here; null when there is none. */
	| { readonly kind: 'shot'; readonly file: DayShot; readonly mineId: string | null }
	| { readonly kind: 'body'; readonly file: KitBody; readonly mine: KitBody | null }
	| { readonly kind: 'lens'; readonly file: KitLens; readonly mine: KitLens | null }
	| { readonly kind: 'hands'; readonly file: Spreads }
	| { readonly kind: 'exercises'; readonly file: readonly ExerciseRecord[] }
	| { readonly kind: 'said'; readonly file: readonly SaidOfJob[] };

export interface Item {
	readonly key: string;
	readonly title: string;
	/** What differs, in words; empty for what is new. */
	readonly differs: string;
	/** The first is what is done unless another is chosen. */
	readonly ways: readonly ImportDecision[];
	readonly subject: Subject;
}

/** What a job of the file would bring. */
export interface JobComparison {
	readonly file: SaidOfDay;
	/** The job here that it belongs to; null when it is new. */
	readonly mine: Job | null;
	readonly items: readonly Item[];
	/** How many shots are here already just as they are in the file. */
	readonly same: number;
}

const NEW: readonly ImportDecision[] = ['take', 'skip'];
const DIFFERENT: readonly ImportDecision[] = ['both', 'replace', 'skip'];

/** Is called often with how much is done, 0 to 1: a moment to say so, or to stop by throwing. */
export type ComparingRest = (share: number) => Promise<void>;

/** Compares the jobs of a file with what is here. The work grows as the shots of both do. */
export async function compareJobs(
	files: readonly JobFile[],
	jobs: readonly Job[],
	shots: readonly ShotRecord[],
	rest: ComparingRest
): Promise<readonly JobComparison[]> {
	const byId = new Map(shots.map((one) => [one.id, one]));
	const count = files.reduce((sum, file) => sum + file.shots.length, 0);
	let done = 0;
	const comparisons: JobComparison[] = [];
	for (const file of files) {
		const known = file.shots.flatMap(({ id }) => byId.get(id) ?? []);
		const jobId = known[0]?.slot.jobId;
		const mine =
			jobs.find(({ id }) => id === jobId) ??
			jobs.find(({ title, date }) => title === file.title && date === file.date) ??
			null;
		// each is written out once: comparing each with each takes minutes where there are a thousand
		const ids = new Set(file.shots.map(({ id }) => id));
		const here = new Set<string>();
		for (const one of shots) {
			const { id, slot } = one;
			if (slot.isRemoved || !(ids.has(id) || slot.jobId === mine?.id)) continue;
			here.add(contentOf(one));
			await rest(done / count);
		}
		const items: Item[] = mine ? dayItem(file, mine) : [];
		let same = 0;
		for (const one of file.shots) {
			if (here.has(contentOf(one))) same += 1;
			else items.push(shotItem(one, byId.get(one.id) ?? null));
			done += 1;
			await rest(done / count);
		}
		comparisons.push({ file: saidOf(file), mine, items, same });
	}
	return comparisons;
}

const shotItem = (one: DayShot, mine: ShotRecord | null): Item => ({
	key: `shot ${one.id}`,
	title: one.shot.title,
	differs: mine ? differences(one, mine) : '',
	ways: mine ? DIFFERENT : NEW,
	subject: { kind: 'shot', file: one, mineId: mine?.id ?? null }
});

/** A shot of a day as a text that two of them have in common when they are the same but for the id. */
const contentOf = (one: DayShot | ShotRecord): string =>
	canonical({ ...('slot' in one ? dayShotOf(one) : one), id: undefined });

const isEqual = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

/** Plain data as text, the same for the same: keys in the order of their letters, without what is not there. */
function canonical(value: unknown): string {
	if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
	if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? '';
	const parts = Object.entries(value)
		.filter(([, part]) => part !== undefined)
		.map(([key, part]) => `${key}:${canonical(part)}`);
	return `{${parts.sort().join()}}`;
}

const saidOf = ({ title, date, place, notes, timeZone, people }: JobFile | Job): SaidOfDay => ({
	title,
	date,
	place,
	notes,
	...(timeZone === undefined ? {} : { timeZone }),
	people
});

function dayItem(file: JobFile, mine: Job): Item[] {
	const [theirs, ours] = [saidOf(file), saidOf(mine)];
	const keys = (['title', 'date', 'place', 'notes', 'timeZone', 'people'] as const).filter(
		(key) => !isEqual(theirs[key], ours[key])
	);
	if (keys.length === 0) return [];
	const words = keys.map((key) => (key === 'timeZone' ? 'time zone' : key));
	return [
		{
			key: 'day',
			title: 'what is said of the day',
			differs: words.join(', '),
			ways: ['skip', 'replace'],
			subject: { kind: 'day', file: theirs }
		}
	];
}

const PART_WORDS: Readonly<Record<string, string>> = {
	startsAt: 'time',
	minutes: 'time',
	status: 'status',
	place: 'place',
	taken: 'what was used',
	isLocked: 'whether the time is locked',
	title: 'title',
	notes: 'notes',
	body: 'body',
	lens: 'lens',
	camera: 'camera',
	people: 'people',
	things: 'things',
	sharpness: 'sharpness',
	light: 'light',
	choices: 'choices'
};

function differences(file: DayShot, mine: ShotRecord): string {
	const theirs: Record<string, unknown> = { ...file, ...file.shot };
	const here = dayShotOf(mine);
	const ours: Record<string, unknown> = { ...here, ...here.shot };
	const keys = [...new Set([...Object.keys(theirs), ...Object.keys(ours)])].filter(
		(key) => key !== 'shot' && !isEqual(theirs[key], ours[key])
	);
	const words = new Set(keys.map((key) => PART_WORDS[key] ?? key));
	return [...(mine.slot.isRemoved ? ['taken out here'] : []), ...words].join(', ');
}

/** Compares a file's kit, and its spreads if it has any, with what is here. */
export function compareKit(
	kit: KitOfFile,
	spreads: Spreads | null,
	mine: KitContents
): readonly Item[] {
	const bodies = kit.bodies.map((one) => bodyOfFile(one, 0));
	const lenses = kit.lenses.map((one) => lensOfFile(one, 0));
	const item = (
		key: string,
		title: string,
		subject: Extract<Subject, { kind: 'body' | 'lens' }>
	): Item => ({
		key,
		title,
		differs: subject.mine ? 'other values' : '',
		ways: subject.mine ? DIFFERENT : NEW,
		subject
	});
	return [
		...bodies
			.filter(({ body }) => !mine.bodies.some((one) => isEqual(one.body, body)))
			.map((file) => {
				const here = mine.bodies.find(({ id }) => id === file.id) ?? null;
				return item(`body ${file.id}`, file.body.name, { kind: 'body', file, mine: here });
			}),
		...lenses
			.filter(
				({ lens, onlyOn, sharpness, notes, isWanted }) =>
					!mine.lenses.some(
						(one) =>
							isEqual(one.lens, lens) &&
							one.onlyOn === onlyOn &&
							// a file without a measurement takes none away
							(!sharpness || isEqual(one.sharpness, sharpness)) &&
							(!notes || isEqual(one.notes, notes)) &&
							one.isWanted === isWanted
					)
			)
			.map((file) => {
				const here = mine.lenses.find(({ id }) => id === file.id) ?? null;
				return item(`lens ${file.id}`, file.lens.name, { kind: 'lens', file, mine: here });
			}),
		...(spreads && !isEqual(spreads, mine.spreads)
			? [
					{
						key: 'hands',
						title: 'my hands and my focusing',
						differs: 'other values',
						ways: ['skip', 'replace'] as const,
						subject: { kind: 'hands', file: spreads } as const
					}
				]
			: [])
	];
}

/** What a file's log of exercises has that is not here. */
export function compareLog(
	file: readonly ExerciseRecord[],
	mine: readonly ExerciseRecord[]
): readonly Item[] {
	const known = new Set(mine.map(({ id }) => id));
	const fresh = file.filter(({ id }) => !known.has(id));
	if (fresh.length === 0) return [];
	const title = `the log of exercises: ${fresh.length === 1 ? '1 entry' : `${fresh.length} entries`}`;
	const subject = { kind: 'exercises', file: fresh } as const;
	return [{ key: 'exercises', title, differs: '', ways: NEW, subject }];
}

/**
 * What a file says of frames of which nothing is said here.
 *
 * @param jobs  ids here of the jobs of the file, in its order; null for one that is new
 * @param known ids of frames of which something is said here
 */
export function compareSaid(
	file: readonly SaidOfJob[],
	jobs: readonly (string | null)[],
	known: readonly string[]
): readonly Item[] {
	const here = new Set(known);
	const fresh = file.map(({ job, frames }) => {
		const jobId = job === null ? NO_JOB : (jobs[job] ?? null);
		const isNew = (name: string) => jobId === null || !here.has(frameId(jobId, name));
		return { job, frames: frames.filter((one) => isNew(one.file)) };
	});
	const count = fresh.reduce((sum, { frames }) => sum + frames.length, 0);
	if (count === 0) return [];
	const title = `marks and notes of ${count === 1 ? '1 frame' : `${count} frames`}`;
	const subject = { kind: 'said', file: fresh } as const;
	return [{ key: 'said', title, differs: '', ways: NEW, subject }];
}
