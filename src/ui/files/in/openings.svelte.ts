import { openingsText as say } from '$words/screens/files/in';
import { commonText as common } from '$words/screens/common';
import type { JobFile } from '$core/format/job';
import { refuse, type Refusal } from '$core/format/shotFile';
import {
	compareKit,
	compareLog,
	compareSaid,
	type Item,
	type JobComparison
} from '$data/comparison';
import { NO_JOB } from '$data/store/frameShelf';
import { filesPort } from '../../../workers/ports';
import type { Kit } from '../../kit/kit.svelte';
import { addShot, newJob } from '../../keeping/dayActions';
import type { Session } from '../../keeping/session.svelte';
import { LongWork } from '../../working/longWork.svelte';
import { jobOfRows } from '../../keeping/listedShots';

/** What a file would bring. */
export interface Compared {
	readonly jobs: readonly JobComparison[];
	readonly kit: readonly Item[];
}

/** The file that is being opened. It is read and compared in a worker, which is let go with what it holds. */
export class Openings {
	/** Why the last one was not taken. */
	refusal = $state.raw<Refusal | null>(null);
	/** What is in it, to be looked at first; a shot is taken at once. */
	compared = $state.raw<Compared | null>(null);
	readonly work = new LongWork();
	/** The name of the file being looked at. */
	name = $state('');
	readonly #session: Session;
	readonly #kit: Kit;

	constructor(session: Session, kit: Kit) {
		this.#session = session;
		this.#kit = kit;
	}

	async take(file: File): Promise<void> {
		this.giveUp();
		this.name = file.name;
		this.refusal = null;
		await this.work.run(async (signal) => {
			try {
				await this.#look(file, signal);
			} finally {
				// what was given up is stopped already, and another file may be looked at
				if (!signal.aborted) filesPort.stop();
			}
		});
		const { problem } = this.work;
		if (problem) this.refusal = refuse('not-json', say.cannotBeRead(file.name, problem));
	}

	/** Nothing of what was dropped is taken: why, in words. */
	refuse(why: string): void {
		this.refusal = refuse('invalid', why);
	}

	/** Looks no further at the file that is being looked at. */
	giveUp(): void {
		this.work.stop();
		filesPort.stop();
	}

	/** A file was looked at, whatever was taken of it. */
	close(file: Compared): void {
		if (this.compared === file) this.compared = null;
	}

	async #look(file: File, signal: AbortSignal): Promise<void> {
		const date = this.#session.job?.date ?? null;
		const reading = await filesPort.ask('read', { file, date }, { signal });
		this.refusal = reading.ok ? null : reading;
		if (!reading.ok) return;
		const { opened } = reading;
		if (opened.kind === 'shot') return addShot(this.#session, opened.shot);
		const { library, job } = this.#session;
		if (opened.kind === 'list') {
			const target = job ?? newJob(common.myShots);
			const rows = jobOfRows(opened.rows, target, library.shotsOf(target.id));
			this.compared = { jobs: await this.#compare([rows], signal), kit: [] };
			return;
		}
		const jobs = await this.#compare(null, signal);
		const log = await library.shelves.exercises.all().catch(() => []);
		const mine = jobs.map((one) => one.mine?.id ?? null);
		const known = [NO_JOB, ...mine.filter((id) => id !== null)];
		const said = await library.shelves.frames.idsSaid(known).catch((): string[] => []);
		const kit = [
			...compareKit(opened.kit, opened.spreads, this.#kit.contents),
			...compareLog(opened.exercises, log),
			...compareSaid(opened.said, mine, said)
		];
		signal.throwIfAborted();
		this.compared = { jobs, kit };
	}

	/** @param files null for those of the file itself */
	#compare(files: readonly JobFile[] | null, signal: AbortSignal) {
		const { jobs, shots } = this.#session.library;
		const tell = (share: number) => (this.work.share = share);
		return filesPort.ask('compare', { files, jobs, shots }, { signal, tell });
	}
}
