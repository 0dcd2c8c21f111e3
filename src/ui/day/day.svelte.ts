import { dayText as say } from '$words/screens/day';
import { commonText as common } from '$words/screens/common';
import { later, minuteOf, moved } from '$core/day/schedule';
import type { Guest, Status } from '$core/format/job';
import { LIMITS, type Shot } from '$core/format/shot';
import type { Job, ShotRecord, Slot } from '$data/store/database';
import type { DayChange, SlotChange } from '../keeping/dayChange';
import { addShot, setRemoved } from '../keeping/dayActions';
import type { Session } from '../keeping/session.svelte';
import type { PlaceName } from '../shared/places';

/** What the Day screen shows and does: the shots of the open job in order of time. */
export class DayView {
	readonly session: Session;
	readonly #ongo: (place: PlaceName) => void;
	/** What is looked for. */
	search = $state('');
	/** The shot whose time and place are being changed. */
	editingId = $state<string | null>(null);

	constructor(session: Session, ongo: (place: PlaceName) => void) {
		this.session = session;
		this.#ongo = ongo;
	}

	get job(): Job {
		const { job } = this.session;
		if (!job) throw new Error(common.noJobIsOpen);
		return job;
	}

	get shots(): readonly ShotRecord[] {
		return this.session.jobShots;
	}

	/** The shots that match what is looked for: title, notes, place, people. */
	readonly found = $derived.by(() => {
		const wanted = this.search.trim().toLocaleLowerCase();
		if (!wanted) return this.shots;
		return this.shots.filter(({ shot, slot }) =>
			[shot.title, shot.notes, slot.place, ...shot.people.map(({ name }) => name)].some((text) =>
				text.toLocaleLowerCase().includes(wanted)
			)
		);
	});

	/** Opens a shot at another place of the work. */
	async go(shotId: string, place: PlaceName): Promise<void> {
		await this.session.open(shotId);
		this.#ongo(place);
	}

	setStatus(record: ShotRecord, status: Status): void {
		this.changeSlot(record, { status }, say.markingAs(record.shot.title, status));
	}

	changeSlot({ id, slot }: ShotRecord, change: Partial<Slot>, words: string, gesture?: string) {
		this.session.day.change(words, slot.jobId, { slots: [{ shotId: id, change }] }, gesture);
	}

	changeJob(change: Partial<Job>, words: string, gesture?: string): void {
		this.session.day.change(words, this.job.id, { job: change }, gesture);
	}

	/** The day on another date: its shots go with it, at their times of day. */
	moveToDate(date: string, gesture: string): void {
		const days = minuteOf(`${date}T00:00`) - minuteOf(`${this.job.date}T00:00`);
		if (days === 0) return;
		const slots = this.session.library.shots
			.filter(({ slot }) => slot.jobId === this.job.id)
			.map(({ id, slot }) => ({ shotId: id, change: { startsAt: later(slot.startsAt, days) } }));
		const words = say.theDateOfTheDay;
		this.session.day.change(words, this.job.id, { job: { date }, slots }, gesture);
	}

	/** The day with a shot at another place in the order, in that order; the times follow. */
	#withMoved(shotId: string, to: number) {
		const spans = this.shots.map((one) => ({ ...one.slot, shotId: one.id }));
		const from = spans.findIndex((one) => one.shotId === shotId);
		return { spans, order: moved(spans, from, to) };
	}

	/** The starts that would change if a shot were put at another place, by shot. */
	startsIfMoved(shotId: string, to: number): Readonly<Record<string, string>> {
		const { spans, order } = this.#withMoved(shotId, to);
		return Object.fromEntries(
			order.flatMap(({ shotId: id, startsAt }) =>
				spans.find((one) => one.shotId === id)?.startsAt === startsAt ? [] : [[id, startsAt]]
			)
		);
	}

	/** Puts a shot at another place in the order; the times follow, but for what is locked. */
	move({ id, shot }: ShotRecord, to: number): void {
		const { spans, order } = this.#withMoved(id, to);
		const slots = order.flatMap(({ shotId, startsAt }, position): SlotChange[] => {
			const was = spans.find((one) => one.shotId === shotId);
			return was?.startsAt === startsAt && was.position === position
				? []
				: [{ shotId, change: { startsAt, position } }];
		});
		if (slots.length > 0) this.session.day.change(say.moving(shot.title), this.job.id, { slots });
	}

	async duplicate({ shot, slot }: ShotRecord): Promise<void> {
		const { minutes, place } = slot;
		const title = say.copy(shot.title).slice(0, LIMITS.title);
		await addShot(this.session, { ...shot, title }, { minutes, place });
	}

	/** Adds shots to the day as one step. */
	addShots(records: readonly ShotRecord[]): void {
		if (records.length === 0) return;
		this.session.library.add(this.job, records);
		this.session.day.noteAdded(say.addingShots(records.length), records);
	}

	async takeOut({ id }: ShotRecord): Promise<void> {
		await setRemoved(this.session, id, true);
	}

	/** Moves a shot to another job, at its time of day there. */
	moveToJob(record: ShotRecord, job: Job): void {
		const startsAt = `${job.date}${record.slot.startsAt.slice(10)}`;
		const words = say.movingTo(record.shot.title, job.title);
		const here = this.shots.filter(({ id }) => id !== record.id);
		this.changeSlot(record, { jobId: job.id, startsAt }, words);
		if (this.session.shotId === record.id && here[0]) void this.session.open(here[0].id);
	}

	/** Changes the people of the day, and shots with them where a name changed. */
	changePeople(
		people: readonly Guest[],
		words: string,
		shots: DayChange['shots'] = [],
		gesture?: string
	): void {
		const change = { job: { people: [...people] }, shots };
		this.session.day.change(words, this.job.id, change, gesture);
	}

	/** Changes one shot of the day, open or not. */
	changeShot(record: ShotRecord, shot: Shot, words: string): void {
		this.session.day.change(words, record.slot.jobId, { shots: [{ shotId: record.id, shot }] });
	}
}
