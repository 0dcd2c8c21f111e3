import { later } from '$core/day/schedule';
import type { Shot } from '$core/format/shot';
import { beginOf, dateOf, USUAL_MINUTES } from '../newDay';

/** How records of earlier versions of the database become records of the next. */

export interface JobOf2 {
	readonly id: string;
	readonly title: string;
	readonly createdAt: number;
	readonly isSample: boolean;
}

export interface ShotOf2 {
	readonly id: string;
	readonly jobId: string;
	readonly position: number;
	readonly revision: number;
	readonly cursor: number;
	readonly isRemoved: boolean;
	readonly shot: Shot;
}

/** Version 2 knew an order only: the shots follow each other from the morning of the job's first day. */
export function withDays(jobs: readonly JobOf2[], shots: readonly ShotOf2[]) {
	const jobsOf3 = jobs.map((job) => ({
		...job,
		date: dateOf(job.createdAt),
		place: '',
		notes: '',
		people: [],
		revision: 0
	}));
	const begins = new Map(jobsOf3.map(({ id, date }) => [id, beginOf(date)]));
	const shotsOf3 = shots
		.toSorted((a, b) => a.position - b.position)
		.map(({ jobId, position, isRemoved, ...rest }) => {
			const startsAt = begins.get(jobId) ?? beginOf('2000-01-01');
			begins.set(jobId, later(startsAt, USUAL_MINUTES));
			const slot = {
				jobId,
				startsAt,
				minutes: USUAL_MINUTES,
				status: 'planned' as const,
				place: '',
				position,
				isRemoved,
				revision: 0
			};
			return { ...rest, slot };
		});
	return { jobsOf3, shotsOf3 };
}
