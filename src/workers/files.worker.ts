import type { JobFile } from '$core/format/job';
import type { Opened } from '$core/format/openedFile';
import type { Refusal } from '$core/format/shotFile';
import { compareJobs, type JobComparison } from '$data/comparison';
import type { Job, ShotRecord } from '$data/store/database';
import { readChosen, type Chosen } from '$files/in/opening';
import { serve } from './protocol';

/** Reads a file that was chosen and compares it with what is here. */

export type FilesQuestions = {
	/** Reads a file. Its jobs stay here, to be compared; the answer has only their number. */
	readonly read: {
		question: { readonly file: File; readonly date: string | null };
		partial: never;
		answer: ReadFile;
	};
	/** Compares the jobs that were read last, or those given; told how much is done, 0 to 1. */
	readonly compare: {
		question: {
			readonly files: readonly JobFile[] | null;
			readonly jobs: readonly Job[];
			readonly shots: readonly ShotRecord[];
		};
		partial: number;
		answer: readonly JobComparison[];
	};
};

type ReadFile =
	| {
			readonly ok: true;
			readonly opened:
				| Exclude<Extract<Chosen, { ok: true }>['opened'], { kind: 'jobs' }>
				| Omit<Extract<Opened, { kind: 'jobs' }>, 'jobs'>;
	  }
	| Refusal;

let held: readonly JobFile[] = [];

serve<FilesQuestions>({
	async read({ file, date }) {
		const reading = await readChosen(file, date);
		if (!reading.ok || reading.opened.kind !== 'jobs') return reading as ReadFile;
		const { jobs, ...rest } = reading.opened;
		held = jobs;
		return { ok: true, opened: rest };
	},
	compare({ files, jobs, shots }, { tell, breathe }) {
		return compareJobs(files ?? held, jobs, shots, async (share) => {
			tell(share);
			await breathe();
		});
	}
});
