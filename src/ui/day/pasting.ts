import { pastingText as say } from '$words/screens/day';
import type { Pasted } from '$core/day/pastedList';
import { newGuest, sameName } from '$core/day/guests';
import { JOB_LIMITS, type Guest } from '$core/format/job';
import type { ShotRecord } from '$data/store/database';
import { freshShot } from '../keeping/listedShots';
import type { DayView } from './day.svelte';

/** Taking over a list that was pasted. */

/** What to do with a line: one that is there already may be left, changed, or added once more. */
export type LineDecision = 'add' | 'change' | 'leave';

/** The numbers of the lines that name somebody or a shot that is there already, or that was named before. */
export function duplicates(read: readonly Pasted[], day: DayView): ReadonlySet<number> {
	const isThere = (one: Pasted, i: number): boolean => {
		const before = read.slice(0, i);
		if (one.kind === 'person') {
			const { name } = one.guest;
			return (
				day.job.people.some((guest) => sameName(guest.name, name)) ||
				before.some((other) => other.kind === 'person' && sameName(other.guest.name, name))
			);
		}
		return (
			day.shots.some(({ shot }) => sameName(shot.title, one.title)) ||
			before.some((other) => other.kind === 'shot' && sameName(other.title, one.title))
		);
	};
	return new Set(read.flatMap((one, i) => (isThere(one, i) ? [i] : [])));
}

interface Decided {
	readonly one: Pasted;
	readonly decision: LineDecision;
}

/** Takes over the lines that are wanted: people as one step, then shots as another. */
export function takePasted(day: DayView, lines: readonly Decided[]): void {
	const wanted = lines.filter(({ decision }) => decision !== 'leave');
	const people = peopleOf(day.job.people, wanted);
	const { job } = day;
	if (people.length !== job.people.length || people.some((one, i) => one !== job.people[i])) {
		day.changePeople(people, say.thePastedPeople);
	}
	const records = wanted.flatMap(({ one }, i): ShotRecord[] => {
		if (one.kind !== 'shot') return [];
		const row = { title: one.title, people: [...one.names], minutes: one.minutes ?? undefined };
		const { id, shot, ...slot } = freshShot(row, people, `${job.date}T${one.time}`);
		const place = { ...slot, jobId: job.id, position: i, isRemoved: false, revision: 0 };
		return [{ id, revision: 0, cursor: 0, shot, slot: place }];
	});
	day.addShots(records);
}

/** The people of the day with those of a list, and with whoever its shots name. */
function peopleOf(known: readonly Guest[], wanted: readonly Decided[]): Guest[] {
	const people = [...known];
	for (const { one, decision } of wanted) {
		if (one.kind === 'person') {
			const at = people.findIndex(({ name }) => sameName(name, one.guest.name));
			const was = people[at];
			if (decision === 'change' && was) people[at] = { ...one.guest, id: was.id };
			else people.push({ ...one.guest, id: crypto.randomUUID() });
			continue;
		}
		for (const name of one.names) {
			if (people.some((guest) => sameName(guest.name, name))) continue;
			people.push({ ...newGuest(name), id: crypto.randomUUID() });
		}
	}
	return people.slice(0, JOB_LIMITS.guests);
}
