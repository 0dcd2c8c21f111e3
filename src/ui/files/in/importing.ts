import { importingText as say } from '$words/screens/files/in';
import type { DayShot } from '$core/format/job';
import type { ImportDecision, Item, JobComparison } from '$data/comparison';
import type { Job, ShotRecord, Slot } from '$data/store/database';
import type { ExerciseShelf } from '$data/store/exerciseShelf';
import { NO_JOB, type FrameShelf } from '$data/store/frameShelf';
import type { Kit } from '../../kit/kit.svelte';
import { newJob } from '../../keeping/dayActions';
import type { Session } from '../../keeping/session.svelte';

/** Takes over what was chosen of a file. */

type Chosen = (item: Item) => ImportDecision;

/** Takes a job's chosen parts. Returns the id of the job they are in now; null when nothing was taken. */
export async function takeJob(
	session: Session,
	{ file, mine, items }: JobComparison,
	wayOf: Chosen
): Promise<string | null> {
	const job: Job = mine ?? {
		...newJob(file.title),
		...file
	};
	const fresh: ShotRecord[] = [];
	const slots: { shotId: string; change: Partial<Slot> }[] = [];
	const shots: { shotId: string; shot: DayShot['shot'] }[] = [];
	let day: Partial<Job> | undefined;
	for (const item of items) {
		const way = wayOf(item);
		const { subject } = item;
		if (way === 'skip') continue;
		if (subject.kind === 'day') {
			day = subject.file;
		} else if (subject.kind === 'shot' && way === 'replace' && subject.mineId) {
			const { mineId: shotId } = subject;
			const { shot, startsAt, minutes, status, place, taken, isLocked } = subject.file;
			const change = { startsAt, minutes, status, place, taken, isLocked, isRemoved: false };
			slots.push({ shotId, change });
			shots.push({ shotId, shot });
		} else if (subject.kind === 'shot') {
			const { id: theirId, shot, ...slot } = subject.file;
			// the id of the file tells the same shot again, unless it is taken
			const id = subject.mineId ? crypto.randomUUID() : theirId;
			const place = {
				...slot,
				jobId: job.id,
				position: fresh.length,
				isRemoved: false,
				revision: 0
			};
			fresh.push({ id, revision: 0, cursor: 0, shot, slot: place });
		}
	}
	if (!mine) {
		await session.addJob(job, fresh);
		return job.id;
	}
	if (day || slots.length > 0) {
		const change = { slots, shots, ...(day ? { job: day } : {}) };
		session.day.change(say.adding(file.title), job.id, change);
	}
	if (fresh.length > 0) {
		session.library.add(job, fresh);
		session.day.noteAdded(say.addingShotsOf(fresh.length, file.title), fresh);
	}
	return job.id;
}

/** Takes what was chosen of a file's kit, and of its log of exercises. */
export async function takeKit(
	kit: Kit,
	log: Pick<ExerciseShelf, 'put'>,
	items: readonly Item[],
	wayOf: Chosen
): Promise<void> {
	for (const item of items) {
		const way = wayOf(item);
		const { subject } = item;
		if (way === 'skip') continue;
		if (subject.kind === 'hands') kit.putSpreads(subject.file);
		if (subject.kind === 'exercises') for (const one of subject.file) await log.put(one);
		if (subject.kind !== 'body' && subject.kind !== 'lens') continue;
		const list = subject.kind === 'body' ? kit.contents.bodies : kit.contents.lenses;
		const position =
			way === 'replace' && subject.mine
				? subject.mine.position
				: Math.max(0, ...list.map((one) => one.position)) + 1;
		const id = way === 'both' ? crypto.randomUUID() : subject.file.id;
		kit.put({ ...subject.file, id, position });
	}
}

/**
 * Takes what was said of frames, if that was chosen.
 *
 * @param jobs ids here of the jobs of the file, in its order; null for one that was not taken
 * @returns of which jobs something was taken
 */
export async function takeSaid(
	shelf: Pick<FrameShelf, 'takeSaid'>,
	jobs: readonly (string | null)[],
	items: readonly Item[],
	wayOf: Chosen
): Promise<readonly string[]> {
	const taken: string[] = [];
	for (const item of items) {
		if (item.subject.kind !== 'said' || wayOf(item) === 'skip') continue;
		for (const { job, frames } of item.subject.file) {
			const jobId = job === null ? NO_JOB : jobs[job];
			if (!jobId || frames.length === 0) continue;
			await shelf.takeSaid(jobId, frames);
			taken.push(jobId);
		}
	}
	return taken;
}
