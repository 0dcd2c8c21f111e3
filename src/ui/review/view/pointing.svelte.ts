import { reachOfEyePx, reachOfThingPx } from '$core/review/pointed';
import type { Body } from '$core/format/shot';
import type { ReviewedSet } from '$core/review/reviewSet';
import { PLANNED_VANTAGE } from '$core/review/vantage';
import type { Group, Judged } from './group';
import type { FrameIntake } from '../../frames/frameIntake.svelte';
import type { IntakeFile } from '../../frames/intakeFile';

/** What is looked at while one points. */
interface Looking {
	readonly home: FrameIntake;
	readonly bodies: readonly Body[];
	readonly groups: readonly Group[];
	readonly group: Group | null;
	readonly files: readonly IntakeFile[];
	readonly file: IntakeFile | null;
	readonly set: ReviewedSet | null;
	readonly now: Judged | null;
	/** Whose eye is looked at, among the people of the set. */
	readonly whom: number;
	person: number;
}

/** Pointing at what no face shows: a thing, or the eye of somebody who is seen from the side. */
export class Pointing {
	readonly #view: Looking;
	/** The next tap on the picture points. */
	isOn = $state(false);
	#whose = $state<string | null>(null);

	constructor(view: Looking) {
		this.#view = view;
	}

	/** Whose eye may be pointed at: animals, and people of the plan whose faces were not found in the frame that is looked at. */
	readonly offered = $derived.by(() => {
		const { now, set } = this.#view;
		if (!now || !set) return [];
		return set.people.flatMap(({ id, name, isThing, isAnimal }, i) =>
			id !== null && !isThing && (isAnimal || !now.reviewed.faces[i]) ? [{ id, name }] : []
		);
	});

	/** Whose eye is pointed at; null for a thing. */
	readonly whose = $derived.by(() => this.offered.find(({ id }) => id === this.#whose) ?? null);

	/** What is pointed at of whom is looked at: the thing, or their eyes; by the ids of the places. */
	readonly spots = $derived.by((): readonly string[] => {
		const { set, whom, files } = this.#view;
		const person = set?.people[whom];
		if (!person?.id) return [];
		if (person.isThing) return [person.id];
		const ids = files.flatMap(({ measured }) =>
			(measured?.pointed ?? []).filter(({ personId }) => personId === person.id).map(({ id }) => id)
		);
		return ids.filter((id, i) => ids.indexOf(id) === i);
	});

	/** The next tap points at somebody's eye; at a thing where nobody is named. */
	begin(personId: string | null): void {
		this.#whose = personId;
		this.isOn = true;
	}

	/** Points at a place in the frame that is looked at, px; it is followed through the frames of the shot. */
	async point(x: number, y: number): Promise<void> {
		const { file, group, now, bodies, home } = this.#view;
		const { whose } = this;
		this.isOn = false;
		if (!file?.measured || !group) return;
		const vantage = now?.reviewed.vantage ?? PLANNED_VANTAGE;
		const reachPx =
			whose && group.shot
				? reachOfEyePx(file.measured, whose.id, group.shot, bodies, vantage)
				: reachOfThingPx(file.measured);
		const place = { id: crypto.randomUUID(), personId: whose?.id, x, y, reachPx };
		const filesNow = () => this.#view.groups.find(({ id }) => id === group.id)?.files ?? [];
		await home.following.begin(file, place, filesNow);
	}

	/** Forgets what is pointed at of whom is looked at. */
	forget(): void {
		for (const id of this.spots) this.#view.home.unpoint(id);
		this.#view.person = 0;
	}
}
