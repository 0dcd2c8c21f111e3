import type { Candidate, Take } from '../study/candidate';
import { handlingOf, type Handling } from '../study/technique';
import type { Spreads } from '../tables/spreads';
import { conditionsOf } from './conditions';
import type { Draws } from './draws';
import { FrameSet } from './frameSet';

/** The frames of takes, worked out once for each focus and each way to reach it. */
export class FrameSets {
	readonly #spreads: Spreads;
	readonly #draws: () => Draws;
	readonly #known = new WeakMap<Candidate, Map<string, FrameSet>>();
	/** Asked several times for each rung: its frames as the plan has them. */
	readonly #planned = new WeakMap<Take, FrameSet>();

	/** @param draws asked for when the first frame is */
	constructor(spreads: Spreads, draws: () => Draws) {
		this.#spreads = spreads;
		this.#draws = draws;
	}

	/** @param mode of focusing, instead of the plan's */
	of(take: Take, mode?: Handling['mode']): FrameSet {
		const planned = mode ? undefined : this.#planned.get(take);
		if (planned) return planned;
		const handling = handlingOf(take);
		const frames = this.#handled(take, mode ? { ...handling, mode } : handling);
		if (!mode) this.#planned.set(take, frames);
		return frames;
	}

	#handled({ scene, candidate }: Take, handling: Handling): FrameSet {
		const way = `${handling.technique} ${handling.mode}`;
		const sets = this.#known.get(candidate) ?? new Map<string, FrameSet>();
		this.#known.set(candidate, sets);
		const found = sets.get(way);
		if (found) return found;
		const conditions = conditionsOf(scene, candidate, handling, this.#spreads);
		const made = new FrameSet(conditions, this.#draws());
		sets.set(way, made);
		return made;
	}
}
