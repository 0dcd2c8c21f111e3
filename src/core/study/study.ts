import type { Candidate, Chance, FocusSpot, Take } from './candidate';
import type { Shot } from '../format/shot';
import { ladderOf, nearestRung, widestFNumber } from '../optics/fNumber';
import { candidatesOf, spotsOf } from './candidates';
import { betweenSpot } from './between';
import { sureEnough, takeAtRung, widestThatHolds } from './pick';
import { lookAt, type Scene } from './scene';

/**
 * A shot looked at once: what the camera sees, what may be focused on, and what each focus does to
 * every target at f/1. Every take of it follows from that, without looking again.
 */
export class Study {
	readonly shot: Shot;
	readonly scene: Scene;
	readonly candidates: readonly Candidate[];
	/** What could be focused on if the lens focused nearer. */
	readonly tooClose: readonly FocusSpot[];
	/** Every f-number of the lens, exact, widest first. */
	readonly ladder: readonly number[];
	readonly #chance: Chance;
	#pick: Take | null | undefined;
	#taken: Take | null | undefined;
	#rungs: readonly Take[] | undefined;

	constructor(shot: Shot, chance: Chance) {
		this.shot = shot;
		this.scene = lookAt(shot);
		const { within, tooClose } = spotsOf(this.scene);
		this.tooClose = tooClose;
		this.ladder = ladderOf(shot.lens, shot.camera.focalMm);
		this.#chance = chance;
		this.candidates = this.#orBetween(candidatesOf(this.scene, within, chance));
	}

	/** Where nothing holds the others, the plane between takes the place of all; not with a choice fixed. */
	#orBetween(candidates: readonly Candidate[]): readonly Candidate[] {
		const { focus, fNumberExact } = this.shot.choices;
		if (this.#hold(candidates) || focus || fNumberExact !== undefined) return candidates;
		const between = betweenSpot(this.scene);
		return between ? candidatesOf(this.scene, [between], this.#chance) : candidates;
	}

	#hold(candidates: readonly Candidate[]): boolean {
		const smallest = this.ladder.at(-1) as number;
		return candidates.some(({ worstAtF1 }) => worstAtF1 <= smallest);
	}

	/** Whether everything that should be sharp is at some f-number. */
	get holds(): boolean {
		return this.scene.targets.length > 0 && this.#hold(this.candidates);
	}

	/** What the solver picks, whatever f-number is fixed; null when there is nothing to focus on. */
	get pick(): Take | null {
		if (this.#pick === undefined) {
			this.#pick =
				(this.#isByOdds ? sureEnough(this.rungs) : null) ??
				widestThatHolds(this.scene, this.candidates, this.ladder);
		}
		return this.#pick;
	}

	/** What the shot's choices come to: the pick, or the best at the f-number that is fixed. */
	get taken(): Take | null {
		if (this.#taken === undefined) {
			const { fNumberExact } = this.shot.choices;
			this.#taken = fNumberExact === undefined ? this.pick : this.at(fNumberExact);
		}
		return this.#taken;
	}

	/** The best take at the rung nearest to an f-number. */
	at(fNumber: number): Take | null {
		const rung = this.ladder[nearestRung(this.ladder, fNumber)] as number;
		return this.#rungs?.find((take) => take.fNumber === rung) ?? this.#takeAt(rung);
	}

	get #isByOdds(): boolean {
		return this.shot.choices.pickBy === 'odds';
	}

	#takeAt(rung: number): Take | null {
		return this.#isByOdds
			? takeAtRung(this.scene, this.candidates, rung)
			: widestThatHolds(this.scene, this.candidates, [rung]);
	}

	/** The best take at every f-number of the ladder; empty when there is nothing to focus on. */
	get rungs(): readonly Take[] {
		this.#rungs ??= this.ladder.flatMap((fNumber) => this.#takeAt(fNumber) ?? []);
		return this.#rungs;
	}

	/** f-number at which everything is just sharp, without margin; never below the lens's widest. */
	get needed(): number {
		const least = Math.min(...this.candidates.map(({ worstAtF1 }) => worstAtF1));
		return Math.max(least, widestFNumber(this.shot.lens, this.shot.camera.focalMm));
	}

	/** Another shot looked at in the same way: with the same chance. */
	another(shot: Shot): Study {
		return new Study(shot, this.#chance);
	}
}

/**
 * Looks at a shot. Costs candidates times targets; a few milliseconds for a large group.
 *
 * @param chance what it does to the frames of a take (`odds/chanceOf.ts`)
 */
export const study = (shot: Shot, chance: Chance): Study => new Study(shot, chance);

/**
 * Whether a shot asks for anything: at least one person with a need other than `free`, or one thing
 * meant to be sharp. A shot that asks for nothing has no plan.
 */
export function asksForSomething(shot: Shot): boolean {
	return (
		shot.people.some(({ need }) => need !== 'free') ||
		shot.things.some(({ intent }) => intent === 'sharp')
	);
}
