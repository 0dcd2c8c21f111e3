import { reviewText as say } from '$words/screens/review/view';
import { commonText as common } from '$words/screens/common';
import { Pointing } from './pointing.svelte';
import { nearerEye, sharpestFirst } from './sameEye';
import { SvelteMap } from 'svelte/reactivity';
import { APART, MARKS, type Judgement, type Mark } from '$core/format/review';
import type { Body } from '$core/format/shot';
import { byOrder } from '$core/numeric/order';
import { clockByAll, intoShots } from '$core/review/intoShots';
import { frameSignOf, shotSignOf, type ShotSign } from '$core/review/signs';
import type { ReviewedSet } from '$core/review/reviewSet';
import { asksForSomething } from '$core/study/study';
import { MARK_WORDS } from '$words/review';
import type { Kit } from '../../kit/kit.svelte';
import type { Session } from '../../keeping/session.svelte';
import { isSameGroup, judgedIn, NONE_JUDGED, type Group, type Judged } from './group';
import type { FrameIntake } from '../../frames/frameIntake.svelte';
import type { IntakeFile } from '../../frames/intakeFile';

/** The frames that are not measured yet are a group of their own. */
const WAITING = 'waiting';

/** A face of which nothing is known counts as very soft. */
const UNKNOWN_RATIO = 9;

export const ORDERS = [say.asTaken, say.bestFirst] as const;

/** What is looked at in Review, and what is done there. */
export class ReviewView {
	readonly home: FrameIntake;
	readonly #session: Session;
	readonly #kit: Kit;
	/** As each group was judged last. */
	readonly sets = new SvelteMap<string, ReviewedSet>();
	/** A frame is on its way to another shot. */
	isDragging = $state(false);
	#groupId = $state<string | null>(null);
	#fileId = $state<string | null>(null);
	person = $state(0);
	order = $state<(typeof ORDERS)[number]>(say.asTaken);
	/** How many eyes stand side by side. */
	sideBySide = $state(3);
	readonly pointing = new Pointing(this);

	constructor(home: FrameIntake, session: Session, kit: Kit) {
		this.home = home;
		this.#session = session;
		this.#kit = kit;
	}

	readonly bodies = $derived.by((): readonly Body[] =>
		this.#kit.contents.bodies.map(({ body }) => body)
	);

	readonly #shotSigns = $derived.by((): readonly ShotSign[] =>
		this.#session.jobShots.map(({ id, shot, slot }) =>
			shotSignOf(id, shot, Date.parse(`${slot.startsAt}:00Z`), slot.minutes)
		)
	);

	readonly #frameSigns = $derived.by(() =>
		this.home.files.flatMap(({ id, measured, judgement }) =>
			measured ? [frameSignOf(id, measured, judgement, this.bodies)] : []
		)
	);

	/** How far the clock of the camera is ahead, ms: by the frames that were put to a shot by hand. */
	readonly clockMs = $derived.by(() => {
		const known = this.#frameSigns.flatMap((frame) => {
			const shot = this.#shotSigns.find(({ id }) => id === frame.shotId);
			return shot ? [{ frame, shot }] : [];
		});
		return clockByAll(known) ?? 0;
	});

	readonly groups = $derived.by((): readonly Group[] => {
		const placed = intoShots(this.#frameSigns, this.#shotSigns, this.clockMs);
		const known = this.home.files.filter(({ measured }) => measured);
		const of = (id: string | null) =>
			known
				.filter((file) => placed.get(file.id) === id)
				.toSorted((a, b) => (a.measured?.localMs ?? 0) - (b.measured?.localMs ?? 0));
		const shots = this.#session.jobShots.map(({ id, shot }) => ({
			id,
			title: shot.title,
			shot: asksForSomething(shot) ? shot : null,
			files: of(id)
		}));
		const others = [
			{ id: APART, title: say.inNoneOfTheDaysShots, shot: null, files: of(null) },
			{ id: WAITING, title: say.notMeasuredYet, shot: null, files: this.home.waiting }
		];
		const groups = [...shots, ...others]
			// where a frame may be dragged to is there although nothing is in it
			.filter(({ id, files }) => files.length > 0 || (this.isDragging && id !== WAITING))
			.map((group) => this.#lastGroups.find((last) => isSameGroup(last, group)) ?? group);
		this.#lastGroups = groups;
		return groups;
	});
	/** A group to which nothing happened stays the same object: with hundreds of frames, nothing of it is drawn again. */
	#lastGroups: readonly Group[] = [];

	readonly group = $derived.by(
		(): Group | null =>
			this.groups.find(({ id }) => id === this.#groupId) ??
			this.groups.find(({ id }) => id === this.#session.shotId) ??
			this.groups[0] ??
			null
	);

	readonly set = $derived.by(() => (this.group && this.sets.get(this.group.id)) ?? null);

	/** How the files of the open group were judged, by id. */
	readonly judged = $derived.by((): ReadonlyMap<string, Judged> => {
		this.#lastJudged = this.group ? judgedIn(this.group, this.set, this.#lastJudged) : NONE_JUDGED;
		return this.#lastJudged;
	});
	#lastJudged = NONE_JUDGED;

	/** The files of the open group as they are shown. */
	readonly files = $derived.by((): readonly IntakeFile[] => {
		const files = this.group?.files ?? [];
		if (this.order === 'as taken') return files;
		const rank = (file: IntakeFile) => {
			const reviewed = this.judged.get(file.id)?.reviewed;
			// what nobody knows comes last
			if (!reviewed) return [2];
			const ratios = reviewed.faces.map((face) => face?.ratio ?? UNKNOWN_RATIO);
			return [reviewed.isGood ? 0 : 1, Math.max(0, ...ratios)];
		};
		return files.toSorted((a, b) => byOrder(rank(a), rank(b)));
	});

	readonly file = $derived.by(
		() => this.files.find(({ id }) => id === this.#fileId) ?? this.files[0] ?? null
	);
	readonly now = $derived.by(
		(): Judged | null => (this.file && this.judged.get(this.file.id)) ?? null
	);

	/** Who may be looked at: whoever is in any of the frames; of a set without anybody all who are planned. */
	readonly present = $derived.by((): readonly number[] => {
		const { set } = this;
		if (!set) return [];
		return set.found.length > 0 ? set.found : set.people.map((_, i) => i);
	});

	/** Who is looked at: there may be others than before. */
	readonly whom = $derived.by(() =>
		this.present.includes(this.person) ? this.person : (this.present[0] ?? 0)
	);

	/** Which of that person's eyes is looked at. */
	readonly side = $derived.by(() =>
		nearerEye(this.judged.values(), this.whom, this.set?.people[this.whom]?.near ?? 'left')
	);

	readonly #others = $derived.by(() => sharpestFirst(this.judged.values(), this.whom, this.now));

	/** The eyes that stand side by side: this frame's, then the best of the others. */
	readonly compared = $derived.by((): readonly Judged[] =>
		this.now ? [this.now, ...this.#others.slice(0, this.sideBySide - 1)] : []
	);

	/** What may be looked at next: the neighbours, and whose eye stands beside them when one of the best is left or dropped. */
	get next(): readonly IntakeFile[] {
		const at = this.files.findIndex(({ id }) => id === this.file?.id);
		const another = this.#others[this.sideBySide - 1]?.file;
		return [this.files[at + 1], this.files[at - 1], another].filter((one) => one !== undefined);
	}

	open(groupId: string): void {
		this.#groupId = groupId;
		this.#fileId = null;
		this.person = 0;
	}

	look(fileId: string): void {
		this.#fileId = fileId;
	}

	/** To the next frame, or the one before. */
	step(by: 1 | -1): void {
		const at = this.files.findIndex(({ id }) => id === this.file?.id);
		const next = this.files[at + by];
		if (next) this.#fileId = next.id;
		else this.#stepGroup(by);
	}

	/** Beyond the last frame of a shot comes the first of the next. */
	#stepGroup(by: 1 | -1): void {
		const at = this.groups.findIndex(({ id }) => id === this.group?.id);
		const next = this.groups[at + by];
		if (!next) return;
		this.open(next.id);
		if (by < 0) this.#fileId = this.files.at(-1)?.id ?? null;
	}

	stepPerson(by: 1 | -1): void {
		const { present } = this;
		const next = present[(present.indexOf(this.whom) + by + present.length) % present.length];
		if (next !== undefined) this.person = next;
	}

	/** Marks the frame that is looked at; the same mark again takes it away. */
	mark(mark: Mark | null): void {
		const { file } = this;
		if (!file) return;
		const next = file.judgement.mark === mark ? null : mark;
		this.#judge([file.id], { mark: next }, next ? MARK_WORDS[next] : say.noMark);
	}

	favour(): void {
		const { file, group } = this;
		if (!file || !group) return;
		const isFavourite = !file.judgement.isFavourite;
		const before = group.files.find(({ judgement }) => judgement.isFavourite);
		if (before && before.id !== file.id) {
			this.#judge([before.id], { isFavourite: false }, say.anotherFavourite);
		}
		this.#judge([file.id], { isFavourite }, isFavourite ? 'favourite' : say.noFavourite);
	}

	note(fileId: string, note: string): void {
		this.#judge([fileId], { note: note.slice(0, 400) }, common.aNote, `note ${fileId}`);
	}

	/** Puts frames to a shot, or apart from all. */
	put(fileIds: readonly string[], shotId: string): void {
		this.#judge(fileIds, { shotId }, say.movedToAnotherShot);
	}

	/** Whether several frames were said to be so. */
	get marked(): Readonly<Record<Mark, number>> {
		const files = this.home.files;
		return Object.fromEntries(
			MARKS.map((mark) => [mark, files.filter(({ judgement }) => judgement.mark === mark).length])
		) as Record<Mark, number>;
	}

	#judge(
		ids: readonly string[],
		change: Partial<Judgement>,
		words: string,
		gesture: string = crypto.randomUUID()
	): void {
		const { home } = this;
		const before = new SvelteMap(
			home.files.filter(({ id }) => ids.includes(id)).map(({ id, judgement }) => [id, judgement])
		);
		const again = () => home.judge(ids, change);
		again();
		this.#session.review.did({
			words,
			gesture,
			back: () => {
				for (const [id, judgement] of before) home.judge([id], judgement);
			},
			again
		});
	}
}
