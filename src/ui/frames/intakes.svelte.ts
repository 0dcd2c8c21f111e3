import type { Session } from '../keeping/session.svelte';
import { NO_JOB } from '$data/store/frameShelf';
import { FrameIntake } from './frameIntake.svelte';

/** What came home of each job, while this window is open: measuring goes on wherever one is. */
const homes = new WeakMap<Session, Map<string, FrameIntake>>();

/** What came home of the open job; asked while a component is made. */
export const intakeOfJob = (session: Session): FrameIntake =>
	intakeFor(session, session.job?.id ?? NO_JOB);

/** The frames that are kept under an id of a job, or of something else that frames are opened for. */
export function intakeFor(session: Session, jobId: string): FrameIntake {
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- looked up, never followed
	const known = homes.get(session) ?? new Map<string, FrameIntake>();
	homes.set(session, known);
	let home = known.get(jobId);
	if (!home) {
		// it outlives the component that asks for it
		$effect.root(() => {
			home = new FrameIntake(session.library.shelves.frames, jobId);
		});
		home = home as unknown as FrameIntake;
		known.set(jobId, home);
		void home.begin();
	}
	return home;
}

/** What is kept of the frames of a job was changed elsewhere: whoever has it open reads it again. */
export const readAgain = (session: Session, jobId: string): Promise<void> | undefined =>
	homes.get(session)?.get(jobId)?.begin();
