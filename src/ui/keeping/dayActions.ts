import { dayActionsText as say } from '$words/screens/keeping';
import { commonText as common } from '$words/screens/common';
import { endOf, timeAt } from '$core/day/schedule';
import type { Shot } from '$core/format/shot';
import type { Job, ShotRecord, Slot } from '$data/store/database';
import { beginOf, dateOf, USUAL_MINUTES } from '$data/newDay';
import type { Session } from './session.svelte';

/** What is done with the shots of a day, and with whole jobs. */

/** A job of today without shots. */
export const newJob = (title: string, now = Date.now()): Job => ({
	id: crypto.randomUUID(),
	title,
	date: dateOf(now),
	place: '',
	notes: '',
	people: [],
	createdAt: now,
	isSample: false,
	revision: 0
});

/** The place in a day after everything that is planned in it. */
export function nextSlot({ id, date }: Job, shots: readonly ShotRecord[]): Slot {
	const last = Math.max(...shots.map(({ slot }) => endOf(slot)));
	return {
		jobId: id,
		startsAt: shots.length > 0 ? timeAt(last) : beginOf(date),
		minutes: USUAL_MINUTES,
		status: 'planned',
		place: '',
		position: Math.max(0, ...shots.map(({ slot }) => slot.position)) + 1,
		isRemoved: false,
		revision: 0
	};
}

/** Adds a shot at the end of the open job, or to a new one, and opens it. */
export async function addShot(
	session: Session,
	shot: Shot,
	more: Partial<Slot> = {}
): Promise<void> {
	const job = session.job ?? newJob(common.myShots);
	const slot = { ...nextSlot(job, session.jobShots), ...more };
	const fresh = { id: crypto.randomUUID(), revision: 0, cursor: 0, shot, slot };
	if (!session.job) return session.addJob(job, [fresh]);
	await session.enter(fresh);
	session.day.noteAdded(say.adding(shot.title), [fresh]);
}

/** Takes a shot out of its job, or puts it back; another one is opened in its stead. */
export async function setRemoved(
	session: Session,
	shotId: string,
	isRemoved: boolean
): Promise<void> {
	const { library } = session;
	const record = library.shots.find(({ id }) => id === shotId);
	if (!record) return;
	const { jobId } = record.slot;
	const place = session.jobShots.findIndex(({ id }) => id === shotId);
	const what = isRemoved ? say.removing : say.bringingBack;
	session.day.change(`${what} “${record.shot.title}”`, jobId, {
		slots: [{ shotId, change: { isRemoved } }]
	});
	if (!isRemoved) return session.open(shotId);
	if (shotId !== session.shotId) return;
	const rest = library.shotsOf(jobId);
	const next = rest[place] ?? rest.at(-1);
	return next ? session.open(next.id) : session.openJob(jobId);
}

/** Where the open shot stands among those of its job; -1 when none is open. */
export const indexOfOpen = ({ jobShots, shotId }: Session): number =>
	jobShots.findIndex(({ id }) => id === shotId);

/** Opens the shot so many places later in the job, if there is one. */
export async function stepBy(session: Session, by: number): Promise<void> {
	const next = session.jobShots[indexOfOpen(session) + by];
	if (next) await session.open(next.id);
}
