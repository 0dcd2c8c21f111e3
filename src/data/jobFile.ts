import type { ExerciseRecord } from '$core/format/exerciseLog';
import { JOB_LIMITS, type JobFile, type KitOfFile } from '$core/format/job';
import type { Backup } from '$core/format/openedFile';
import { MOST_SAID, type FrameSaid, type SaidOfJob } from '$core/format/saidOfFrames';
import { ASSUMED } from '$core/tables/spreads';
import type { Job, KitBody, KitLens, ShotRecord } from './store/database';
import { NO_JOB } from './store/frameShelf';
import type { KitContents } from './kitContents';

/** What the store holds, as files. */

export const kitOfFile = ({
	bodies,
	lenses
}: Pick<KitContents, 'bodies' | 'lenses'>): KitOfFile => ({
	bodies: bodies.map(({ id, body }) => ({ id, ...body })),
	lenses: lenses.map(({ id, onlyOn, lens, sharpness, notes, isWanted }) => ({
		id,
		...lens,
		...(onlyOn ? { onlyOn } : {}),
		...(sharpness ? { sharpness } : {}),
		...(notes ? { notes } : {}),
		...(isWanted ? { isWanted } : {})
	}))
});

/** An entry of a file's kit as one of the store. */
export function bodyOfFile(
	{ id, ...body }: KitOfFile['bodies'][number],
	position: number
): KitBody {
	return { id, position, revision: 0, body };
}
export function lensOfFile(
	{ id, onlyOn = undefined, sharpness, notes, isWanted, ...lens }: KitOfFile['lenses'][number],
	position: number
): KitLens {
	const known = {
		...(sharpness ? { sharpness } : {}),
		...(notes ? { notes } : {}),
		...(isWanted ? { isWanted } : {})
	};
	return { id, position, revision: 0, onlyOn: onlyOn ?? null, lens, ...known };
}

/** A job with its shots in order of time. */
export function jobFileOf(job: Job, records: readonly ShotRecord[], kit: KitOfFile): JobFile {
	const { title, date, place, notes, timeZone, people } = job;
	return {
		format: 'focalis-job',
		version: 1,
		title,
		date,
		place,
		notes,
		...(timeZone === undefined ? {} : { timeZone }),
		people,
		kit,
		shots: records.map(dayShotOf)
	};
}

export function dayShotOf({ id, shot, slot }: ShotRecord): JobFile['shots'][number] {
	const { startsAt, minutes, status, place, taken, isLocked } = slot;
	return {
		id,
		startsAt,
		minutes,
		status,
		place,
		...(taken ? { taken } : {}),
		...(isLocked ? { isLocked } : {}),
		shot
	};
}

/** A job of more shots than a file may have goes out in parts: equal title and date bring them together again. */
const inParts = (records: readonly ShotRecord[]) => piecesOf(records, JOB_LIMITS.shots);

/** A list in pieces of at most so many, all nearly as long; one without anything is one piece. */
function piecesOf<T>(all: readonly T[], most: number): (readonly T[])[] {
	const count = Math.max(1, Math.ceil(all.length / most));
	const length = Math.ceil(all.length / count);
	return Array.from({ length: count }, (_, i) => all.slice(i * length, (i + 1) * length));
}

/** Everything of this device in one file. The kit stands once, not with each job. */
export function backupOf(
	jobs: readonly Job[],
	shotsOf: (jobId: string) => readonly ShotRecord[],
	kit: KitContents,
	exercises: readonly ExerciseRecord[] = [],
	said: ReadonlyMap<string, readonly FrameSaid[]> = new Map()
): Backup {
	const none = { bodies: [], lenses: [] };
	const parts = jobs.flatMap((job) =>
		inParts(shotsOf(job.id)).map((records) => ({ job, records }))
	);
	const ofFrames = [...said].flatMap(([jobId, frames]): SaidOfJob[] => {
		const number = parts.findIndex(({ job }) => job.id === jobId);
		if (number < 0 && jobId !== NO_JOB) return [];
		return piecesOf(frames, MOST_SAID).map((piece) => ({
			job: number < 0 ? null : number,
			frames: piece
		}));
	});
	const isOwn = JSON.stringify(kit.spreads) !== JSON.stringify(ASSUMED);
	return {
		format: 'focalis-backup',
		version: 1,
		kit: kitOfFile(kit),
		...(isOwn ? { spreads: kit.spreads } : {}),
		...(exercises.length > 0 ? { exercises } : {}),
		...(ofFrames.length > 0 ? { said: ofFrames } : {}),
		jobs: parts.map(({ job, records }) => jobFileOf(job, records, none))
	};
}
