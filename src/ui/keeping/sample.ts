import { sampleDay } from '$data/sampleDay';
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
	if (untouched) await session.openJob(untouched.id);
	else {
		const fresh = sampleDay(Date.now());
		await session.addJob(fresh.job, fresh.shots);
	}
	if (!title) return;
	const wanted = session.jobShots.find(({ shot }) => shot.title.includes(title));
	if (wanted) await session.open(wanted.id);
}
