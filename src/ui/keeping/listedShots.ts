import { commonText as common } from '$words/screens/common';
import { withGuest, newGuest } from '$core/day/guests';
import { later } from '$core/day/schedule';
import type { DayShot, Guest, JobFile } from '$core/format/job';
import type { Job, ShotRecord } from '$data/store/database';
import { dayShotOf, jobFileOf } from '$data/jobFile';
import { USUAL_MINUTES } from '$data/newDay';
import type { ReadRow } from '$files/in/shotList';
import { nextSlot } from './dayActions';
import { newShot } from './newShot';
import { settings } from '../shared/settings.svelte';

/**
 * A shot list that was read, as a job that can be compared with the open one. A row is the shot with
 * its id, or else the one with its title; what the table leaves out stays as it is.
 */
export function jobOfRows(
	rows: readonly ReadRow[],
	job: Job,
	records: readonly ShotRecord[]
): JobFile {
	const known = new Set<string>();
	let next = nextSlot(job, records).startsAt;
	const shots = rows.map((row): DayShot => {
		const mine =
			records.find(({ id }) => id === row.id) ??
			records.find(({ id, shot }) => !known.has(id) && shot.title === row.title);
		const base = mine ? dayShotOf(mine) : freshShot(row, job.people, next);
		if (mine) known.add(mine.id);
		else if (row.startsAt === undefined) next = later(next, base.minutes);
		const { startsAt, minutes, place, status } = row;
		return {
			...base,
			...(startsAt === undefined ? {} : { startsAt }),
			...(minutes === undefined ? {} : { minutes }),
			...(place === undefined ? {} : { place }),
			...(status === undefined ? {} : { status }),
			shot: {
				...base.shot,
				title: row.title || base.shot.title,
				...(row.notes === undefined ? {} : { notes: row.notes })
			}
		};
	});
	return { ...jobFileOf(job, [], { bodies: [], lenses: [] }), shots };
}

/** A shot nobody planned yet, with the people of its row side by side. */
export function freshShot(
	{ title, people = [], minutes }: Pick<ReadRow, 'title' | 'people' | 'minutes'>,
	guests: readonly Guest[],
	startsAt: string
): DayShot {
	const shot = people.reduce(
		(all, name) => {
			const guest = guests.find((one) => one.name === name) ?? newGuest(name);
			return withGuest(all, guest, settings.framing);
		},
		newShot(title || common.newShot)
	);
	return {
		id: crypto.randomUUID(),
		startsAt,
		minutes: minutes ?? USUAL_MINUTES,
		status: 'planned',
		place: '',
		shot
	};
}
