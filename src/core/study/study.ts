import type { Shot } from '../format/shot';
import { ladderOf, nearestRung, widestFNumber } from '../optics/fNumber';
import { candidatesOf, spotsOf, type Candidate, type Spot } from './candidates';
import { widestThatHolds, type PickRule } from './pick';
import { lookAt, type Scene } from './scene';
import type { Take } from './take';

/**
 * A shot looked at once: what the camera sees, what may be focused on, and what each focus does to
 * every target at f/1. Every take of it follows from that, without looking again.
 */
export class Study {
	readonly shot: Shot;
	readonly scene: Scene;
	readonly candidates: readonly Candidate[];
	/** What could be focused on if the lens focused nearer. */
	readonly tooClose: readonly Spot[];
	/** Every f-number of the lens, exact, widest first. */
	readonly ladder: readonly number[];
	readonly #byOdds: PickRule;
	#pick: Take | null | undefined;
	#taken: Take | null | undefined;
	#rungs: readonly Take[] | undefined;

	constructor(shot: Shot, byOdds: PickRule) {
		this.shot = shot;
		this.scene = lookAt(shot);
		const { within, tooClose } = spotsOf(this.scene);
		this.candidates = candidatesOf(this.scene, within);
		this.tooClose = tooClose;
		this.ladder = ladderOf(shot.lens, shot.camera.focalMm);
		this.#byOdds = byOdds;
	}

	/** What the solver picks, whatever f-number is fixed; null when there is nothing to focus on. */
	get pick(): Take | null {
		if (this.#pick === undefined) {
			const rule = this.shot.choices.pickBy === 'odds' ? this.#byOdds : widestThatHolds;
			this.#pick = rule(this.scene, this.candidates, this.ladder);
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
		const known = this.#rungs?.find((take) => take.fNumber === rung);
		return known ?? widestThatHolds(this.scene, this.candidates, [rung]);
	}

	/** The best take at every f-number of the ladder; empty when there is nothing to focus on. */
	get rungs(): readonly Take[] {
		this.#rungs ??= this.ladder.flatMap(
			(fNumber) => widestThatHolds(this.scene, this.candidates, [fNumber]) ?? []
		);
		return this.#rungs;
	}

	/** f-number at which everything is just sharp, without margin; never below the lens's widest. */
	get needed(): number {
		const least = Math.min(...this.candidates.map(({ worstAtF1 }) => worstAtF1));
		return Math.max(least, widestFNumber(this.shot.lens, this.shot.camera.focalMm));
	}

	/** Another shot looked at in the same way: with the same odds. */
	another(shot: Shot): Study {
		return new Study(shot, this.#byOdds);
	}
}

/**
 * Looks at a shot. Costs candidates times targets; a few milliseconds for a large group.
 *
 * @param byOdds how a shot that is picked by the odds is picked (`odds/byOdds.ts`)
 */
export const study = (shot: Shot, byOdds: PickRule): Study => new Study(shot, byOdds);

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
