import { cardText as say } from '$words/screens/card';
import { commonText as common } from '$words/screens/common';
import type { TakenSettings, Status } from '$core/format/job';
import type { Lens, Shot } from '$core/format/shot';
import { focusedFrom } from '$core/advice/focusDistance';
import { asItIs, turnedOut, type Difference } from '$core/advice/turnedOut';
import { chanceOf } from '$core/odds/chanceOf';
import { solve, type Solution } from '$core/study/plan';
import { asksForSomething } from '$core/study/study';
import type { Kit } from '../kit/kit.svelte';
import { oddsPort } from '../../workers/ports';
import { oddsAt, SHOT_REST_MS } from '../plan/view/plan.svelte';
import { Asking } from '../working/asking.svelte';
import { NOTHING_DIFFERENT } from '../keeping/cardSteps.svelte';
import type { Session } from '../keeping/session.svelte';
import { settings } from '../shared/settings.svelte';
import { cardOf } from '$words/card';

/** The card of the open shot, and what turned out different from it; the plan stays as it is. */
export class CardView {
	readonly session: Session;
	readonly kit: Kit;

	constructor(session: Session, kit: Kit) {
		this.session = session;
		this.kit = kit;
	}

	get planned(): Shot {
		const { shot } = this.session;
		if (!shot) throw new Error(common.noShotIsOpen);
		return shot;
	}

	readonly difference = $derived.by((): Difference => {
		const { shotId, as } = this.session.card.different;
		return shotId === this.session.shotId ? as : {};
	});
	readonly isDifferent = $derived.by(() => Object.keys(this.difference).length > 0);
	/** The shot as it turned out. */
	readonly shot = $derived.by(() =>
		this.isDifferent ? turnedOut(this.planned, this.difference) : this.planned
	);
	readonly now = $derived.by(() => asItIs(this.shot));
	readonly solution = $derived.by(() => this.#solve(this.shot));
	/** The plan as it stands, beside what it turned out. */
	readonly plannedPlan = $derived.by(
		() => (this.isDifferent ? this.#solve(this.planned) : this.solution)?.plan ?? null
	);
	get plannedExposure() {
		return this.plannedPlan?.exposure ?? null;
	}

	readonly oddsQuestion = $derived.by(() => ({
		shot: this.shot,
		spreads: this.kit.contents.spreads
	}));
	readonly odds = new Asking(
		oddsPort,
		'table',
		() => (this.solution?.take ? this.oddsQuestion : null),
		SHOT_REST_MS
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
	differ(
		change: { readonly [K in keyof Difference]?: Difference[K] | undefined },
		gesture: string = crypto.randomUUID()
	): void {
		const next = Object.entries({ ...this.difference, ...change }).filter(
			([, value]) => value !== undefined
		);
		const { card, shotId } = this.session;
		card.differ({ shotId, as: Object.fromEntries(next) }, say.itTurnedOutDifferently, gesture);
	}

	/** The camera goes where the distance to what is focused on is as said, from the sensor mark, m. */
	focusFrom(wantedM: number, gesture?: string): void {
		const shot = focusedFrom(this.shot, wantedM, chanceOf(this.kit.contents.spreads));
		const { distanceM } = asItIs(shot);
		this.differ({ distanceM }, gesture);
	}

	backToPlan(): void {
		this.session.card.differ(NOTHING_DIFFERENT, say.backToThePlan, crypto.randomUUID());
	}

	/** Makes the shot what it turned out to be; undo takes it back. */
	accept(): void {
		const { shot, planned, session } = this;
		const { card, shotId } = session;
		if (!shotId) return;
		const said = card.different;
		const make = () => {
			card.different = NOTHING_DIFFERENT;
			session.change(shot);
		};
		make();
		// of that shot, whichever is open by then; what was changed elsewhere since then stands
		const at = (present: Shot, step: () => void) => () =>
			void session.open(shotId).then(() => {
				if (session.shotId === shotId && session.shot === present) step();
			});
		card.did({
			words: say.makingItThePlan,
			gesture: crypto.randomUUID(),
			back: at(shot, () => {
				session.undo();
				card.different = said;
			}),
			again: at(planned, make)
		});
	}

	/** Marks the shot; with it what was really used. */
	mark(status: Status, taken?: TakenSettings): void {
		const { session } = this;
		const { shotId, slot, day } = session;
		if (!shotId || !slot) return;
		const words = say.markingAs(this.planned.title, status);
		const gesture = crypto.randomUUID();
		const change = { status, ...(taken ? { taken } : {}) };
		day.change(words, slot.jobId, { slots: [{ shotId, change }] }, gesture);
		const at = (step: () => void) => () => {
			step();
			void session.open(shotId);
		};
		session.card.did({
			words,
			gesture,
			back: at(() => day.undo(gesture)),
			again: at(() => day.redo(gesture))
		});
	}
}
