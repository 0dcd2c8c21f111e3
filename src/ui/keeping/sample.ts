import { sampleDay } from '$data/sampleDay';
import type { Session } from './session.svelte';

/** Opens the sample day: the one that is there if nobody has worked on it, else a new one. */
export async function openSampleDay(session: Session): Promise<void> {
	const { jobs, shots } = session.library;
	const untouched = jobs.find(
		({ id, isSample, revision }) =>
			isSample &&
			revision === 0 &&
			shots.every((one) => one.slot.jobId !== id || (one.revision === 0 && one.slot.revision === 0))
	);
	if (untouched) return session.openJob(untouched.id);
	const fresh = sampleDay(Date.now());
	await session.addJob(fresh.job, fresh.shots);
}
