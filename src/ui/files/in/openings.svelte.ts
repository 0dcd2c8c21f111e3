import type { Refusal } from '$core/format/shotFile';
import type { Kit } from '../../kit/kit.svelte';
import { addShot, newJob } from '../../keeping/dayActions';
import type { Session } from '../../keeping/session.svelte';
import { compareJob, compareKit, compareLog, type Item, type JobComparison } from './comparison';
import { jobOfRows } from './listed';
import { readChosen } from './opening';

/** What a file would bring. */
export interface Compared {
	readonly jobs: readonly JobComparison[];
	readonly kit: readonly Item[];
}

/** The file that is being opened. */
export class Openings {
	/** Why the last one was not taken. */
	refusal = $state.raw<Refusal | null>(null);
	/** What is in it, to be looked at first; a shot is taken at once. */
	compared = $state.raw<Compared | null>(null);
	readonly #session: Session;
	readonly #kit: Kit;

	constructor(session: Session, kit: Kit) {
		this.#session = session;
		this.#kit = kit;
	}

	async take(file: File): Promise<void> {
		const reading = await readChosen(file, this.#session.job?.date ?? null);
		this.refusal = reading.ok ? null : reading;
		if (!reading.ok) return;
		const { opened } = reading;
		const { library, job } = this.#session;
		if (opened.kind === 'shot') return addShot(this.#session, opened.shot);
		if (opened.kind === 'list') {
			const target = job ?? newJob('My shots');
			const rows = jobOfRows(opened.rows, target, library.shotsOf(target.id));
			this.compared = { jobs: [compareJob(rows, library.jobs, library.shots)], kit: [] };
			return;
		}
		const log = await library.shelves.exercises.all().catch(() => []);
		this.compared = {
			jobs: opened.jobs.map((one) => compareJob(one, library.jobs, library.shots)),
			kit: [
				...compareKit(opened.kit, opened.spreads, this.#kit.contents),
				...compareLog(opened.exercises, log)
			]
		};
	}
}
