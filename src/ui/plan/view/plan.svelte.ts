import { commonText as common } from '$words/screens/common';
import type { Lens, Shot } from '$core/format/shot';
import { objectOf } from '$core/arrange/about';
import { following } from '$core/arrange/standpoint';
import { chanceOf } from '$core/odds/chanceOf';
import type { Odds } from '$core/odds/odds';
import { solutionOf, solve, type Solution } from '$core/study/plan';
import { lookAt } from '$core/study/scene';
import { asksForSomething } from '$core/study/study';
import type { MeasuredSharpness } from '$core/format/sharpness';
import type { Spreads } from '$core/tables/spreads';
import { advicePort, oddsPort, type OddsTable } from '../../../workers/ports';
import type { Kit } from '../../kit/kit.svelte';
import { Asking } from '../../working/asking.svelte';
import { drawableOf, type Drawable } from '../../drawing/drawable';
import type { Guest, TakenSettings } from '$core/format/job';
import type { Session } from '../../keeping/session.svelte';
import { KeptPhotograph } from '../../photograph/keptPhotograph.svelte';
import { localMinute } from '../../browser/localTime';
import { settings } from '../../shared/settings.svelte';
import type { ObjectRef } from '../../drawing/stageObjects';

/**
 * What the Plan screen shows of a shot: its solution, what is selected, and the rung that is peeked
 * at. Pick, peek and fixed stay apart: the pick is the solver's, a peek changes nothing, what is
 * fixed is part of the shot.
 */
export class PlanView {
	readonly #session: Session;
	readonly kit: Kit;
	/** Exact f-number that is only looked at. */
	#peekedFNumber = $state<number | null>(null);
	selected = $state.raw<ObjectRef | null>(null);
	/** A pointer moves something on the stage: the page around it must not. */
	isMoving = $state(false);
	/** The photograph that the stage was made from, where it was kept. */
	readonly photograph: KeptPhotograph;

	constructor(session: Session, kit: Kit) {
		this.#session = session;
		this.kit = kit;
		this.photograph = new KeptPhotograph(session);
	}

	/** What the odds are asked for: another object for another shot or other hands. */
	readonly oddsQuestion = $derived.by(() => ({
		shot: this.shot,
		spreads: this.spreads
	}));
	/** The odds at every rung, as far as they are known. */
	readonly odds = new Asking(
		oddsPort,
		'table',
		() => (this.solution?.take ? this.oddsQuestion : null),
		SHOT_REST_MS
	);
	/** What the other pictures of an arrangement with an object come to. */
	readonly aboutCosts = new Asking(
		advicePort,
		'abouts',
		() => (objectOf(this.oddsQuestion.shot) ? this.oddsQuestion : null),
		SHOT_REST_MS
	);

	/** Whether it is not sure where somebody stands. */
	readonly isUnsure = $derived.by(() => this.shot.people.some((one) => one.depthSigmaM > 0));
	/** The f-number it would be if that were measured. */
	readonly measured = new Asking(
		advicePort,
		'measured',
		() => (this.isUnsure && !this.isFixed && this.solution?.take ? this.oddsQuestion : null),
		SHOT_REST_MS
	);

	readonly #adviceQuestion = $derived.by(() => ({ ...this.oddsQuestion, lenses: this.lenses }));
	/** What would help, with the lenses of the kit; not while something is moved: nobody can take it then. */
	readonly advice = new Asking(
		advicePort,
		'advice',
		() => (this.solution?.take && !this.isMoving ? this.#adviceQuestion : null),
		SHOT_REST_MS
	);

	/** How a shot that is picked by the odds is picked, with one's own hands. */
	readonly chance = $derived.by(() => chanceOf(this.spreads));
	readonly #solution = $derived.by(() => this.#solve());
	readonly #shown = $derived.by(() => this.#showPeek());
	readonly #drawable = $derived.by((): Drawable =>
		this.#shown ? drawableOf(this.#shown) : { scene: lookAt(this.shot), take: null, plan: null }
	);

	get shot(): Shot {
		const { shot } = this.#session;
		if (!shot) throw new Error(common.noShotIsOpen);
		return shot;
	}

	get shotId(): string | null {
		return this.#session.shotId;
	}

	/** The shot before its last change; null when there was none. */
	get before(): Shot | null {
		return this.#session.before;
	}
	/** What was used when the shot was taken; null before, and when nothing was noted. */
	get taken(): TakenSettings | null {
		const { slot } = this.#session;
		return (slot?.status === 'taken' && slot.taken) || null;
	}
	/** When the shot is taken, by the clock there. */
	get startsAt(): string {
		return this.#session.slot?.startsAt ?? localMinute();
	}
	/** The time zone of the day; the device's when missing. */
	get timeZone(): string | undefined {
		return this.#session.job?.timeZone;
	}
	/** The people of the day. */
	get guests(): readonly Guest[] {
		return this.#session.job?.people ?? [];
	}

	/** The shot as its choices stand; null while it asks for nothing. */
	get solution(): Solution | null {
		return this.#solution;
	}

	/** What the screen shows: the solution, or the rung that is peeked at. */
	get shown(): Solution | null {
		return this.#shown;
	}

	/** What is drawn, also while nothing is asked for. */
	get drawable(): Drawable {
		return this.#drawable;
	}

	get isPeeking(): boolean {
		return this.#peekedFNumber !== null && this.#shown !== this.#solution;
	}

	get isFixed(): boolean {
		return this.shot.choices.fNumberExact !== undefined;
	}

	peek(fNumber: number | null): void {
		this.#peekedFNumber = fNumber;
	}

	/** Fixes an f-number, or frees it with null. */
	fix(fNumberExact: number | null): void {
		this.#peekedFNumber = null;
		const choices = { ...this.shot.choices, fNumberExact: fNumberExact ?? undefined };
		this.change({ ...this.shot, choices });
	}

	/** Fixes what to focus on, or leaves it to the solver with null. */
	focusOn(focus: NonNullable<Shot['choices']['focus']> | null, gesture?: string): void {
		const choices = { ...this.shot.choices, focus: focus ?? undefined };
		this.change({ ...this.shot, choices }, gesture);
	}

	/** The lenses of the kit that go on the body in use. */
	get lenses(): readonly Lens[] {
		return this.kit.lensesFor(this.shot.body);
	}

	/** The lens's sharpness, where the bench measured it. */
	get sharpness(): MeasuredSharpness | null {
		const { lenses } = this.kit.contents;
		return lenses.find(({ lens }) => lens.name === this.shot.lens.name)?.sharpness ?? null;
	}

	/** How much one's own hands and focusing spread. */
	get spreads(): Spreads {
		return this.kit.contents.spreads;
	}

	/** Changes the shot. Kept aimed, the camera follows whoever moves. */
	change(shot: Shot, gesture?: string): void {
		const isAnyoneElsewhere = shot.people !== this.shot.people && shot.camera === this.shot.camera;
		const camera =
			settings.keepsAimed && isAnyoneElsewhere ? following(this.shot, shot) : shot.camera;
		this.#session.change(camera === shot.camera ? shot : { ...shot, camera }, gesture);
	}

	newGesture(kind: string): string {
		return this.#session.newGesture(kind);
	}

	#solve(): Solution | null {
		const { shot } = this.#session;
		return shot && asksForSomething(shot) ? solve(shot, this.chance) : null;
	}

	/** A peek is another take of what was seen already. */
	#showPeek(): Solution | null {
		const solution = this.#solution;
		const fNumber = this.#peekedFNumber;
		if (fNumber === null || !solution || solution.plan.fNumberExact === fNumber) return solution;
		return solutionOf(solution.study, solution.study.at(fNumber));
	}
}

/** The odds at a rung; null while they are not known. */
export function oddsAt(table: OddsTable | null, fNumberExact: number | null): Odds | null {
	return table?.rungs.find((one) => one.fNumberExact === fNumberExact)?.odds ?? null;
}

/** Odds are counted, advice is worked out when the shot has come to rest for as long, ms: longer than a slow frame of a drag. */
export const SHOT_REST_MS = 150;
