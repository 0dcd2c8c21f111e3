import type { Taken, Status } from '$core/format/job';
import type { Lens, Shot } from '$core/format/shot';
import { asItIs, turnedOut, type Difference } from '$core/advice/turnedOut';
import { chanceOf } from '$core/odds/chanceOf';
import { solve, type Solution } from '$core/study/plan';
import { asksForSomething } from '$core/study/study';
import type { Kit } from '../kit/kit.svelte';
import { oddsPort } from '../../workers/ports';
import { oddsAt, ODDS_REST_MS } from '../plan/plan.svelte';
import { Asking } from '../shared/asking.svelte';
import type { Session } from '../keeping/session.svelte';
import { settings } from '../shared/settings.svelte';
import { cardOf } from '$words/card';

/** The card of the open shot, and what turned out different from it; the plan stays as it is. */
export class CardView {
	readonly session: Session;
	readonly kit: Kit;
	/** Kept apart from the shot until accepted, for the shot it was said of. */
	#different = $state.raw<{ readonly shotId: string | null; readonly as: Difference }>({
		shotId: null,
		as: {}
	});

	constructor(session: Session, kit: Kit) {
		this.session = session;
		this.kit = kit;
	}

	get planned(): Shot {
		const { shot } = this.session;
		if (!shot) throw new Error('no shot is open');
		return shot;
	}

	readonly difference = $derived.by((): Difference =>
		this.#different.shotId === this.session.shotId ? this.#different.as : {}
	);
	readonly isDifferent = $derived.by(() => Object.keys(this.difference).length > 0);
	/** The shot as it turned out. */
	readonly shot = $derived.by(() =>
		this.isDifferent ? turnedOut(this.planned, this.difference) : this.planned
	);
	readonly now = $derived.by(() => asItIs(this.shot));
	readonly solution = $derived.by(() => this.#solve(this.shot));
	/** Shutter and ISO as planned, beside what it turned out. */
	readonly plannedExposure = $derived.by(
		() => (this.isDifferent ? this.#solve(this.planned) : this.solution)?.plan.exposure ?? null
	);

	readonly oddsQuestion = $derived.by(() => ({
		shot: this.shot,
		spreads: this.kit.contents.spreads
	}));
	readonly odds = new Asking(
		oddsPort,
		'table',
		() => (this.solution?.take ? this.oddsQuestion : null),
		ODDS_REST_MS
	);
	readonly content = $derived.by(() => {
		const { solution } = this;
		if (!solution) return null;
		const odds = oddsAt(this.odds.answer, solution.plan.fNumberExact);
		return cardOf(solution, odds, settings.units);
	});

	get lenses(): readonly Lens[] {
		return this.kit.lensesFor(this.planned.body);
	}

	#solve(shot: Shot): Solution | null {
		return asksForSomething(shot) ? solve(shot, chanceOf(this.kit.contents.spreads)) : null;
	}

	/** Says what turned out different; undefined takes it back. */
	differ(change: { readonly [K in keyof Difference]?: Difference[K] | undefined }): void {
		const next = Object.entries({ ...this.difference, ...change }).filter(
			([, value]) => value !== undefined
		);
		this.#different = { shotId: this.session.shotId, as: Object.fromEntries(next) };
	}

	backToPlan(): void {
		this.#different = { shotId: null, as: {} };
	}

	/** Makes the shot what it turned out to be; undo takes it back. */
	accept(): void {
		const { shot } = this;
		this.backToPlan();
		this.session.change(shot);
	}

	/** Marks the shot; with it what was really used. */
	mark(status: Status, taken?: Taken): void {
		const { shotId, slot, day } = this.session;
		if (!shotId || !slot) return;
		const words = `marking “${this.planned.title}” as ${status}`;
		const change = { status, ...(taken ? { taken } : {}) };
		day.change(words, slot.jobId, { slots: [{ shotId, change }] });
	}
}
