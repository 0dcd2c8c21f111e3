import { sampleDay } from '$data/sample/sampleDay';
import type { Session } from './session.svelte';

/**
 * Opens the sample day: the one that is there if nobody has worked on it, else a new one.
 *
 * @param title part of the title of the shot to open; the first one when empty
 */
export async function openSampleDay(session: Session, title = ''): Promise<void> {
	const { jobs, shots } = session.library;
	const untouched = jobs.find(
		({ id, isSample, revision }) =>
			isSample &&
			revision === 0 &&
			shots.every((one) => one.slot.jobId !== id || (one.revision === 0 && one.slot.revision === 0))
	);
	const fresh = untouched ? null : sampleDay(Date.now());
	const all = fresh?.shots ?? shots.filter(({ slot }) => slot.jobId === untouched?.id);
	const wanted = title ? all.find(({ shot }) => shot.title.includes(title)) : undefined;
	if (fresh) await session.addJob(fresh.job, fresh.shots, wanted?.id);
	else if (wanted) await session.open(wanted.id);
	else if (untouched) await session.openJob(untouched.id);
}
