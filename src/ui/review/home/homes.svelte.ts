import type { Session } from '../../keeping/session.svelte';
import { NO_JOB } from '$data/store/frameShelf';
import { Homecoming } from './homecoming.svelte';

/** What came home of each job, while this window is open: measuring goes on wherever one is. */
const homes = new WeakMap<Session, Map<string, Homecoming>>();

/** What came home of the open job; asked while a component is made. */
export const homeOf = (session: Session): Homecoming =>
	homeUnder(session, session.job?.id ?? NO_JOB);

/** The frames that are kept under an id of a job, or of something else that frames are opened for. */
export function homeUnder(session: Session, jobId: string): Homecoming {
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- looked up, never followed
	const known = homes.get(session) ?? new Map<string, Homecoming>();
	homes.set(session, known);
	let home = known.get(jobId);
	if (!home) {
		// it outlives the component that asks for it
		$effect.root(() => {
			home = new Homecoming(session.library.shelves.frames, jobId);
		});
		home = home as unknown as Homecoming;
		known.set(jobId, home);
		void home.begin();
	}
	return home;
}

/** What is kept of the frames of a job was changed elsewhere: whoever has it open reads it again. */
export const readAgain = (session: Session, jobId: string): Promise<void> | undefined =>
	homes.get(session)?.get(jobId)?.begin();
