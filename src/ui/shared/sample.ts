import { sampleDay } from '$data/sampleDay';
import type { Session } from './session.svelte';

/** Opens the sample day: the one that is there if nobody has worked on it, else a new one. */
export async function openSampleDay(session: Session): Promise<void> {
	const untouched = session.jobs.find(
		({ id, isSample }) =>
			isSample && session.shots.every(({ jobId, revision }) => jobId !== id || revision === 0)
	);
	const first = session.shots.find(({ jobId }) => untouched && jobId === untouched.id);
	if (first) return session.open(first.id);
	const { job, shots } = sampleDay(Date.now());
	await session.addJob(job, shots);
}
